import { mkdtemp, rm, stat, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { buffer } from 'node:stream/consumers';
import type { Manifest } from '@/contracts/keep';
import { ALL_LIBRARIES } from '@/contracts/library-search';
import { DEFAULT_SETTINGS } from '@/contracts/settings';
import { openArchive } from './keep/archive';
import { backup } from './keep/backup';
import { restore } from './keep/restore';
import { standingsOf } from './keep/standing';
import { createLibrary } from './libraries/libraries';
import { keepSearch } from './libraries/saved-searches';
import { importPicture } from './pictures/import-picture';
import { readingsAreMade, refreshReading } from './readings/refresh';
import { saveSettings } from './settings/settings';
import { listStudies } from './studies/study-cards';
import { allRows, wipe } from './testing/all-rows';
import { entriesOf, withRows, zipOf } from './testing/crafted-backup';
import { someLibrary } from './testing/many-libraries';
import { freshDatabase } from './testing/test-database';
import { redAndBlue } from './testing/test-pictures';

let end: () => Promise<void>;
let folder: string;
const file = () => path.join(folder, 'backup.zip');

beforeAll(async () => {
  end = await freshDatabase();
  folder = await mkdtemp(path.join(tmpdir(), 'prism-crafted-'));
  await importPicture(await redAndBlue(90).png().toBuffer(), 'Wall.png');
  const [{ id }] = await listStudies();
  await refreshReading(id);
  await createLibrary(someLibrary(1, 5), id);
  await keepSearch('Fogs', { ...ALL_LIBRARIES, text: 'fog' });
  await saveSettings({ ...DEFAULT_SETTINGS, surround: 'night' });
  await writeFile(file(), await buffer(await backup()));
}, 120_000);
afterAll(async () => {
  await end();
  await rm(folder, { recursive: true, force: true });
});

describe('a crafted backup', () => {
  type Change = (row: Record<string, unknown>) => unknown;
  const document =
    (part: object): Change =>
    (row) => ({
      ...row,
      document: { ...(row.document as object), ...part },
    });
  const cases: [string, string, Change][] = [
    ['a document that is none', 'study', document({ aims: 'all' })],
    ['a document of a version that is not known', 'study', document({ version: 99 })],
    ['a state in a history that is none', 'study_revision', document({ palette: null })],
    ['a date beyond all years', 'study', (row) => ({ ...row, created_at: 'infinity' })],
    ['a date that is none', 'library', (row) => ({ ...row, updated_at: 'soon' })],
    ['a reading without its figures', 'reading', (row) => ({ ...row, values: { p95: 'high' } })],
    ['an integer that no column holds', 'study', (row) => ({ ...row, revision: 2 ** 40 })],
    ['an id that is none', 'library', (row) => ({ ...row, id: "' or 1 = 1" })],
    ['a name with NUL', 'library', (row) => ({ ...row, name: 'a\0b' })],
    ['a search that is none', 'saved_search', (row) => ({ ...row, search: { sort: 'up' } })],
    ['a row that is a number', 'swatch', () => 5],
    [
      'an unknown column in place of one',
      'swatch',
      ({ name: _, ...row }) => ({ ...row, nom: 'a' }),
    ],
  ];

  it.each(cases)('is refused with %s, and nothing is restored', async (_, table, change) => {
    const entries = await entriesOf(file());
    const crafted = path.join(folder, 'crafted.zip');
    await writeFile(crafted, await zipOf(withRows(entries, table, change)));
    await wipe();
    const archive = await openArchive(crafted);
    const ids = ['study', 'library'].map((name) =>
      [...(entries.get(`tables/${name}.jsonl`) ?? '').toString().matchAll(/"id": "([^"]+)"/g)].map(
        ([, id]) => id,
      ),
    );
    const order = { rest: true, settings: true, differing: 'keep' as const };
    await expect(
      restore(archive, { ...order, studies: ids[0], libraries: ids[1] }),
    ).rejects.toMatchObject({
      status: 422,
      message: expect.stringMatching(/damaged.*Nothing was/),
    });
    archive.close();
    const rows = await allRows();
    for (const name of ['study', 'library', 'swatch', 'folder', 'picture'])
      expect({ name, rows: rows[name] }).toEqual({ name, rows: [] });
  });

  it.each<[string, string, Change]>([
    ['values', 'reading', (row) => ({ ...row, values: { median: 5, p5: 1, p95: 9 } })],
    ['colours', 'reading', (row) => ({ ...row, colours: { temperature: 'warm' } })],
    ['a key that its values do not have', 'reading', (row) => ({ ...row, key: 'high' })],
    ['hues of a wheel', 'wheel_reading', (row) => ({ ...row, study: { hues: null } })],
    ['a wheel', 'wheel_reading', ({ wheel, ...row }) => ({ ...row, wheel: `${wheel as string}s` })],
  ])(
    'with a reading whose %s no core made brings the study, and reads it anew',
    async (...which) => {
      const [what, table, change] = which;
      const entries = await entriesOf(file());
      const crafted = path.join(folder, 'crafted.zip');
      await writeFile(crafted, await zipOf(withRows(entries, table, change)));
      await wipe();
      const archive = await openArchive(crafted);
      const { studies } = await standingsOf(archive);
      const order = { libraries: [], rest: false, settings: false, differing: 'keep' as const };
      await restore(archive, { ...order, studies: studies.map(({ id }) => id) });
      archive.close();
      await readingsAreMade();
      const whole = await openArchive(file());
      for (const name of ['reading', 'wheel_reading']) {
        const kept = [];
        for await (const row of whole.rows(name)) kept.push(row);
        expect({ what, rows: (await allRows())[name] }).toEqual({ what, rows: kept });
      }
      whole.close();
    },
  );

  it('is refused when its picture is another one', async () => {
    const entries = await entriesOf(file());
    const original = [...entries.keys()].find((name) => name.endsWith('/original'))!;
    const crafted = path.join(folder, 'crafted.zip');
    await writeFile(crafted, await zipOf(entries.set(original, Buffer.from('another'))));
    await wipe();
    const archive = await openArchive(crafted);
    const { studies } = await standingsOf(archive);
    await expect(
      restore(archive, {
        studies: studies.map(({ id }) => id),
        libraries: [],
        rest: false,
        settings: false,
        differing: 'keep',
      }),
    ).rejects.toThrow(/is not the one that it is called by/);
    archive.close();
    expect((await allRows()).study).toEqual([]);
  });

  it('is refused when its manifest and its entries do not agree', async () => {
    const entries = await entriesOf(file());
    const open = async (bytes: Buffer) => {
      const crafted = path.join(folder, 'crafted.zip');
      await writeFile(crafted, bytes);
      return openArchive(crafted).then(
        () => 'opened',
        (error: Error) => error.message,
      );
    };
    const listing = (change: (entries: Manifest['entries']) => unknown) =>
      zipOf(entries, (manifest) => ({ ...manifest, entries: change(manifest.entries) }));
    expect(await open(await listing(() => []))).toMatch(/is missing|not in the manifest/);
    expect(await open(await listing((all) => all.slice(1)))).toMatch(/not in the manifest|missing/);
    expect(await open(await listing((all) => [...all, all[0]]))).toMatch(/names an entry twice/);
    expect(await open(await listing(() => 'all'))).toMatch(/manifest is not as it should be/);
    const original = [...entries.keys()].find((name) => name.endsWith('/original'))!;
    for (const path of [original, 'anything'])
      expect(
        await open(await zipOf(new Map(entries).set(path, Buffer.alloc(40 * 1024 * 1024)))),
      ).toMatch(/packed too tightly/);
  });

  it('does not run through a file of empty lines', async () => {
    const entries = await entriesOf(file());
    const crafted = path.join(folder, 'crafted.zip');
    const lines = new Map(entries).set('tables/study.jsonl', Buffer.alloc(300 * 1024 * 1024, '\n'));
    const bytes = await zipOf(lines);
    expect(bytes.length).toBeLessThan(1024 * 1024);
    await writeFile(crafted, bytes);
    const archive = await openArchive(crafted);
    await expect(standingsOf(archive)).rejects.toThrow(/line 1 is no row/);
    archive.close();
  }, 60_000);

  it('is not taken for one where a history of nearly the same states packs very tightly', async () => {
    const entries = await entriesOf(file());
    const path = 'tables/study_revision.jsonl';
    const row = JSON.parse(entries.get(path)!.toString().split('\n')[0]);
    const { palette } = row.document;
    const swatches = palette.swatches.map((one: object) => ({ ...one, note: 'fog '.repeat(1000) }));
    const document = { ...row.document, palette: { ...palette, swatches } };
    const states = Array.from({ length: 3000 }, (_, i) =>
      JSON.stringify({ ...row, document, revision: 100_000 + i }),
    );
    const long = Buffer.from(`${states.join('\n')}\n`);
    expect(long.length).toBeGreaterThan(16 * 1024 * 1024);
    const tight = `${file()}.tight`;
    await writeFile(tight, await zipOf(new Map(entries).set(path, long)));
    expect(long.length / (await stat(tight)).size).toBeGreaterThan(200);
    const archive = await openArchive(tight);
    let count = 0;
    for await (const state of archive.rows('study_revision'))
      count += Number(state.revision) > 0 ? 1 : 0;
    archive.close();
    expect(count).toBe(3000);
  }, 60_000);
});
