import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { CORE_VERSION } from '@/core/index';
import type { LibraryContent, Swatch } from '@/contracts/library';
import { DEFAULT_SETTINGS } from '@/contracts/settings';
import { readStudyDocument } from '@/contracts/study';
import { database } from './db/client';
import { picture, pictureBytes, reading, study, studyRevision } from './db/schema';
import {
  createLibrary,
  deleteLibrary,
  getLibrary,
  listLibraries,
  restoreLibrary,
  saveLibrary,
} from './libraries/libraries';
import { importPicture, titleOf } from './pictures/import-picture';
import { getBytes } from './pictures/get-bytes';
import { refreshReading, refreshStale } from './readings/refresh';
import { getSettings, saveSettings } from './settings/settings';
import {
  createStudy,
  deleteStudy,
  getStudy,
  renameStudy,
  restoreStudy,
  saveStudy,
} from './studies/studies';
import { listStudies } from './studies/study-cards';
import { freshDatabase } from './testing/test-database';
import { pngPromising, redAndBlue } from './testing/test-pictures';
import { DEFAULT_LIBRARY_PALETTE, DEFAULT_LIBRARY_SWATCH } from '@/study/library';

let end: () => Promise<void>;
beforeAll(async () => {
  end = await freshDatabase();
});
afterAll(() => end());

let side = 40;
/** A picture that nobody has imported yet. */
const newPicture = () => redAndBlue(++side, 30).png().toBuffer();
async function newStudy(name = 'wet_street-2.png') {
  const brought = await importPicture(await newPicture(), name);
  if (brought.kind !== 'new') throw new Error('expected a new study');
  return getStudy(brought.studyId);
}

describe('bringing a picture in', () => {
  it('begins a study with a title, a palette and a reading, and keeps the original to the byte', async () => {
    const bytes = await newPicture();
    const stages: string[] = [];
    const brought = await importPicture(bytes, 'wet_street-2.png', {
      onStage: (stage) => stages.push(stage),
    });
    expect(stages).toEqual(['looking', 'working copy', 'palette', 'keeping']);
    if (brought.kind !== 'new') throw new Error('expected a new study');
    const { document, picture: facts, revision } = await getStudy(brought.studyId);
    expect(document.title).toBe('wet street 2');
    expect(revision).toBe(1);
    expect(document.palette.swatches.map(({ share }) => share)).toHaveLength(2);
    const original = await getBytes(facts.id, 'original');
    expect(Buffer.compare(Buffer.from(original.bytes), bytes)).toBe(0);
    expect(original.type).toBe('image/png');
    expect((await getBytes(facts.id, 'thumbnail')).type).toBe('image/webp');
    const [card] = await listStudies();
    expect(card).toMatchObject({
      id: brought.studyId,
      title: 'wet street 2',
      reading: { key: expect.any(String) },
    });
  });

  it('knows the same file again and stores nothing twice', async () => {
    const bytes = await newPicture();
    const first = await importPicture(bytes, 'a.png');
    const again = await importPicture(bytes, 'another name.png');
    if (first.kind !== 'new' || again.kind !== 'known') throw new Error('expected new, then known');
    expect(again.studies).toEqual([{ id: first.studyId, title: 'a' }]);
    const second = await createStudy(again.pictureId);
    expect((await getStudy(second)).picture.id).toBe(again.pictureId);
  });

  it('stores one picture when the same file arrives twice at once', async () => {
    const bytes = await newPicture();
    const results = await Promise.all([
      importPicture(bytes, 'a.png'),
      importPicture(bytes, 'a.png'),
    ]);
    expect(results.map(({ kind }) => kind).sort()).toEqual(['known', 'new']);
  });

  it('stores nothing when it is refused or stopped', async () => {
    const db = await database();
    const count = async () => [
      await db.$count(picture),
      await db.$count(pictureBytes),
      await db.$count(study),
    ];
    const before = await count();
    await expect(importPicture(pngPromising(60_000, 60_000), 'bomb.png')).rejects.toMatchObject({
      code: 'too-many-pixels',
    });
    await expect(importPicture(Buffer.from('text'), 'notes.jpg')).rejects.toMatchObject({
      code: 'not-a-picture',
    });
    const stopper = new AbortController();
    const stopped = importPicture(await newPicture(), 'a.png', {
      onStage: (stage) => stage === 'palette' && stopper.abort(),
      signal: stopper.signal,
    });
    await expect(stopped).rejects.toThrow();
    expect(await count()).toEqual(before);
  });

  it.each([
    ['IMG_2041.JPG', 'IMG 2041'],
    ['a  b--c.tiff', 'a b c'],
    ['.png', 'Untitled picture'],
    ['', 'Untitled picture'],
    [`${'x'.repeat(300)}.png`, 'x'.repeat(200)],
    ['雨の駅.webp', '雨の駅'],
  ])('makes a title of %j', (name, title) => expect(titleOf(name)).toBe(title));
});

describe('a study', () => {
  it('is saved over the revision it was based on, and keeps the old ones', async () => {
    const { id, document } = await newStudy();
    const saved = await saveStudy(id, 1, { ...document, title: 'Renamed', aims: ['values'] });
    expect(saved.revision).toBe(2);
    expect((await getStudy(id)).document).toMatchObject({ title: 'Renamed', aims: ['values'] });
    const db = await database();
    const revisions = await db.select().from(studyRevision).where(eq(studyRevision.ownerId, id));
    expect(revisions.map((row) => readStudyDocument(row.content).title).sort()).toEqual([
      'Renamed',
      'wet street 2',
    ]);
  });

  it('refuses a save on an older revision with what is newer, and overwrites nothing', async () => {
    const { id, document } = await newStudy();
    await saveStudy(id, 1, { ...document, title: 'First' });
    const late = saveStudy(id, 1, { ...document, title: 'Second' });
    await expect(late).rejects.toMatchObject({
      code: 'newer',
      status: 409,
      detail: { revision: 2, document: { title: 'First' } },
    });
    expect((await getStudy(id)).document.title).toBe('First');
  });

  it('lets one of two saves at once through', async () => {
    const { id, document } = await newStudy();
    const results = await Promise.allSettled(
      ['A', 'B', 'C'].map((title) => saveStudy(id, 1, { ...document, title })),
    );
    expect(results.filter(({ status }) => status === 'fulfilled')).toHaveLength(1);
    expect((await getStudy(id)).revision).toBe(2);
  });

  it('has its reading made anew when its framing changes, and not for a new title', async () => {
    const { id, document } = await newStudy();
    const db = await database();
    const median = async () => (await db.select().from(reading).where(eq(reading.studyId, id)))[0];
    await refreshReading(id);
    const before = await median();
    await saveStudy(id, 1, { ...document, title: 'Same picture' });
    await refreshReading(id);
    expect(await median()).toEqual(before);
    const redOnly = { angle: 0, crop: { x: 0, y: 0, width: 0.3, height: 1 } };
    await saveStudy(id, 2, { ...document, framing: redOnly });
    await refreshReading(id);
    expect((await median()).of).not.toBe(before.of);
    expect((await median()).median).not.toBeCloseTo(before.median, 1);
  });

  it('has its reading made anew when an older core has made it', async () => {
    const { id } = await newStudy();
    const db = await database();
    await db.update(reading).set({ core: 0, median: -1 }).where(eq(reading.studyId, id));
    await refreshStale();
    const [made] = await db.select().from(reading).where(eq(reading.studyId, id));
    expect(made.core).toBe(CORE_VERSION);
    expect(made.median).toBeGreaterThan(0);
    // As it stands when the server was killed between a save and its reading.
    await db.update(reading).set({ of: 'before', median: -1 }).where(eq(reading.studyId, id));
    await refreshStale();
    const [again] = await db.select().from(reading).where(eq(reading.studyId, id));
    expect([again.of, again.median]).toEqual([made.of, made.median]);
  });

  it('lifts a document of before the squint when it is read', async () => {
    const { id, document } = await newStudy();
    const { squint: _, ...older } = document.values;
    const db = await database();
    await db
      .update(study)
      .set({ document: { ...document, version: 1, values: older } as never })
      .where(eq(study.id, id));
    expect((await getStudy(id)).document).toEqual(document);
  });

  it('is renamed, deleted and brought back', async () => {
    const { id } = await newStudy();
    await renameStudy(id, 'By another name');
    expect((await getStudy(id)).document.title).toBe('By another name');
    await deleteStudy(id);
    await expect(getStudy(id)).rejects.toMatchObject({ code: 'not-found' });
    expect((await listStudies()).some((card) => card.id === id)).toBe(false);
    await restoreStudy(id);
    expect((await getStudy(id)).document.title).toBe('By another name');
    await expect(deleteStudy(randomUUID())).rejects.toMatchObject({ status: 404 });
    await expect(createStudy(randomUUID())).rejects.toMatchObject({ status: 404 });
    await expect(getBytes(randomUUID(), 'working')).rejects.toMatchObject({ status: 404 });
  });
});

const swatch = (name: string, hex: string, part: Partial<Swatch> = {}): Swatch => ({
  id: randomUUID(),
  name,
  note: '',
  role: null,
  colour: oklabFromHex(hex) as Oklab,
  share: 0.25,
  ...DEFAULT_LIBRARY_SWATCH,
  ...part,
});
const content = (part: Partial<LibraryContent> = {}): LibraryContent => ({
  ...DEFAULT_LIBRARY_PALETTE,
  name: 'Dusk “wet” greys\n☂',
  note: 'for plate 3',
  tags: ['rain', 'ночь'],
  swatches: [
    swatch('ink', '#101828', {
      provenance: {
        studyId: randomUUID(),
        studyTitle: 'A study',
        pictureHash: 'ff',
        x: 0.1,
        y: 0.2,
        radius: 0.01,
      },
    }),
    swatch('lamp, "late"', '#f0b050', { note: 'last of all' }),
  ],
  ...part,
});

describe('a library', () => {
  it('keeps everything to the last digit, in order', async () => {
    const whole = content();
    whole.swatches[0].colour = { L: 0.1 + 0.2, a: 1 / 3, b: -0.123456789012345 };
    const { id } = await createLibrary(whole, null);
    expect(await getLibrary(id)).toMatchObject(whole);
    const saved = await saveLibrary(id, 1, {
      ...whole,
      swatches: [...whole.swatches].reverse(),
      tags: ['rain'],
    });
    expect(saved.revision).toBe(2);
    const after = await getLibrary(id);
    expect(after.swatches.map(({ name }) => name)).toEqual(['lamp, "late"', 'ink']);
    expect(after.tags).toEqual(['rain']);
    expect((await listLibraries())[0].id).toBe(id);
  });

  it('refuses a save on an older revision with what is newer', async () => {
    const { id } = await createLibrary(content(), null);
    await saveLibrary(id, 1, content({ name: 'First' }));
    await expect(saveLibrary(id, 1, content({ name: 'Second' }))).rejects.toMatchObject({
      status: 409,
      detail: { name: 'First', revision: 2 },
    });
  });

  it('is deleted and brought back', async () => {
    const { id } = await createLibrary(content(), null);
    await deleteLibrary(id);
    await expect(getLibrary(id)).rejects.toMatchObject({ status: 404 });
    await restoreLibrary(id);
    expect((await getLibrary(id)).swatches).toHaveLength(2);
    await expect(restoreLibrary(randomUUID())).rejects.toMatchObject({ status: 404 });
  });
});

describe('settings', () => {
  it('are as at first until they are changed', async () => {
    expect(await getSettings()).toEqual(DEFAULT_SETTINGS);
    const mine = {
      ...DEFAULT_SETTINGS,
      surround: 'night' as const,
      scale: { steps: 9, first: 1 as const, highIs: 'dark' as const },
    };
    await saveSettings(mine);
    await saveSettings(mine);
    expect(await getSettings()).toEqual(mine);
  });
});
