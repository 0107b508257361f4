import { randomUUID } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { z } from 'zod';
import { oklabFromHex } from '@/core/colour/hex';
import { RULES } from '@/core/palette/derived';
import { DEFAULT_LADDER } from '@/core/palette/ladder';
import type { LibraryContent } from '@/contracts/library';
import { swatchChangeSchema } from '@/contracts/palette';
import { moveColour } from '@/study/colour-edits';
import type { HasPalette } from '@/study/has-palette';
import {
  addToLibrary,
  editLibrary,
  DEFAULT_LIBRARY_PALETTE,
  DEFAULT_LIBRARY_SWATCH,
} from '@/study/library';
import { addDerived, addSet } from '@/study/set-edits';
import { demoFolder } from './story';

const hex = z.string().refine((text) => oklabFromHex(text) !== null);

/** A palette of the story that was begun without a picture. */
const begunPaletteSchema = z.object({
  name: z.string(),
  note: z.string(),
  tags: z.array(z.string()),
  folder: z.string(),
  colours: z.array(
    z.object({
      hex,
      name: z.string(),
      note: z.string().default(''),
      /** How it was changed by hand once it was typed. */
      moves: swatchChangeSchema.shape.moves.optional(),
    }),
  ),
  /** The colour, by its place among them, that a ladder was built from. */
  ladder: z.object({ of: z.number(), steps: z.number(), from: z.number(), to: z.number() }),
  follows: z.object({ of: z.number(), rule: z.enum(RULES) }),
});
type BegunPalette = z.infer<typeof begunPaletteSchema>;

export async function readBegunPalettes(): Promise<BegunPalette[]> {
  const file = path.join(/*turbopackIgnore: true*/ demoFolder(), 'palettes.json');
  return z.array(begunPaletteSchema).parse(JSON.parse(await readFile(file, 'utf8')));
}

/** What was made of it, by the edits that a person makes on its page. */
export function contentOfBegun(begun: BegunPalette): LibraryContent {
  const { name, note, tags, colours, ladder, follows } = begun;
  const ids = colours.map(() => randomUUID());
  let next = 0;
  const typed = addToLibrary(
    { ...DEFAULT_LIBRARY_PALETTE, name, note, tags, swatches: [] },
    colours.map((colour) => ({
      ...DEFAULT_LIBRARY_SWATCH,
      name: colour.name,
      note: colour.note,
      role: null,
      colour: oklabFromHex(colour.hex)!,
      share: null,
    })),
    () => ids[next++],
  );
  return editLibrary(typed, (palette) => {
    const moved = colours.reduce<HasPalette>(
      (was, { moves }, i) => (moves ? moveColour(was, ids[i], moves) : was),
      palette,
    );
    const key = ids[ladder.of - 1];
    const { of: _, ...settings } = ladder;
    const colour = moved.palette.swatches.find(({ id }) => id === key)!.colour;
    const withLadder = addSet(
      moved,
      { id: randomUUID(), kind: 'ladder', colour, settings: { ...DEFAULT_LADDER, ...settings } },
      randomUUID,
      key,
    );
    const rule = { from: ids[follows.of - 1], rule: follows.rule, amount: 0.5, warmth: 0 };
    return addDerived(withLadder, { ...rule, wheel: 'painters' }, randomUUID);
  });
}
