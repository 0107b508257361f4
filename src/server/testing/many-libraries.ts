import { randomUUID } from 'node:crypto';
import { paletteNames } from '@/core/colour/name';
import { oklabFromOklch, type Oklab } from '@/core/colour/oklab';
import { toGamut } from '@/core/colour/gamut';
import { randomFrom } from '@/core/seeded';
import type { LibraryContent } from '@/contracts/library';
import { database } from '../db/client';
import { insertLibrary } from '../libraries/libraries';

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
    name: `${one(SUBJECTS)} ${one(TIMES)}, ${seed}`,
    note: random() < 0.4 ? `For plate ${1 + Math.floor(random() * 40)}.` : '',
    tags: TAGS.filter(() => random() < 0.15),
    swatches: colours.map((colour, i) => ({
      id: randomUUID(),
      name: names[i],
      otherNames: [],
      note: random() < 0.1 ? one(['only in the shadow', 'glaze', 'let it stand alone']) : '',
      role: null,
      colour,
      share: random() < 0.7 ? random() / size : null,
      provenance: null,
    })),
  };
}

const AT_ONCE = 100;

/** Fills the database with so many libraries of so many swatches each. */
export async function fillLibraries(count: number, size: number): Promise<void> {
  const db = await database();
  for (let from = 0; from < count; from += AT_ONCE)
    await db.transaction(async (tx) => {
      for (let seed = from; seed < Math.min(count, from + AT_ONCE); seed++)
        await insertLibrary(tx, someLibrary(seed, size), null);
    });
}
