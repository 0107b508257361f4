import { randomUUID } from 'node:crypto';
import { paletteNames } from '@/core/colour/name';
import { oklabFromOklch, type Oklab } from '@/core/colour/oklab';
import { toGamut } from '@/core/colour/gamut';
import { randomFrom } from '@/core/seeded';
import { storedLibrary, type LibraryContent } from '@/contracts/library';
import { database } from '../db/client';
import { library, libraryRevision, swatch, tag } from '../db/library-schema';
import { swatchRow } from '../libraries/library-rows';
import { INDEX_VERSION } from '../libraries/swatch-facts';
import { wordsOf } from '../libraries/words';
import { DEFAULT_LIBRARY_PALETTE, DEFAULT_LIBRARY_SWATCH } from '@/study/library';

const SUBJECTS = ['Fog', 'Harbour', 'Orchard', 'Kitchen', 'Quarry', 'Ferry', 'Terrace', 'Snow'];
const TIMES = ['at dawn', 'at noon', 'in rain', 'by lamplight', 'in October', 'after thaw'];
const TAGS = ['evening', 'skin', 'print', 'neutrals', 'greens', 'pattern', 'book', 'gift'];

/** For tests and the bench: a library that could be anyone's, always the same for a seed. */
export function someLibrary(seed: number, size: number): LibraryContent {
  const random = randomFrom(seed);
  const one = <T>(list: readonly T[]) => list[Math.floor(random() * list.length)];
  const key = random() * 360;
  const colours = Array.from({ length: size }, (): Oklab =>
    toGamut(
      oklabFromOklch({
        L: 0.1 + random() * 0.85,
        C: random() ** 2 * 0.2,
        h: key + (random() - 0.5) * 140,
      }),
    ),
  );
  const names = paletteNames(colours);
  return {
    ...DEFAULT_LIBRARY_PALETTE,
    name: `${one(SUBJECTS)} ${one(TIMES)}, ${seed}`,
    note: random() < 0.4 ? `For plate ${1 + Math.floor(random() * 40)}.` : '',
    tags: TAGS.filter(() => random() < 0.15),
    swatches: colours.map((colour, i) => ({
      id: randomUUID(),
      name: names[i],
      note: random() < 0.1 ? one(['only in the shadow', 'glaze', 'let it stand alone']) : '',
      role: null,
      colour,
      share: random() < 0.7 ? random() / size : null,
      ...DEFAULT_LIBRARY_SWATCH,
    })),
  };
}

const AT_ONCE = 100;

/**
 * Fills the database with so many libraries of so many swatches each. Written as rows, all at once: one after
 * another, as people make them, 2,000 take a minute.
 */
export async function fillLibraries(count: number, size: number): Promise<void> {
  const db = await database();
  for (let from = 0; from < count; from += AT_ONCE) {
    const made = Array.from({ length: Math.min(AT_ONCE, count - from) }, (_, i) => {
      const content = someLibrary(from + i, size);
      const { name, note, tags } = content;
      const words = wordsOf(name, note, ...tags);
      return { id: randomUUID(), place: -from - i, content, words };
    });
    await db.transaction(async (tx) => {
      await tx.insert(library).values(
        made.map(({ id, place, words, content: { name, note } }) => ({
          ...{ id, name, note, place, words },
          revision: 1,
          indexed: INDEX_VERSION,
        })),
      );
      await tx.insert(libraryRevision).values(
        made.map(({ id, content }) => ({
          ownerId: id,
          revision: 1,
          content: storedLibrary(content),
        })),
      );
      const tags = made.flatMap(({ id, content }) =>
        content.tags.map((name, position) => ({ libraryId: id, name, position })),
      );
      if (tags.length > 0) await tx.insert(tag).values(tags);
      await tx
        .insert(swatch)
        .values(
          made.flatMap(({ id, words, content }) =>
            content.swatches.map((one, position) => swatchRow(id, one, position, words)),
          ),
        );
    });
  }
}
