import { jest } from '@jest/globals';
import { createLibrary, deleteLibrary, getLibrary, listLibraries } from '../libraries/libraries';
import { importPicture } from '../pictures/import-picture';
import { deleteStudy, getStudy, saveStudy } from '../studies/studies';
import { listStudies } from '../studies/study-cards';
import { freshDatabase } from '../testing/test-database';
import { redAndBlue } from '../testing/test-pictures';
import { seedDemo } from './seed';
import { demoId, readStory } from './story';
import { DEFAULT_LIBRARY_PALETTE } from '@/study/library';

jest.setTimeout(120_000);

let end: () => Promise<void>;
beforeAll(async () => {
  end = await freshDatabase();
});
afterAll(() => end());

it('hangs the whole story', async () => {
  const story = await readStory();
  const steps: string[] = [];
  expect(await seedDemo({ onStep: (done, total) => steps.push(`${done}/${total}`) })).toBe(
    story.length,
  );
  expect(steps[0]).toBe(`0/${story.length}`);
  expect(steps).toHaveLength(story.length);
  const first = await listStudies();
  const libraries = await listLibraries();
  expect(first).toHaveLength(story.length);
  expect(libraries.length).toBeGreaterThanOrEqual(12);
  // One was begun without a picture: a ladder, what follows from a colour, one that was changed by hand.
  const begun = libraries.find(({ name }) => name === 'Endpapers, from one red')!;
  const links = begun.swatches.map(({ follows }) => follows?.kind);
  expect(links.filter((kind) => kind === 'set')).toHaveLength(5);
  expect(links.filter((kind) => kind === 'rule')).toHaveLength(1);
  expect(begun.swatches.filter(({ change }) => change !== null)).toHaveLength(1);
  expect(libraries.every(({ tags, note }) => tags.length > 0 && note !== '')).toBe(true);
  // Along the way: one only imported, one with its values read, others finished with notes.
  expect(story.some(({ about }) => !about.aims)).toBe(true);
  const documents = await Promise.all(first.map(async ({ id }) => (await getStudy(id)).document));
  expect(documents.some(({ palette }) => palette.swatches.some(({ note }) => note !== ''))).toBe(
    true,
  );

  const mixed = await getStudy(demoId('study', story.find(({ recipes }) => recipes)!.picture));
  for (const { recipe } of mixed.document.palette.swatches)
    expect(recipe).toMatchObject({ owner: 'Orla Venn-Tarrick', tried: false });
});

it('puts the story back without touching one’s own work', async () => {
  const story = await readStory();
  const libraries = await listLibraries();
  // A person works on: changes and deletes of the demo's, and makes things of their own.
  const changed = demoId('study', story[1].picture);
  const before = await getStudy(changed);
  await saveStudy(changed, before.revision, { ...before.document, title: 'Mine now' });
  const gone = demoId('study', story[2].picture);
  await deleteStudy(gone);
  await deleteLibrary(libraries[0].id);
  const own = await importPicture(await redAndBlue(77, 41).png().toBuffer(), 'own.png');
  if (own.kind !== 'new') throw new Error('expected a new study');
  const ownDocument = (await getStudy(own.studyId)).document;
  const ownLibrary = await createLibrary(
    {
      ...DEFAULT_LIBRARY_PALETTE,
      name: 'My own',
      note: '',
      tags: [],
      swatches: libraries[0].swatches,
    },
    changed,
  );

  await seedDemo();
  const after = await getStudy(changed);
  expect(after.document.title).toBe(before.document.title);
  expect(after.revision).toBe(before.revision + 2);
  const looks = ({ document }: typeof after) =>
    document.palette.swatches.map(({ id: _, follows, ...swatch }) => [swatch, follows?.kind]);
  expect(looks(after)).toEqual(looks(before));
  expect((await getStudy(gone)).document.title).toBe(story[2].about.title);
  expect((await getLibrary(libraries[0].id)).name).toBe(libraries[0].name);
  expect((await getStudy(own.studyId)).document).toEqual(ownDocument);
  expect((await getLibrary(ownLibrary.id)).swatches).toHaveLength(libraries[0].swatches.length);
  expect(await listStudies()).toHaveLength(story.length + 1);
  expect(await listLibraries()).toHaveLength(libraries.length + 1);
});

it('stops between two studies when it is told to', async () => {
  const stopper = new AbortController();
  const titles: string[] = [];
  const seeding = seedDemo({
    onStep: (_, __, title) => {
      titles.push(title);
      if (titles.length === 2) stopper.abort();
    },
    signal: stopper.signal,
  });
  await expect(seeding).rejects.toThrow();
  expect(titles).toHaveLength(2);
});

it('knows its parts by the same ids in every store', () => {
  expect(demoId('study', 'a.webp')).toBe(demoId('study', 'a.webp'));
  expect(demoId('study', 'a')).not.toBe(demoId('library', 'a'));
  expect(demoId('study', 'a')).toMatch(
    /^[0-9a-f]{8}-[0-9a-f]{4}-8[0-9a-f]{3}-a[0-9a-f]{3}-[0-9a-f]{12}$/,
  );
});
