import { z } from 'zod';
import { cutText, wellFormedText } from '../text';
import type { Oklab } from '../colour/oklab';
import { mediumRecipesSchema, type MediumRecipe } from '../mixing/medium-recipe';
import { swatchRecipeSchema, type SwatchRecipe } from '../mixing/swatch-recipe';
import { ROLES, type Role } from '../palette/proportion';

/** Where a swatch was taken from. Place in fractions of the original picture, radius a share of its diagonal. */
export interface Provenance {
  studyId: string | null;
  studyTitle: string;
  pictureHash: string | null;
  x: number;
  y: number;
  radius: number;
}

export interface FileSwatch {
  name: string;
  /** What else it is called: by makers, in other languages. */
  otherNames: string[];
  note: string;
  /** What it is for in its palette. */
  role: Role | null;
  /** Full precision; formats of bytes hold only the nearest 8-bit colour. */
  colour: Oklab;
  /** Share of the picture, 0–1, or null where it is not known. */
  share: number | null;
  provenance: Provenance | null;
  /** How it is mixed, if that was kept. */
  recipe: SwatchRecipe | null;
  /** How it is laid in media that don't mix in a pile. */
  mediumRecipes: MediumRecipe[];
}

/** What a swatch library is, outside any store: what formats write and read. */
export interface LibraryFile {
  name: string;
  note: string;
  tags: string[];
  swatches: FileSwatch[];
  /** Ladders, links and what colours were changed from, as our own format carries them unread; left out for none. */
  built?: unknown;
}

/** What a format keeps of a library. Anything not listed here is lost by it. */
export type Capability =
  | 'name'
  | 'note'
  | 'tags'
  | 'swatch names'
  | 'other names'
  | 'swatch notes'
  | 'roles'
  | 'shares'
  | 'provenance'
  | 'recipes'
  | 'links'
  | 'exact colour'
  | '8-bit colour';

export const ALL_CAPABILITIES: readonly Capability[] = [
  'name',
  'note',
  'tags',
  'swatch names',
  'other names',
  'swatch notes',
  'roles',
  'shares',
  'provenance',
  'recipes',
  'links',
  'exact colour',
];

/** What is to be known of a format before anything is written or read. */
export interface FormatFacts {
  id: string;
  title: string;
  extension: string;
  mediaType: string;
  holds: readonly Capability[];
}

/** A format of text. */
export interface LibraryFormat extends FormatFacts {
  write: (library: LibraryFile) => string;
  /** Throws a FormatError that says the line. */
  read: (text: string) => LibraryFile;
}

/** A file that can't be read, with the line (from 1) at which it went wrong. */
export class FormatError extends Error {
  readonly line: number;
  constructor(line: number, what: string) {
    super(`Line ${line}: ${what}`);
    this.name = 'FormatError';
    this.line = line;
  }
}

/** What a format loses of a library: everything it does not hold. */
export function loses(format: FormatFacts): Capability[] {
  return ALL_CAPABILITIES.filter((holding) => !format.holds.includes(holding));
}

/** The most swatches that a file may hold. */
export const MAX_LIBRARY_SWATCHES = 5000;

const finite = z.number();
const text = () => z.string().overwrite(wellFormedText);

/** The parts of a swatch, besides name, note and colour, that our own formats keep. */
export const swatchPartsSchema = z.object({
  otherNames: z.array(text().max(200)).max(20).default([]),
  role: z.enum(ROLES).nullable().default(null),
  share: z.number().min(0).max(1).nullable().default(null),
  provenance: z
    .object({
      studyId: z.string().nullable(),
      studyTitle: text().max(200),
      pictureHash: z.string().nullable(),
      x: finite,
      y: finite,
      radius: finite.min(0),
    })
    .nullable()
    .default(null),
  recipe: swatchRecipeSchema.nullable().default(null),
  mediumRecipes: mediumRecipesSchema.default([]),
});

/** What our own formats keep beside name, note and colour; other keys of a swatch stay behind. */
export function partsOf({
  otherNames,
  role,
  share,
  provenance,
  recipe,
  mediumRecipes,
}: Omit<FileSwatch, 'name' | 'note' | 'colour'>): z.infer<typeof swatchPartsSchema> {
  return { otherNames, role, share, provenance, recipe, mediumRecipes };
}

/** A swatch of which only its colour and perhaps its name are known. */
export function bareSwatch(name: string, colour: Oklab): FileSwatch {
  return {
    name: cutText(name, 200),
    otherNames: [],
    note: '',
    role: null,
    colour,
    share: null,
    provenance: null,
    recipe: null,
    mediumRecipes: [],
  };
}

/** A line break in a name would break a file of lines; tabs and other spaces within it are kept. */
export function oneLine(text: string): string {
  return text.replace(/[\n\r\v\f\u0085\u2028\u2029]+/g, ' ').trim();
}
