import { isDeepStrictEqual } from 'node:util';
import { z } from 'zod';
import { libraryContentSchema, swatchPartsSchema, type LibraryContent } from '@/contracts/library';
import {
  followsSchema,
  idSchema,
  setsSchema,
  swatchChangeSchema,
  targetSchema,
} from '@/contracts/palette';
import { DEFAULT_LIBRARY_PALETTE } from '@/study/library';

/** What a library's palette is built of, beside its swatches and in their order, as our own files carry it. */
const builtSchema = z.object({
  sets: setsSchema,
  target: targetSchema,
  swatches: z.array(
    z.object({
      id: idSchema,
      follows: followsSchema.nullable(),
      change: swatchChangeSchema.nullable(),
      parts: swatchPartsSchema,
    }),
  ),
});

/** For a file; nothing of a library that nothing was built in. */
export function builtOf({ swatches, sets, target }: LibraryContent): { built?: unknown } {
  const isPlain =
    sets.length === 0 &&
    isDeepStrictEqual(target, DEFAULT_LIBRARY_PALETTE.target) &&
    swatches.every(({ follows, change, parts }) => !follows && !change && parts.length === 0);
  if (isPlain) return {};
  return {
    built: {
      sets,
      target,
      swatches: swatches.map(({ id, follows, change, parts }) => ({ id, follows, change, parts })),
    },
  };
}

/** A library from a file with what was built in it; as it is where that is broken or of other swatches. */
export function withBuilt(content: LibraryContent, built: unknown): LibraryContent {
  const { data } = builtSchema.safeParse(built);
  if (!data || data.swatches.length !== content.swatches.length) return content;
  const { sets, target, swatches } = data;
  // Swatches have got new ids on the way in.
  const idNow = new Map(swatches.map(({ id }, i) => [id, content.swatches[i].id]));
  const whole = libraryContentSchema.safeParse({
    ...content,
    sets,
    target,
    swatches: content.swatches.map((swatch, i) => {
      const { follows, change, parts } = swatches[i];
      const from = follows?.kind === 'rule' ? idNow.get(follows.from) : undefined;
      const isLost =
        follows?.kind === 'rule' ? !from : follows && sets.every(({ id }) => id !== follows.id);
      return {
        ...swatch,
        follows: isLost ? null : follows?.kind === 'rule' ? { ...follows, from } : follows,
        change,
        parts,
      };
    }),
  });
  return whole.data ?? content;
}
