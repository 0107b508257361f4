import { randomUUID } from 'node:crypto';
import { closePool } from '@/workers/server/pool';
import { oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { DRILL_KINDS } from '@/core/drills/kinds';
import { classRoundSchema } from '@/contracts/class-round';
import { practiceRecordSchema, type DrillAnswer } from '@/contracts/practice';
import { newSession } from '@/contracts/session';
import { database } from './db/client';
import { drillAnswer } from './db/practice-schema';
import { keepAttempt } from './drills/attempts';
import { classRoundPage } from './drills/class-round';
import { ownColours } from './drills/own-colours';
import { keepAnswers, practiceRecord } from './drills/practice';
import { warmUpFor } from './drills/warm-up';
import { createLibrary } from './libraries/libraries';
import { importPicture } from './pictures/import-picture';
import { beginSession, getSession, saveSession } from './sessions/sessions';
import { getShelf, saveShelf } from './shelf/shelf';
import { getStudy } from './studies/studies';
import { wipe } from './testing/all-rows';
import { someLibrary } from './testing/many-libraries';
import { fullSession } from './testing/some-session';
import { someShelf } from './testing/some-shelf';
import { freshDatabase } from './testing/test-database';
import { redAndBlue } from './testing/test-pictures';

let end: () => Promise<void>;
beforeAll(async () => {
  end = await freshDatabase();
});
beforeEach(() => wipe());
afterAll(() => end());
afterAll(() => closePool());

const colour = oklabFromHex('#2f5f9e') as Oklab;
const answer = (at: number, part: Partial<DrillAnswer> = {}): DrillAnswer => ({
  id: randomUUID(),
  at,
  kind: 'value',
  about: colour,
  difficulty: 0.3,
  outcome: { isRight: false, valueOff: 1.5 },
  ...part,
});
async function study(): Promise<string> {
  const brought = await importPicture(await redAndBlue(70).png().toBuffer(), 'Quay.png');
  if (brought.kind !== 'new') throw new Error('known');
  return brought.studyId;
}

describe('answers of practice', () => {
  it('are kept once however often they are sent, the oldest first', async () => {
    const [late, early] = [answer(2000), answer(1000, { outcome: { isRight: null } })];
    await keepAnswers([late, early]);
    await keepAnswers([early, { ...late, outcome: { isRight: true } }]);
    const { answers } = await practiceRecord();
    expect(answers).toEqual([early, late]);
    expect(practiceRecordSchema.parse(await practiceRecord()).answers).toEqual(answers);
  });

  it('to a kind of question that is asked no more stay in the store, and are in no record', async () => {
    await keepAnswers([answer(1)]);
    const db = await database();
    await db.update(drillAnswer).set({ kind: 'of old' });
    expect((await practiceRecord()).answers).toEqual([]);
    expect(await db.select().from(drillAnswer)).toHaveLength(1);
  });
});

describe('what was missed elsewhere', () => {
  it('is a guess on the Desk, with what it was off', async () => {
    const studyId = await study();
    const guess = { wheel: 'painters' as const, family: 8, value: 7, intensity: 'dull' as const };
    await keepAttempt({ id: randomUUID(), studyId, colour, guess });
    const { elsewhere } = await practiceRecord();
    expect(elsewhere).toMatchObject([{ from: 'guess', colour }]);
    expect(elsewhere[0].valueOff).toBeGreaterThan(2);
    expect(elsewhere[0].intensityOff).toBeLessThan(0);
  });

  it('is a mixture that came out otherwise; one without an aim or a dab is none', async () => {
    await getShelf();
    const shelf = someShelf('a', 'b');
    const plain = {
      triedAt: '2026-10-01T08:00:00.000Z',
      name: '',
      parts: [{ tube: shelf.tubes[0].id, parts: 1 }],
      note: '',
    };
    const target = colour;
    const result = oklabFromHex('#6f8fbe') as Oklab;
    await saveShelf(1, {
      ...shelf,
      patches: [],
      tries: [
        { ...plain, id: 'one', target, result },
        { ...plain, id: 'two', target, result: null },
        { ...plain, id: 'three', target: null, result },
      ],
    });
    const { elsewhere } = await practiceRecord();
    expect(elsewhere).toMatchObject([
      { from: 'mixture', colour, at: Date.parse(plain.triedAt), familyOff: expect.any(Number) },
    ]);
    expect(elsewhere[0].valueOff).toBeGreaterThan(1);
  });

  it('is what the last check of each snapshot found off, but for what was meant so', async () => {
    const studyId = await study();
    const session = fullSession();
    const [check] = session.checks;
    const relation = { ...check.finding!.relations[0], colour };
    const finding = (value: number, ids: string[]) => ({
      ...check.finding!,
      relations: ids.map((id) => ({ ...relation, id, value })),
    });
    const id = await beginSession({ id: randomUUID(), studyId, content: session });
    const { revision } = await getSession(id);
    await saveSession(id, revision, {
      ...session,
      checks: [
        { ...check, finding: finding(-2, ['relation-1']) },
        {
          ...check,
          id: 'later',
          at: check.at + 1000,
          finding: finding(1.5, ['relation-1', 'relation-2']),
          excused: [{ id: 'relation-2', why: 'on purpose' }],
        },
        { ...check, id: 'not yet', finding: null },
      ],
    });
    const { elsewhere } = await practiceRecord();
    expect(elsewhere).toHaveLength(1);
    expect(elsewhere[0]).toMatchObject({ from: 'check', at: check.at + 1000, colour });
    expect(elsewhere[0].valueOff).toBeCloseTo(1.5, 1);
  });

  it('in a check from before colours were kept is left out', async () => {
    await beginSession({ id: randomUUID(), studyId: await study(), content: fullSession() });
    expect((await practiceRecord()).elsewhere).toEqual([]);
  });
});

describe('what a round is made of', () => {
  it('is the palette of a study, or of all; of a study that is gone it is all', async () => {
    const id = await study();
    const { document, picture } = await getStudy(id);
    const colours = document.palette.swatches.map((one) => one.colour);
    expect(colours.length).toBeGreaterThan(0);
    const pictures = [{ id: picture.id, title: 'Quay' }];
    expect(await ownColours(id)).toEqual({ title: 'Quay', colours, pictures });
    expect(await ownColours('')).toEqual({ title: null, colours, pictures });
    expect(await ownColours(randomUUID())).toEqual({ title: null, colours, pictures });
  });

  it('before a session is what its aim needs, and what keeps going wrong', async () => {
    const studyId = await study();
    const begun = (content = fullSession()) => beginSession({ id: randomUUID(), studyId, content });
    const id = await begun(newSession('Roofs', 'hidden colour', 'paint'));
    expect(await warmUpFor(id)).toMatchObject({ sessionId: id, title: 'Roofs' });
    expect((await warmUpFor(id))!.skills).toEqual(['lean', 'hidden', 'temperature', 'contrast']);
    await begun();
    await begun();
    // Both studies are a value and a half too light in the middles.
    expect((await warmUpFor(id))!.skills).toContain('value');
    expect(await warmUpFor(randomUUID())).toBeNull();
    expect(await warmUpFor('no id')).toBeNull();
  });
});

describe('a round for a class', () => {
  const wanted = { title: 'Quay <i>at</i> dusk', count: 12, level: 'middle', seed: 5 } as const;
  const roundIn = (page: Uint8Array) => {
    const text = new TextDecoder().decode(page);
    const data = /<script type="application\/json" id="round">(.*?)<\/script>/s.exec(text)![1];
    return { text, round: classRoundSchema.parse(JSON.parse(data)) };
  };

  it('is one page that fetches nothing, with as many questions as were asked for, alike for all', async () => {
    const { text, round } = roundIn(await classRoundPage(wanted));
    const markup = text.replace(/<script>.*<\/script>/s, '');
    expect(markup.length).toBeLessThan(text.length);
    expect(markup).not.toMatch(/<(?:link|img|iframe)\b|\bsrc=|@import|url\(/);
    expect(text.match(/<\/script>/g)).toHaveLength(2);
    expect(markup).toContain('<title>Quay &lt;i&gt;at&lt;/i&gt; dusk</title>');
    expect(round.questions).toHaveLength(12);
    expect(new Set(round.questions.map(({ kind }) => kind)).size).toBe(12);
    const again = roundIn(await classRoundPage(wanted)).round;
    expect(again.questions).toEqual(round.questions);
    expect(again.id).not.toBe(round.id);
    const other = roundIn(await classRoundPage({ ...wanted, seed: 6 })).round;
    expect(other.questions).not.toEqual(round.questions);
    const kinds = DRILL_KINDS.map(({ id }) => id);
    expect(round.questions.every(({ kind }) => kinds.includes(kind))).toBe(true);
  }, 60_000);

  it('is made of a study’s or a library’s colours, and refused for one that isn’t there', async () => {
    const studyId = await study();
    const own = (await getStudy(studyId)).document.palette.swatches.map((one) => one.colour);
    const isOwn = (about: Oklab, all: Oklab[]) =>
      all.some((one) => one.L === about.L && one.a === about.a && one.b === about.b);
    const ofStudy = roundIn(await classRoundPage({ ...wanted, study: studyId })).round;
    expect(ofStudy.questions.some(({ about }) => isOwn(about, own))).toBe(true);
    const content = someLibrary(1, 12);
    const { id } = await createLibrary(content, null);
    const swatches = content.swatches.map((one) => one.colour);
    const ofLibrary = roundIn(await classRoundPage({ ...wanted, library: id })).round;
    expect(ofLibrary.questions.some(({ about }) => isOwn(about, swatches))).toBe(true);
    await expect(classRoundPage({ ...wanted, study: randomUUID() })).rejects.toMatchObject({
      status: 404,
    });
    await expect(classRoundPage({ ...wanted, library: randomUUID() })).rejects.toMatchObject({
      status: 404,
    });
  }, 60_000);
});
