import { createWriteStream } from 'node:fs';
import { writeFile } from 'node:fs/promises';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { sql } from 'drizzle-orm';
import { closePool } from '@/workers/server/pool';
import { closeDatabase, database, setDatabase } from '../db/client';
import { openFolder } from '../db/open';
import { createLibrary, listLibraries } from '../libraries/libraries';
import { importPicture } from '../pictures/import-picture';
import { readingsAreMade } from '../readings/refresh';
import { listStudies } from '../studies/study-cards';
import { ownDataFolder } from '../testing/data-folder';
import { someLibrary } from '../testing/many-libraries';
import { restoreAll } from '../testing/restore-all';
import { redAndBlue } from '../testing/test-pictures';
import { openArchive } from './archive';
import { backup } from './backup';
import { checkStore } from './check';
import { makeCopy } from './copies';
import { getStoreState } from './store-state';

let data: Awaited<ReturnType<typeof ownDataFolder>>;
beforeAll(async () => {
  data = await ownDataFolder();
});
afterAll(async () => {
  await closeDatabase();
  await closePool();
  await data.remove();
});

it('with one table unreadable the rest is saved out, and that is told', async () => {
  const { folder } = data;
  const store = path.join(folder, 'postgres');
  setDatabase(await openFolder(store));
  await importPicture(await redAndBlue(60).png().toBuffer(), 'Wall.png');
  await readingsAreMade();
  await createLibrary({ ...someLibrary(1, 5), tags: ['fog'] }, null);
  const db = await database();
  const file = (await db.execute(sql`select pg_relation_filepath('tag') as path`)) as unknown as {
    rows: { path: string }[];
  };
  await closeDatabase();
  await writeFile(path.join(store, file.rows[0].path), Buffer.alloc(8192, 0x5a));

  setDatabase(await openFolder(store));
  expect((await checkStore()).problems).toEqual([
    expect.stringMatching(/table “tag” is damaged.*A backup saves all others/),
  ]);
  const zip = path.join(folder, 'rest.zip');
  await pipeline(await backup(), createWriteStream(zip));
  await expect(makeCopy(2)).rejects.toThrow(/stored of tag is damaged/);
  expect((await getStoreState()).failed?.why).toMatch(/tag is damaged/);
  await closeDatabase();

  setDatabase(await openFolder(path.join(folder, 'new')));
  const archive = await openArchive(zip);
  expect(archive.manifest.missing).toEqual(['tag']);
  const done = await restoreAll(archive);
  archive.close();
  expect(done).toMatchObject({ studies: 1, libraries: 1, pictures: 1 });
  expect((await listStudies())[0]).toMatchObject({ title: 'Wall', isReadable: true });
  const [library] = await listLibraries();
  expect(library.swatches).toHaveLength(5);
  expect(library.tags).toEqual([]);
  expect((await checkStore()).problems).toEqual([]);
}, 120_000);
