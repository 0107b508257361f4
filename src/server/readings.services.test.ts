import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { wheelOf } from '@/core/colour/wheel';
import { oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { valueOfOklab } from '@/core/colour/value';
import { queryKey } from '@/contracts/desk-query/desk-query';
import { coloursQuery, openingQueries } from '@/contracts/desk-query/opening-queries';
import type { LightAndShadow } from '@/core/measure/light-and-shadow';
import { DEFAULT_SETTINGS } from '@/contracts/settings';
import type { StudyCard, StudyDocument } from '@/contracts/study';
import { guessRecord, keepAttempt } from './drills/attempts';
import { importPicture } from './pictures/import-picture';
import { refreshReading, storedAnswers } from './readings/refresh';
import { saveSettings } from './settings/settings';
import { getCompared } from './studies/compared';
import { deleteStudy, getStudy, saveStudy } from './studies/studies';
import { listStudies } from './studies/study-cards';
import { freshDatabase } from './testing/test-database';
import { redAndBlue } from './testing/test-pictures';

let end: () => Promise<void>;
beforeAll(async () => {
  end = await freshDatabase();
});
afterAll(() => end());

async function study(bytes: Buffer): Promise<string> {
  const brought = await importPicture(bytes, 'a.png');
  if (brought.kind !== 'new') throw new Error('expected a new study');
  return brought.studyId;
}
async function cardOf(id: string): Promise<StudyCard> {
  const card = (await listStudies()).find((one) => one.id === id);
  if (!card) throw new Error('expected a card');
  return card;
}
async function change(id: string, part: Partial<StudyDocument>): Promise<void> {
  const { revision, document } = await getStudy(id);
  await saveStudy(id, revision, { ...document, ...part });
  await refreshReading(id);
}
const grey = (side: number) =>
  sharp({ create: { width: side, height: 20, channels: 3, background: '#808080' } })
    .png()
    .toBuffer();

describe('what the Desk opens with', () => {
  it('is stored with the reading, of the document as it stands, on the person’s wheel', async () => {
    const id = await study(await redAndBlue(80, 60).png().toBuffer());
    const asOpened = async () => storedAnswers(await getStudy(id));
    expect(await asOpened()).toBeNull();
    await refreshReading(id);
    const { document } = await getStudy(id);
    const stored = (await asOpened()) ?? {};
    const queries = [
      ...openingQueries(document, DEFAULT_SETTINGS),
      coloursQuery(document, DEFAULT_SETTINGS.wheel),
    ];
    expect(Object.keys(stored).sort()).toEqual(queries.map(queryKey).sort());
    expect(stored[queryKey(coloursQuery(document, 'painters'))]).toMatchObject({
      hues: { dominant: [{ family: expect.any(String) }, expect.anything()] },
      temperature: { mean: expect.any(Number) },
    });
    // Compare has the light and the shadow that the Desk has.
    const side = stored[
      queryKey({ kind: 'lightAndShadow', squint: document.values.squint, corrections: [] })
    ] as LightAndShadow;
    expect((await getCompared(id, 'painters')).colours.sideValues).toEqual({
      light: side.light?.value,
      shadow: side.shadow?.value,
    });
    // Another squint, another reading: nothing out of date is shown for it.
    const { revision } = await getStudy(id);
    await saveStudy(id, revision, { ...document, values: { ...document.values, squint: 0.03 } });
    const { document: saved } = await getStudy(id);
    await refreshReading(id);
    expect(Object.keys((await asOpened()) ?? {})).toContain(
      queryKey({ kind: 'values', settings: saved.values, quick: false }),
    );
    await saveSettings({ ...DEFAULT_SETTINGS, wheel: 'screen' });
    expect(Object.keys((await asOpened()) ?? {})).toContain(
      queryKey(coloursQuery(saved, 'screen')),
    );
    await saveSettings(DEFAULT_SETTINGS);
  });
});

describe('stored readings of colour', () => {
  it('come after the values, and tell the Wall family, key, harmony and neutrals', async () => {
    const id = await study(await redAndBlue(90, 40).png().toBuffer());
    expect((await cardOf(id)).reading).toMatchObject({ key: 'low', colours: null });
    await refreshReading(id);
    const { colours, spread } = (await cardOf(id)).reading ?? {};
    expect(colours).toMatchObject({ family: 'blue', neutral: 0 });
    expect(colours?.harmony).toEqual(expect.any(String));
    expect(colours?.temperature).toBeLessThan(0);
    expect(spread).toBeGreaterThan(0);
  });

  it('are of no family, key or scheme for greys', async () => {
    const id = await study(await grey(50));
    await refreshReading(id);
    expect((await cardOf(id)).reading?.colours).toMatchObject({
      family: null,
      keyFamily: null,
      harmony: null,
      neutral: 1,
    });
  });

  it('are there on every wheel: another one needs no new reading', async () => {
    const id = await study(await redAndBlue(91, 40).png().toBuffer());
    await refreshReading(id);
    await saveSettings({ ...DEFAULT_SETTINGS, wheel: 'even' });
    const family = (await cardOf(id)).reading?.colours?.family ?? '';
    expect(wheelOf('even').families).toContain(family);
    expect(family).not.toBe('blue-green');
    expect((await getCompared(id, 'even')).colours.hues.dominant[0].family).toBe(family);
    await saveSettings(DEFAULT_SETTINGS);
  });

  it('follow the crop and the corrections of light and shadow', async () => {
    const id = await study(await redAndBlue(92, 40).png().toBuffer());
    await refreshReading(id);
    await change(id, {
      framing: { angle: 0, crop: { x: 0, y: 0, width: 0.3, height: 1 } },
    });
    expect((await cardOf(id)).reading?.colours?.family).toBe('red');

    await change(id, { framing: { angle: 0, crop: null } });
    const tide = async () => {
      const { hues } = (await getCompared(id, 'painters')).colours;
      return hues.families.reduce((sum, { light }) => sum + light, 0);
    };
    const before = await tide();
    const corner = [
      { x: -0.1, y: -0.1 },
      { x: 1.1, y: -0.1 },
      { x: 1.1, y: 1.1 },
      { x: -0.1, y: 1.1 },
    ];
    const lasso = { id: 'a', side: 'light', tool: 'lasso', radius: 0, points: corner } as const;
    await change(id, { lightAndShadow: { corrections: [{ ...lasso, points: [...corner] }] } });
    expect(before).toBeLessThan(0.9);
    expect(await tide()).toBeCloseTo(1, 2);
  });
});

describe('a study beside another', () => {
  it('has its readings made first where they are not there', async () => {
    const id = await study(await redAndBlue(93, 40).png().toBuffer());
    const compared = await getCompared(id, 'painters');
    expect(compared.values.median).toBeGreaterThan(0);
    expect(compared.colours.hues.dominant.map(({ family }) => family)).toContain('red');
    await deleteStudy(id);
    await expect(getCompared(id, 'painters')).rejects.toMatchObject({ status: 404 });
    await expect(getCompared(randomUUID(), 'painters')).rejects.toMatchObject({ status: 404 });
  });
});

describe('guesses', () => {
  it('are kept once with their score, and added up', async () => {
    expect(await guessRecord()).toMatchObject({ count: 0, score: null, valueOff: null });
    const studyId = await study(await grey(51));
    const red = oklabFromHex('#b03a30') as Oklab;
    const value = valueOfOklab(red);
    const first = {
      id: randomUUID(),
      studyId,
      colour: red,
      guess: { wheel: 'painters' as const, family: 0, value, intensity: 'strong' as const },
    };
    expect(await keepAttempt(first)).toMatchObject({ count: 1, score: 100 });
    expect(await keepAttempt(first)).toMatchObject({ count: 1 });
    const worse = { ...first.guess, family: 2, value: value + 2, intensity: 'vivid' as const };
    const record = await keepAttempt({ ...first, id: randomUUID(), guess: worse });
    expect(record).toMatchObject({ count: 2, families: { right: 1, of: 2 } });
    expect(record.valueOff).toBeCloseTo(1);
    expect(record.valueLean).toBeCloseTo(1);
    expect(record.intensityLean).toBeCloseTo(0.5);
    const neutral = { ...first, id: randomUUID(), colour: { L: 0.6, a: 0, b: 0 } };
    expect((await keepAttempt(neutral)).families).toEqual({ right: 1, of: 2 });
    await expect(
      keepAttempt({ ...first, id: randomUUID(), studyId: randomUUID() }),
    ).rejects.toMatchObject({ status: 404 });
  });
});
