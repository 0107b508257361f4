import { randomUUID } from 'node:crypto';
import { eq, sql } from 'drizzle-orm';
import { ciede2000 } from '@/core/colour/ciede2000';
import { labFromOklab } from '@/core/colour/cielab';
import { intensityWord, INTENSITY_WORDS, NEUTRAL_CHROMA } from '@/core/colour/intensity';
import { oklchFromOklab } from '@/core/colour/oklab';
import { randomFrom } from '@/core/seeded';
import { temperature, temperatureWord } from '@/core/colour/temperature';
import { valueOfOklab } from '@/core/colour/value';
import { familyOf } from '@/core/colour/wheel';
import type { LibraryContent, Swatch } from '@/contracts/library';
import { GREY, librarySearchSchema, LOOSE, type LibrarySearch } from '@/contracts/library-search';
import { database } from './db/client';
import { library, libraryRevision, swatch } from './db/library-schema';
import { emptyOld, listBin, removeForGood } from './libraries/bin';
import { countFacets } from './libraries/facets';
import {
  createFolder,
  deleteFolder,
  listFolders,
  moveToFolder,
  renameFolder,
} from './libraries/folders';
import { placeBefore, setFavourite } from './libraries/order';
import { libraryRevisions, listLibraryHistory } from './libraries/library-history';
import {
  addLibrary,
  createLibrary,
  deleteLibrary,
  duplicateLibrary,
  getLibrary,
  indexStale,
  listLibraries,
  restoreLibrary,
  saveLibrary,
} from './libraries/libraries';
import { forgetSearch, keepSearch, listSearches } from './libraries/saved-searches';
import { searchLibraries } from './libraries/search';
import { wordsOf } from './libraries/words';
import { freshDatabase } from './testing/test-database';
import { someLibrary } from './testing/many-libraries';
import { DEFAULT_LIBRARY_PALETTE } from '@/study/library';

let end: () => Promise<void>;
beforeAll(async () => {
  end = await freshDatabase();
}, 120_000);
afterAll(() => end());

const LIBRARIES = 40;
const all: (LibraryContent & { id: string })[] = [];
beforeAll(async () => {
  for (let seed = 0; seed < LIBRARIES; seed++) {
    const content = someLibrary(seed, 3 + (seed % 7));
    const { id } = await createLibrary(content, null);
    all.push({ ...content, id });
  }
}, 120_000);

const search = (part: Partial<LibrarySearch>) => librarySearchSchema.parse(part);
const find = async (part: Partial<LibrarySearch>) =>
  searchLibraries(search(part), 'painters', 0, 60);

/** Words are slow to tell apart, and those of a swatch stay the same. */
const wordsKnown = new Map<string, string[]>();
function knownWords(...texts: string[]): string[] {
  const key = JSON.stringify(texts);
  const words = wordsKnown.get(key) ?? wordsOf(...texts);
  wordsKnown.set(key, words);
  return words;
}

/** What is asked of one swatch, by the plain functions of the core. */
function answers({ colour, ...said }: Swatch, of: LibraryContent, query: LibrarySearch): boolean {
  const { C } = oklchFromOklab(colour);
  const value = valueOfOklab(colour);
  const family = C < NEUTRAL_CHROMA ? GREY : familyOf(colour).index;
  const step = INTENSITY_WORDS.indexOf(intensityWord(C));
  const words = knownWords(said.name, said.note, of.name, of.note, ...of.tags);
  const { near, families, values, intensities, temperature: warmth } = query;
  return (
    knownWords(query.text).every((word) => words.some((own) => own.startsWith(word))) &&
    (!near || ciede2000(labFromOklab(near.colour), labFromOklab(colour)) <= near.within) &&
    (families.length === 0 || families.includes(family)) &&
    (!values || (value >= values[0] && value <= values[1])) &&
    (!intensities ||
      (step >= INTENSITY_WORDS.indexOf(intensities[0]) &&
        step <= INTENSITY_WORDS.indexOf(intensities[1]))) &&
    (!warmth || temperatureWord(temperature(colour)) === warmth) &&
    query.tags.every((tag) => of.tags.includes(tag))
  );
}

describe('searching', () => {
  it('finds just the swatches that plain arithmetic finds, and counts them so', async () => {
    const random = randomFrom(11);
    const texts = ['', '', 'fog', 'dull li', 'harbour grey', 'plate'];
    for (let i = 0; i < 30; i++) {
      const part = (share: number) => random() < share;
      const from = random() * 7;
      const query = search({
        text: texts[i % texts.length],
        near: part(0.4)
          ? { colour: all[i % LIBRARIES].swatches[0].colour, within: 1 + random() * 14 }
          : null,
        families: part(0.3) ? [Math.floor(random() * 12), GREY] : [],
        values: part(0.4) ? [from, from + 3] : null,
        intensities: part(0.3) ? ['greyed', 'moderate'] : null,
        temperature: part(0.2) ? 'cool' : null,
        tags: part(0.1) ? ['evening'] : [],
      });
      const expected = all.map((one) => ({
        id: one.id,
        hits: one.swatches.filter((own) => answers(own, one, query)).map(({ id }) => id),
      }));
      const { total, libraries } = await searchLibraries(query, 'painters', 0, 60);
      const found = expected.filter(({ hits }) => hits.length > 0);
      expect(new Set(libraries.map(({ id }) => id))).toEqual(new Set(found.map(({ id }) => id)));
      expect(total).toBe(found.length);
      const colours = query.near ?? query.values ?? query.intensities ?? query.temperature;
      if (colours || query.families.length > 0)
        for (const { id, hits } of libraries)
          expect(hits).toEqual(found.find((one) => one.id === id)?.hits);

      const facets = await countFacets(query, 'painters');
      const open = { ...query, families: [] };
      const swatches = all.flatMap((one) => one.swatches.map((own) => ({ own, one })));
      for (const { of, count } of facets.families)
        expect({ of, count }).toEqual({
          of,
          count: swatches.filter(({ own, one }) => answers(own, one, { ...open, families: [of] }))
            .length,
        });
      const valued = swatches.filter(({ own, one }) =>
        answers(own, one, { ...query, values: null }),
      );
      facets.values.forEach((count, step) =>
        expect(count).toBe(
          valued.filter(({ own }) => Math.round(valueOfOklab(own.colour)) === step).length,
        ),
      );
      for (const { of, count } of facets.intensities) {
        const word = of as (typeof INTENSITY_WORDS)[number];
        expect(count).toBe(
          swatches.filter(({ own, one }) =>
            answers(own, one, { ...query, intensities: [word, word] }),
          ).length,
        );
      }
    }
  }, 120_000);

  it('finds words without accents or case, by how they begin, in any script, and in other names', async () => {
    const made = await createLibrary(
      {
        ...DEFAULT_LIBRARY_PALETTE,
        name: 'Ébauche nº 7, Ночь',
        note: 'für Ölfarben',
        tags: ['灯りの色'],
        swatches: [
          { ...all[0].swatches[0], id: 'one', name: 'slate', otherNames: ['ardoise', 'غروب'] },
        ],
      },
      null,
    );
    for (const text of ['ebauche', 'ночь', 'olfarb', 'ÖLFARBEN SLATE', '灯り', 'ardoi', 'غروب'])
      expect((await find({ text })).libraries.map(({ id }) => id)).toEqual([made.id]);
    for (const text of ['bauche', "'; drop table swatch; --", 'slate & ! | :*'])
      expect(
        (await find({ text })).libraries.every(({ id }) => id !== made.id || /slate/.test(text)),
      ).toBe(true);
    expect((await find({ text: 'ardoise' })).libraries[0].hits).toEqual(['one']);
    expect((await find({ text: 'ebauche' })).libraries[0].hits).toEqual([]);
    await deleteLibrary(made.id);
    expect((await find({ text: 'ebauche' })).total).toBe(0);
    await removeForGood(made.id);
  });

  it('goes on from any place, in the order asked for', async () => {
    const first = await searchLibraries(search({ sort: 'name' }), 'painters', 0, 15);
    const second = await searchLibraries(search({ sort: 'name' }), 'painters', 15, 60);
    const names = [...first.libraries, ...second.libraries].map(({ name }) => name);
    expect(first.total).toBe(LIBRARIES);
    expect(names).toHaveLength(LIBRARIES);
    const lower = names.map((name) => name.toLowerCase());
    expect(new Set(lower).size).toBe(LIBRARIES);
    const beyond = await searchLibraries(search({ sort: 'name' }), 'painters', 500, 10);
    expect(beyond).toEqual({ total: LIBRARIES, libraries: [] });
    const { colour } = all[3].swatches[1];
    const nearest = await find({ near: { colour, within: 12 }, sort: 'nearest' });
    expect(nearest.libraries[0].id).toBe(all[3].id);
    const bySize = (await find({ sort: 'swatches' })).libraries.map(({ size }) => size);
    expect(bySize).toEqual([...bySize].sort((a, b) => b - a));
  });

  it('sends of a large library only what is drawn, with every hit', async () => {
    const large = someLibrary(900, 1000);
    const { id } = await createLibrary({ ...large, name: 'Thousand' }, null);
    const { libraries } = await find({ text: 'thousand', values: [0, 2] });
    expect(libraries[0]).toMatchObject({ id, size: 1000 });
    const sent = new Set(libraries[0].swatches.map((one) => one.id));
    expect(sent.size).toBeLessThan(500);
    for (const hit of libraries[0].hits) expect(sent.has(hit)).toBe(true);
    await deleteLibrary(id);
    await removeForGood(id);
  });

  it('is made ready for rows that were there before it', async () => {
    const db = await database();
    await db.update(library).set({ indexed: 0, words: [] });
    await db.update(swatch).set({ value: 0, words: [] });
    await db.delete(libraryRevision).where(eq(libraryRevision.ownerId, all[0].id));
    expect((await find({ text: 'fog' })).total).toBe(0);
    expect(await indexStale()).toBe(LIBRARIES);
    expect(await indexStale()).toBe(0);
    expect((await find({ text: 'fog' })).total).toBeGreaterThan(0);
    expect((await find({ values: [5, 10] })).total).toBeGreaterThan(0);
    expect(await listLibraryHistory(all[0].id)).toHaveLength(1);
  });

  it('is kept under a name', async () => {
    const query = search({ text: 'fog', families: [3] });
    const id = await keepSearch('Fogs', query);
    expect(await listSearches()).toEqual([{ id, name: 'Fogs', search: query }]);
    await forgetSearch(id);
    expect(await listSearches()).toEqual([]);
    await expect(forgetSearch(id)).rejects.toMatchObject({ status: 404 });
  });
});

describe('folders, favourites and order', () => {
  it('lays libraries in folders and takes the folders away again', async () => {
    const id = await createFolder('Series');
    await moveToFolder([all[0].id, all[1].id], id);
    expect(await listFolders()).toEqual([{ id, name: 'Series', count: 2 }]);
    expect((await find({ folder: id })).total).toBe(2);
    expect((await find({ folder: LOOSE })).total).toBe(LIBRARIES - 2);
    await renameFolder(id, 'The series');
    await expect(moveToFolder([all[0].id], randomUUID())).rejects.toMatchObject({ status: 404 });
    const copy = await duplicateLibrary(all[0].id);
    expect((await find({ folder: id })).total).toBe(3);
    expect((await getLibrary(copy.id)).name).toBe(`${all[0].name}, copy`);
    await deleteLibrary(copy.id);
    await removeForGood(copy.id);
    expect(new Set(await deleteFolder(id))).toEqual(new Set([all[0].id, all[1].id]));
    expect(await listFolders()).toEqual([]);
    expect((await getLibrary(all[0].id)).name).toBe(all[0].name);
  });

  it('marks favourites', async () => {
    await setFavourite(all[2].id, true);
    expect((await find({ favourites: true })).libraries.map(({ id }) => id)).toEqual([all[2].id]);
    await setFavourite(all[2].id, false);
    expect((await find({ favourites: true })).total).toBe(0);
  });

  it('keeps the person’s own order', async () => {
    const order = async () => (await find({ sort: 'own' })).libraries.map(({ id }) => id);
    const before = await order();
    await placeBefore(before[5], before[1]);
    await placeBefore(before[0], null);
    const expected = [before[5], ...before.slice(1, 5), ...before.slice(6), before[0]];
    expect(await order()).toEqual(expected);
    await expect(placeBefore(randomUUID(), null)).rejects.toMatchObject({ status: 404 });
  });
});

describe('history and bin', () => {
  it('keeps what a library was, one state a sitting, and what changed', async () => {
    const content = someLibrary(700, 4);
    const { id } = await createLibrary(content, null);
    const fewer = { ...content, name: 'Fewer', swatches: content.swatches.slice(1) };
    await saveLibrary(id, 1, fewer);
    const [renamed, ...rest] = fewer.swatches;
    await saveLibrary(id, 2, { ...fewer, swatches: [{ ...renamed, name: 'another' }, ...rest] });
    // The second sitting replaced its own first state; the very first stays.
    expect(await listLibraryHistory(id)).toMatchObject([
      {
        revision: 3,
        name: 'Fewer',
        renamed: true,
        retold: false,
        reordered: false,
        size: 3,
        added: 0,
        removed: 1,
        changed: 1,
      },
      { revision: 1, size: 4, added: 4, removed: 0, renamed: false },
    ]);
    const db = await database();
    await db
      .update(libraryRevision)
      .set({ beganAt: sql`clock_timestamp() - interval '1 hour'` })
      .where(eq(libraryRevision.ownerId, id));
    await saveLibrary(id, 3, fewer);
    expect((await listLibraryHistory(id)).map(({ revision }) => revision)).toEqual([4, 3, 1]);
    // What changes nothing leaves no state behind.
    await saveLibrary(id, 4, fewer);
    expect((await listLibraryHistory(id)).map(({ revision }) => revision)).toEqual([4, 3, 1]);
    await saveLibrary(id, 5, {
      ...fewer,
      tags: ['other'],
      swatches: [...fewer.swatches].reverse(),
    });
    expect((await listLibraryHistory(id))[0]).toMatchObject({
      retold: true,
      reordered: true,
      added: 0,
      removed: 0,
      // Its sitting began with a name changed back.
      changed: 1,
    });
    expect(await libraryRevisions.get(id, 1)).toEqual(content);
    await expect(libraryRevisions.get(id, 2)).rejects.toMatchObject({ status: 404 });
    await deleteLibrary(id);
    await removeForGood(id);
  });

  it('holds what was deleted for thirty days, then lets go of it', async () => {
    const { id } = await createLibrary(someLibrary(701, 3), null);
    await expect(removeForGood(id)).rejects.toMatchObject({ status: 404 });
    await deleteLibrary(id);
    const [binned] = await listBin();
    expect(binned).toMatchObject({ id, swatches: expect.any(Array) });
    const days = (Date.parse(binned.goneAt) - Date.parse(binned.deletedAt)) / 86_400_000;
    expect(days).toBeCloseTo(30, 0);
    expect(await emptyOld(new Date(Date.now() + 29 * 86_400_000))).toBe(0);
    expect(await emptyOld(new Date(Date.now() + 31 * 86_400_000))).toBe(1);
    await expect(restoreLibrary(id)).rejects.toMatchObject({ status: 404 });
    const db = await database();
    expect(await db.select().from(swatch).where(eq(swatch.libraryId, id))).toEqual([]);
  });

  it('puts a merged library in the place of two with one stroke', async () => {
    const one = await createLibrary(someLibrary(702, 3), null);
    const other = await createLibrary(someLibrary(703, 3), null);
    const before = (await listLibraries()).length;
    const made = await addLibrary({
      ...someLibrary(704, 5),
      name: 'Both',
      studyId: null,
      folderId: null,
      insteadOf: [one.id, other.id],
    });
    expect(await listLibraries()).toHaveLength(before - 1);
    expect((await listBin()).map(({ id }) => id)).toEqual(
      expect.arrayContaining([one.id, other.id]),
    );
    for (const id of [made.id]) await deleteLibrary(id);
    for (const id of [one.id, other.id, made.id]) await removeForGood(id);
  });
});
