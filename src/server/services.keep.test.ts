import { mkdir, mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { buffer } from 'node:stream/consumers';
import { eq, sql } from 'drizzle-orm';
import { fromBuffer } from 'yauzl';
import { DEFAULT_SETTINGS } from '@/contracts/settings';
import { getCourses, saveCourses } from './courses/courses';
import { database } from './db/client';
import { library, swatch } from './db/library-schema';
import { picture, pictureBytes, study } from './db/schema';
import { keepAnswers } from './drills/practice';
import { openArchive } from './keep/archive';
import { backup } from './keep/backup';
import { checkStore } from './keep/check';
import { copyIfDue, listCopies, makeCopy, readCopy } from './keep/copies';
import { getStoreState } from './keep/store-state';
import { restore } from './keep/restore';
import { standingsOf } from './keep/standing';
import { keysOf, TABLES } from './keep/tables';
import { createFolder, moveToFolder } from './libraries/folders';
import { createLibrary, deleteLibrary, getLibrary, listLibraries } from './libraries/libraries';
import { keepSearch } from './libraries/saved-searches';
import { searchLibraries } from './libraries/search';
import { ALL_LIBRARIES } from '@/contracts/library-search';
import { importPicture } from './pictures/import-picture';
import { readingsAreMade, refreshStale } from './readings/refresh';
import { beginSession } from './sessions/sessions';
import { keepSnapshot } from './sessions/snapshots';
import { saveSettings } from './settings/settings';
import { getStudy, renameStudy, saveStudy } from './studies/studies';
import { getShelf, saveShelf } from './shelf/shelf';
import { listStudies } from './studies/study-cards';
import { allRows, wipe } from './testing/all-rows';
import { someLibrary } from './testing/many-libraries';
import { freshDatabase } from './testing/test-database';
import { someCourses } from './testing/some-courses';
import { fullSession } from './testing/some-session';
import { someShelf } from './testing/some-shelf';
import { importPattern } from './patterns/patterns';
import { TWO_SQUARES } from './testing/some-pattern';
import { redAndBlue } from './testing/test-pictures';

let end: () => Promise<void>;
let folder: string;
const file = () => path.join(folder, 'backup.zip');
const libraryIds: string[] = [];
const SESSION = '00000000-0000-4000-8000-00000000005e';
const was = process.env.PRISM_COPIES;

beforeAll(async () => {
  end = await freshDatabase();
  folder = await mkdtemp(path.join(tmpdir(), 'prism-keep-'));
  process.env.PRISM_COPIES = path.join(folder, 'copies');
  for (const width of [90, 120])
    await importPicture(await redAndBlue(width).png().toBuffer(), `Wall ${width}.png`);
  await readingsAreMade();
  const [{ id }] = await listStudies();
  const { revision, document } = await getStudy(id);
  await saveStudy(id, revision, { ...document, maker: 'Orla “Venn” ☂', source: 'قرمز' });
  for (let seed = 0; seed < 4; seed++)
    libraryIds.push((await createLibrary(someLibrary(seed, 5), seed === 0 ? id : null)).id);
  await moveToFolder([libraryIds[1]], await createFolder('Plates'));
  await createFolder('Empty');
  await deleteLibrary(libraryIds[3]);
  await keepSearch('Fogs', { ...ALL_LIBRARIES, text: 'fog' });
  await getShelf();
  await saveShelf(1, someShelf('a', 'b'));
  await getCourses();
  await saveCourses(1, someCourses('a', 'b'));
  await importPattern(Buffer.from(TWO_SQUARES), 'Squares ☂.svg');
  await beginSession({ id: SESSION, studyId: id, content: fullSession() });
  const shot = await redAndBlue(77).png().toBuffer();
  await keepSnapshot(SESSION, 'shot', shot, 'easel.png');
  await keepAnswers([
    {
      id: SESSION,
      at: 1_780_000_000_000,
      kind: 'value',
      about: { L: 0.5, a: 0.02, b: -0.1 },
      difficulty: 0.4,
      outcome: { isRight: false, valueOff: -1.25 },
    },
  ]);
  await saveSettings({ ...DEFAULT_SETTINGS, surround: 'night' });
  await readingsAreMade();
  await refreshStale();
  await writeFile(file(), await buffer(await backup()));
}, 120_000);
afterAll(async () => {
  if (was === undefined) delete process.env.PRISM_COPIES;
  else process.env.PRISM_COPIES = was;
  await end();
  await rm(folder, { recursive: true, force: true });
});

async function withArchive<T>(
  work: (archive: Awaited<ReturnType<typeof openArchive>>) => Promise<T>,
): Promise<T> {
  const archive = await openArchive(file());
  try {
    return await work(archive);
  } finally {
    archive.close();
  }
}

const everything = () =>
  withArchive(async (archive) => {
    const { studies, libraries } = await standingsOf(archive);
    return restore(archive, {
      studies: studies.map(({ id }) => id),
      libraries: libraries.map(({ id }) => id),
      rest: true,
      settings: false,
      differing: 'keep',
    });
  });

async function bytesHere(): Promise<Map<string, string[]>> {
  const db = await database();
  const rows = await db
    .select({ hash: picture.hash, bytes: pictureBytes })
    .from(pictureBytes)
    .innerJoin(picture, eq(picture.id, pictureBytes.pictureId));
  return new Map(
    rows.map(({ hash, bytes }) => [
      hash,
      [bytes.original, bytes.working, bytes.thumbnail].map((part) =>
        Buffer.from(part).toString('base64'),
      ),
    ]),
  );
}

describe('a backup', () => {
  it('gives back the same store after all is wiped, row by row and byte by byte', async () => {
    const rows = await allRows();
    const bytes = await bytesHere();
    expect(bytes.size).toBe(3);
    for (const table of TABLES.filter((name) => name !== 'attempt'))
      expect({ table, rows: rows[table].length }).not.toEqual({ table, rows: 0 });
    await wipe();
    expect((await allRows()).study).toEqual([]);
    expect(await everything()).toEqual({ studies: 2, libraries: 4, pictures: 2, left: 0 });
    expect(await allRows()).toEqual(rows);
    expect(await bytesHere()).toEqual(bytes);
    expect(await checkStore()).toMatchObject({
      pictures: 3,
      studies: 2,
      libraries: 4,
      problems: [],
    });
  }, 120_000);

  it('changes nothing where all of it is here', async () => {
    const rows = await allRows();
    const { studies, libraries } = await withArchive(standingsOf);
    expect(new Set([...studies, ...libraries].map(({ standing }) => standing))).toEqual(
      new Set(['same']),
    );
    expect(libraries.filter(({ binned }) => binned)).toHaveLength(1);
    expect(await everything()).toEqual({ studies: 0, libraries: 0, pictures: 0, left: 0 });
    expect(await allRows()).toEqual(rows);
  });

  it('overwrites nothing that differs: it is left alone, or the backup’s laid beside', async () => {
    const [{ id, title }] = await listStudies();
    await renameStudy(id, 'Changed since');
    await readingsAreMade();
    const db = await database();
    await db.update(library).set({ note: 'mine now' }).where(eq(library.id, libraryIds[0]));
    const { studies, libraries } = await withArchive(standingsOf);
    expect(studies.find((one) => one.id === id)?.standing).toBe('differs');
    expect(libraries.find((one) => one.id === libraryIds[0])?.standing).toBe('differs');
    expect(await everything()).toMatchObject({ studies: 0, libraries: 0, left: 2 });
    expect((await getStudy(id)).document.title).toBe('Changed since');

    const order = { studies: [id], libraries: [libraryIds[0]], rest: false, settings: false };
    const done = await withArchive((archive) => restore(archive, { ...order, differing: 'both' }));
    expect(done).toEqual({ studies: 1, libraries: 1, pictures: 0, left: 0 });
    expect((await getLibrary(libraryIds[0])).note).toBe('mine now');
    expect((await listStudies()).map((one) => one.title)).toEqual(
      expect.arrayContaining(['Changed since', `${title}, from the backup`]),
    );
    const beside = await searchLibraries(
      { ...ALL_LIBRARIES, text: 'from the backup' },
      'painters',
      0,
      9,
    );
    expect(beside.libraries).toHaveLength(1);
    expect(beside.libraries[0].swatches).toHaveLength(5);
    expect((await checkStore()).problems).toEqual([]);
  }, 120_000);

  it('takes what lies in the bin here out of it, and only what is asked for', async () => {
    await deleteLibrary(libraryIds[1]);
    await deleteLibrary(libraryIds[2]);
    const order = { studies: [], rest: false, settings: false, differing: 'keep' as const };
    const done = await withArchive((archive) =>
      restore(archive, { ...order, libraries: [libraryIds[1]] }),
    );
    expect(done).toMatchObject({ libraries: 1, studies: 0 });
    const here = (await listLibraries()).map(({ id }) => id);
    expect(here).toContain(libraryIds[1]);
    expect(here).not.toContain(libraryIds[2]);
  });

  it('finds a picture that is here by what it is, though it has another id', async () => {
    await wipe();
    await importPicture(await redAndBlue(90).png().toBuffer(), 'Again.png');
    await readingsAreMade();
    const [{ pictureId }] = await listStudies();
    expect(await everything()).toMatchObject({ studies: 2, pictures: 1 });
    expect((await listStudies()).filter((one) => one.pictureId === pictureId)).toHaveLength(2);
  }, 120_000);
});

describe('a damaged backup', () => {
  const refused = async (bytes: Buffer) => {
    const damagedFile = path.join(folder, 'damaged.zip');
    await writeFile(damagedFile, bytes);
    return openArchive(damagedFile).then(
      (archive) => {
        archive.close();
        return 'opened';
      },
      (error: Error) => error.message,
    );
  };

  it('is refused with what is damaged, wherever a byte of an entry is changed', async () => {
    const whole = await readFile(file());
    const entries = await entriesOf(whole);
    expect(entries.length).toBe(TABLES.length + 9 + 1);
    for (const { name, at, length } of entries) {
      if (length === 0) continue;
      const changed = Buffer.from(whole);
      changed[at + Math.floor(length / 2)] ^= 0x55;
      const said = await refused(changed);
      expect(said).toMatch(/damaged.*Nothing was restored/);
      expect(said).toContain(name === 'manifest.json' ? 'manifest' : name);
    }
  }, 120_000);

  it('is refused when it is cut short, empty, or something else', async () => {
    const whole = await readFile(file());
    for (const part of [0, 0.1, 0.5, 0.9, 0.999])
      expect(await refused(whole.subarray(0, Math.floor(whole.length * part)))).toMatch(/damaged/);
    expect(await refused(Buffer.from('GIMP Palette'))).toMatch(/damaged/);
  });
});

/** Where the content of each entry of a zip lies. */
function entriesOf(zip: Buffer): Promise<{ name: string; at: number; length: number }[]> {
  return new Promise((resolve, reject) =>
    fromBuffer(zip, { lazyEntries: true }, (error, open) => {
      if (!open) return reject(error ?? new Error('no zip'));
      const entries: { name: string; at: number; length: number }[] = [];
      open.on('entry', (entry) => {
        const head = entry.relativeOffsetOfLocalHeader;
        const at = head + 30 + zip.readUInt16LE(head + 26) + zip.readUInt16LE(head + 28);
        entries.push({ name: entry.fileName, at, length: entry.compressedSize });
        open.readEntry();
      });
      open.on('end', () => resolve(entries));
      open.readEntry();
    }),
  );
}

describe('copies', () => {
  it('are made when they are due, found whole, and no more than are wanted', async () => {
    expect(await listCopies()).toEqual([]);
    // What a killed server left half made goes with the next copy.
    const copies = path.join(folder, 'copies');
    await mkdir(copies, { recursive: true });
    await writeFile(path.join(copies, 'Bold Prism 2026-01-01 00.00.00.zip.part'), 'half');
    const first = await copyIfDue();
    expect(await readdir(copies)).toEqual([first?.name]);
    expect(first?.size).toBeGreaterThan(1000);
    expect(await copyIfDue()).toBeNull();
    expect(await copyIfDue(new Date(Date.now() + 8 * 86_400_000))).not.toBeNull();
    await new Promise((wait) => setTimeout(wait, 1100));
    const last = await makeCopy(1);
    expect((await listCopies()).map(({ name }) => name)).toEqual([last.name]);
    const { stream, size } = await readCopy(last.name);
    expect((await buffer(stream)).length).toBe(size);
    await expect(readCopy('../../etc/passwd')).rejects.toMatchObject({ status: 404 });
    await saveSettings({ ...DEFAULT_SETTINGS, copies: { every: 'never', keep: 1 } });
    expect(await copyIfDue(new Date(Date.now() + 800 * 86_400_000))).toBeNull();
  }, 120_000);
});

describe('copies that fail', () => {
  it('are told until one is made again', async () => {
    const copies = process.env.PRISM_COPIES!;
    process.env.PRISM_COPIES = path.join(file(), 'copies');
    await expect(makeCopy(1)).rejects.toThrow();
    expect((await getStoreState()).failed?.why).toMatch(/folder of copies can’t be written to/);
    process.env.PRISM_COPIES = copies;
    await makeCopy(1);
    const { failed, store, copies: size } = await getStoreState();
    expect(failed).toBeNull();
    expect(store).toBeGreaterThan(1e6);
    expect(size).toBe((await listCopies())[0].size);
  });

  it('and two at once are one', async () => {
    const [one, other] = await Promise.all([makeCopy(2), makeCopy(2)]);
    expect(other).toEqual(one);
    (await openArchive(path.join(process.env.PRISM_COPIES!, one.name))).close();
  });

  it('are not begun when the disk is nearly full', async () => {
    process.env.PRISM_RESERVE_MB = '1e12';
    await expect(makeCopy(1)).rejects.toMatchObject({ code: 'no-room' });
    delete process.env.PRISM_RESERVE_MB;
    await makeCopy(1);
  });
});

describe('the check of the store', () => {
  it('says what is wrong, and changes nothing', async () => {
    const db = await database();
    const [one] = await db.select().from(picture);
    await db
      .update(pictureBytes)
      .set({ original: Buffer.from('other'), thumbnail: Buffer.from('none') })
      .where(eq(pictureBytes.pictureId, one.id));
    await db.update(library).set({ name: '' }).where(eq(library.id, libraryIds[1]));
    const [{ id, document }] = await db.select().from(study);
    await db
      .update(study)
      .set({ document: { ...(document as object), aims: 3 } })
      .where(eq(study.id, id));
    const rows = await allRows();
    const { problems } = await checkStore();
    expect(problems).toEqual([
      expect.stringMatching(/original of .* is not the file/),
      expect.stringMatching(/thumbnail copy of .* can’t be opened/),
      expect.stringMatching(/The study .*: aims/),
      expect.stringMatching(/The library .*: name/),
    ]);
    expect(await allRows()).toEqual(rows);
  });
});

it('puts right what libraries are found by, where it is out of step', async () => {
  const db = await database();
  const [{ id, name }] = await db.select().from(library).where(eq(library.id, libraryIds[0]));
  await db.update(library).set({ maker: 'somebody else' }).where(eq(library.id, id));
  await db
    .update(swatch)
    .set({ words: ['other'] })
    .where(eq(swatch.libraryId, libraryIds[2]));
  const first = await checkStore();
  expect(first.mended).toHaveLength(2);
  expect(first.mended.join()).toContain(name);
  const [after] = await db.select().from(library).where(eq(library.id, id));
  expect(after.maker).not.toBe('somebody else');
  expect((await checkStore()).mended).toEqual([]);
});

it('knows the key of every table', async () => {
  const db = await database();
  const answer = (await db.execute(sql`
    select tc.table_name as "table", array_agg(k.column_name::text order by k.ordinal_position) as keys
    from information_schema.table_constraints tc
    join information_schema.key_column_usage k on k.constraint_name = tc.constraint_name and k.table_name = tc.table_name
    where tc.constraint_type = 'PRIMARY KEY' and tc.table_schema = 'public'
    group by tc.table_name`)) as unknown as { rows: { table: string; keys: string[] }[] };
  const found = Object.fromEntries(
    answer.rows
      .filter(({ table }) => table !== 'picture_bytes' && table !== 'desk_answers')
      .map((row) => [row.table, row.keys]),
  );
  expect(found).toEqual(Object.fromEntries(TABLES.map((table) => [table, keysOf(table)])));
});
