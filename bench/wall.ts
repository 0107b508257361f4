import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { ALL_STUDIES, STUDIES_PAGE, type StudySearch } from '../src/contracts/study-search';
import { closeDatabase, database, setDatabase } from '../src/server/db/client';
import { openFolder } from '../src/server/db/open';
import { searchStudies } from '../src/server/studies/search-studies';
import { fillStudies } from '../src/server/testing/many-studies';
import { timesLine } from './timing';

const STUDIES = 5000;
const RUNS = 20;
const SEARCHES: readonly [string, Partial<StudySearch>][] = [
  ['all, newest first', {}],
  ['all, by title', { sort: 'title' }],
  ['by a facet', { key: 'low' }],
  ['by words', { text: 'study 12' }],
];

/** What the first page of the Wall costs with 5,000 studies, in a folder as the app has it. */
export async function benchWall(): Promise<string> {
  const folder = await mkdtemp(path.join(tmpdir(), 'prism-bench-'));
  setDatabase(await openFolder(path.join(folder, 'postgres')));
  try {
    await fillStudies(STUDIES);
    const db = await database();
    await db.execute(sql`analyze`);
    const lines: string[] = [];
    for (const [name, part] of SEARCHES) {
      const times: number[] = [];
      let bytes = 0;
      for (let run = 0; run < RUNS; run++) {
        const start = performance.now();
        const found = await searchStudies({ ...ALL_STUDIES, ...part }, 'painters', 0, STUDIES_PAGE);
        times.push(performance.now() - start);
        bytes = JSON.stringify(found).length;
      }
      lines.push(`${timesLine(name, times)}${(bytes / 1000).toFixed(0).padStart(6)} kB`);
    }
    return [
      `The first ${STUDIES_PAGE} of ${STUDIES} studies, ${RUNS} runs: median, 95th percentile, longest, size`,
      ...lines,
    ].join('\n');
  } finally {
    await closeDatabase();
    await rm(folder, { recursive: true, force: true });
  }
}
