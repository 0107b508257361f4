import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { INTENSITY_WORDS } from '../src/core/colour/intensity';
import { randomFrom } from '../src/core/seeded';
import { librarySearchSchema, type LibrarySearch } from '../src/contracts/library-search';
import { closeDatabase, database, setDatabase } from '../src/server/db/client';
import { openFolder } from '../src/server/db/open';
import { countFacets } from '../src/server/libraries/facets';
import { searchLibraries } from '../src/server/libraries/search';
import { timesLine } from './timing';
import { fillLibraries, someLibrary } from '../src/server/testing/many-libraries';

const LIBRARIES = 2000;
const SWATCHES = 10;
const PAGE = 40;
const ASKED = 240;
const RUNS = 3;

/** Searches as people make them: words, parts of words, families, ranges, near colours, and these together. */
function someSearches(count: number): LibrarySearch[] {
  const random = randomFrom(7);
  const words = [
    'fog',
    'har',
    'light',
    'dull',
    'rain',
    'snow october',
    'grey',
    'violet',
    'plate 3',
  ];
  return Array.from({ length: count }, (_, i) => {
    const part = (share: number) => random() < share;
    const from = random() * 8;
    const first = Math.floor(random() * 4);
    return librarySearchSchema.parse({
      text: part(0.5) ? words[Math.floor(random() * words.length)] : '',
      near: part(0.3)
        ? { colour: someLibrary(i, 1).swatches[0].colour, within: 2 + random() * 8 }
        : null,
      families: part(0.3) ? [Math.floor(random() * 12)] : [],
      values: part(0.3) ? [from, from + 2] : null,
      intensities: part(0.2) ? [INTENSITY_WORDS[first], INTENSITY_WORDS[first + 2]] : null,
      temperature: part(0.15) ? 'warm' : null,
      tags: part(0.15) ? ['evening'] : [],
      sort: part(0.2) ? 'name' : 'changed',
    });
  });
}

/** What searching costs in a store of 2,000 libraries with 20,000 swatches, in a folder as the app has it. */
export async function benchDrawers(): Promise<string> {
  const folder = await mkdtemp(path.join(tmpdir(), 'prism-bench-'));
  setDatabase(await openFolder(path.join(folder, 'postgres')));
  try {
    await fillLibraries(LIBRARIES, SWATCHES);
    const db = await database();
    await db.execute(sql`analyze`);
    const searches = someSearches(ASKED);
    const pages: number[][] = [];
    const counts: number[][] = [];
    let hits = 0;
    for (const search of searches) {
      const runs: [number, number][] = [];
      for (let run = 0; run < RUNS; run++) {
        const start = performance.now();
        const found = await searchLibraries(search, 'painters', 0, PAGE);
        const middle = performance.now();
        await countFacets(search, 'painters');
        runs.push([middle - start, performance.now() - middle]);
        if (run === 0) hits += found.total;
      }
      pages.push(runs.map(([page]) => page));
      counts.push(runs.map(([, count]) => count));
    }
    // The fastest of its runs is what a search costs; all of them have the machine's own pauses within.
    const fastest = (runs: readonly number[][]) => runs.map((times) => Math.min(...times));
    return [
      `Searching ${LIBRARIES} libraries with ${LIBRARIES * SWATCHES} swatches, ${ASKED} searches of ${RUNS} runs, ${(hits / ASKED).toFixed(0)} libraries found each: median, 95th percentile, longest`,
      timesLine('the first 40 libraries, fastest runs', fastest(pages)),
      timesLine('the first 40 libraries, all runs', pages.flat()),
      timesLine('the counts beside them, fastest runs', fastest(counts)),
      timesLine('the counts beside them, all runs', counts.flat()),
    ].join('\n');
  } finally {
    await closeDatabase();
    await rm(folder, { recursive: true, force: true });
  }
}
