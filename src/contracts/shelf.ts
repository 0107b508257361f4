import { z } from 'zod';
import { mediumRecipeSchema } from '@/core/mixing/medium-recipe';
import { OPACITIES } from '@/core/mixing/pigment';
import { pigmentOf } from '@/core/mixing/pigments/pigments';
import { oklabSchema } from './colour';
import { asOne, byId } from './documents/merge-policy';
import { readDocument, type VersionedDocument } from './documents/versioned';
import { SHELF_VERSION, shelfUpgrades } from './documents/shelf-upgrades';
import { idSchema } from './palette';
import { text } from './text';

export const MAX_TUBES = 300;
const MAX_TRIES = 2000;
/** Pigments in one tube. */
export const MAX_PIGMENTS = 3;
/** How many times as strong as usual a tube may be, and the inverse how weak. */
export const MAX_STRENGTH = 4;

/** Where a tube is: on the palette, owned and kept off it, or wished for. */
export const STANDINGS = ['palette', 'off', 'wish'] as const;
export type Standing = (typeof STANDINGS)[number];

const strengthSchema = z
  .number()
  .min(1 / MAX_STRENGTH)
  .max(MAX_STRENGTH);

const pigmentsSchema = z
  .array(text().refine((id) => pigmentOf(id) !== null, 'No pigment is known by this name.'))
  .min(1, 'A tube needs a pigment.')
  .max(MAX_PIGMENTS, `A tube has up to ${MAX_PIGMENTS} pigments.`);

/** A painted card of a tube: its mass tone, and a tint of one part in so many of white. */
const cardSchema = z.object({
  massTone: oklabSchema,
  tint: oklabSchema,
  whiteParts: z.number().min(0.5).max(100),
});
export type ShelfCard = z.infer<typeof cardSchema>;

export const tubeSchema = z.object({
  id: idSchema,
  name: text().trim().min(1, 'A tube needs a name.').max(120),
  maker: text().max(120),
  /** The maker's own number. */
  number: text().max(40),
  pigments: asOne(pigmentsSchema),
  /** Times the usual strength, as the person has it. */
  strength: strengthSchema,
  /** As its label has it; null leaves it to its pigments. */
  opacity: z.enum(OPACITIES).nullable().default(null),
  standing: z.enum(STANDINGS),
  pricePerMl: z.number().min(0).max(1000).nullable(),
  card: asOne(cardSchema.nullable().default(null)),
});
export type ShelfTube = z.infer<typeof tubeSchema>;

/** What comes in sets of fixed colours, beside tubes. */
export const ITEM_KINDS = ['sticks', 'pencils', 'inks'] as const;
export type ItemKind = (typeof ITEM_KINDS)[number];
export const MAX_ITEMS = 1000;
/** Where an item is: to hand, left at home today, or worn down and lost. */
export const ITEM_STANDINGS = ['here', 'away', 'gone'] as const;
export type ItemStanding = (typeof ITEM_STANDINGS)[number];

export const itemSchema = z.object({
  id: idSchema,
  name: text().trim().min(1, 'It needs a name.').max(120),
  /** The set it is of, and its number there. */
  set: text().max(120),
  number: text().max(40),
  /** A full stroke on white paper; of an ink, where it is printed solid. */
  colour: asOne(oklabSchema),
  standing: z.enum(ITEM_STANDINGS),
});
/** A stick, a pencil or an ink. */
export type ShelfItem = z.infer<typeof itemSchema>;

const binnedTubeSchema = tubeSchema.extend({ removedAt: z.iso.datetime() });

const partsSchema = z
  .array(z.object({ tube: idSchema, parts: z.number().positive().max(1000) }))
  .min(1)
  .max(8);

/** A mixture that was really made, and what came of it. */
const trySchema = z.object({
  id: idSchema,
  triedAt: z.iso.datetime(),
  name: text().max(120),
  parts: asOne(partsSchema),
  /** What it was for; null where nothing was aimed at. */
  target: asOne(oklabSchema.nullable()),
  /** The dab, photographed or matched; null for a recipe that is kept and not tried yet. */
  result: asOne(oklabSchema.nullable()),
  note: text().max(2000),
});
export type ShelfTry = z.infer<typeof trySchema>;

/** A recipe of layers that was really laid, and the patch that came of it. */
const patchSchema = z.object({
  id: idSchema,
  triedAt: z.iso.datetime(),
  name: text().max(120),
  /** What it was for. */
  target: asOne(oklabSchema),
  /** Its colour is the patch, photographed or matched. */
  recipe: asOne(mediumRecipeSchema),
  note: text().max(2000),
});
export type ShelfPatch = z.infer<typeof patchSchema>;

const withOwnIds = (things: readonly { id: string }[]) =>
  new Set(things.map(({ id }) => id)).size === things.length;

function itemsOf(kind: ItemKind) {
  return byId(
    z
      .array(itemSchema)
      .max(MAX_ITEMS)
      .refine(withOwnIds, `two ${kind} have the same id`)
      .default([]),
  );
}

export const shelfContentSchema = z.object({
  /** Whose shelf it is, as recipes say it that leave it; empty where nobody said. */
  owner: text().max(120).default(''),
  tubes: byId(z.array(tubeSchema).max(MAX_TUBES).refine(withOwnIds, 'two tubes have the same id')),
  /** Tubes that were taken off it, for as long as the bin holds them. */
  bin: byId(z.array(binnedTubeSchema).max(MAX_TUBES).default([])),
  /** Colours that can't be mixed, only laid one over another: pastels, crayons. */
  sticks: itemsOf('sticks'),
  /** Coloured pencils. */
  pencils: itemsOf('pencils'),
  /** Inks that are printed as they are. */
  inks: itemsOf('inks'),
  tries: byId(z.array(trySchema).max(MAX_TRIES).refine(withOwnIds, 'two tries have the same id')),
  /** Layers that were tried. */
  patches: byId(
    z
      .array(patchSchema)
      .max(MAX_TRIES)
      .refine(withOwnIds, 'two patches have the same id')
      .default([]),
  ),
});
export type ShelfContent = z.infer<typeof shelfContentSchema>;

export const EMPTY_SHELF: ShelfContent = {
  owner: '',
  tubes: [],
  bin: [],
  sticks: [],
  pencils: [],
  inks: [],
  tries: [],
  patches: [],
};

const storedShelfSchema = shelfContentSchema.extend({ version: z.literal(SHELF_VERSION) });
export type StoredShelf = z.infer<typeof storedShelfSchema>;

export const shelfDocuments: VersionedDocument<StoredShelf> = {
  schema: storedShelfSchema,
  upgrades: shelfUpgrades,
};

/** A stored shelf of whatever version. Throws a ZodError or a RangeError as `readDocument` does. */
export function readShelf(stored: unknown): ShelfContent {
  const { version: _, ...content } = readDocument(shelfDocuments, stored);
  return content;
}

export function storedShelf(content: ShelfContent): StoredShelf {
  return { ...content, version: SHELF_VERSION };
}

export const shelfSchema = z.object({ revision: z.number().int(), content: shelfContentSchema });
export type Shelf = z.infer<typeof shelfSchema>;

export const saveShelfSchema = z.object({
  basedOn: z
    .number()
    .int()
    .min(1)
    .max(2 ** 31 - 1),
  content: shelfContentSchema,
});

/** What a shelf has besides its tubes. */
export const SHELF_PARTS = [...ITEM_KINDS, 'tries', 'patches', 'owner'] as const;
export type ShelfPart = (typeof SHELF_PARTS)[number];

/** An earlier state of the shelf, and what had changed since the one before it. */
export const shelfRevisionSchema = z.object({
  revision: z.number().int(),
  savedAt: z.string(),
  tubes: z.number().int(),
  added: z.number().int(),
  removed: z.number().int(),
  changed: z.number().int(),
  /** What else had changed besides tubes. */
  besides: z.array(z.enum(SHELF_PARTS)),
});
export type ShelfRevision = z.infer<typeof shelfRevisionSchema>;

/** A shelf with what another has and it lacks: nothing of the first is changed. */
export function withMissing(here: ShelfContent, other: ShelfContent): ShelfContent {
  const missing = <T extends { id: string }>(
    own: readonly T[],
    others: readonly T[],
    max: number,
  ) => {
    const ids = new Set(own.map(({ id }) => id));
    return [...own, ...others.filter(({ id }) => !ids.has(id))].slice(0, max);
  };
  return {
    owner: here.owner || other.owner,
    tubes: missing(here.tubes, other.tubes, MAX_TUBES),
    bin: missing(here.bin, other.bin, MAX_TUBES),
    sticks: missing(here.sticks, other.sticks, MAX_ITEMS),
    pencils: missing(here.pencils, other.pencils, MAX_ITEMS),
    inks: missing(here.inks, other.inks, MAX_ITEMS),
    tries: missing(here.tries, other.tries, MAX_TRIES),
    patches: missing(here.patches, other.patches, MAX_TRIES),
  };
}
