import { randomUUID } from 'node:crypto';
import { standingOf } from '@/core/drills/round';
import type { DrillAnswer, Elsewhere, PracticeRecord } from '@/contracts/practice';
import { entryOf, readEntries, scheduledEntries, withAnswers } from './record';

const about = { L: 0.55, a: 0.02, b: -0.1 };
const answer = (part: Partial<DrillAnswer>): DrillAnswer => ({
  id: randomUUID(),
  at: 10,
  kind: 'value',
  about,
  difficulty: 0.3,
  outcome: { isRight: true, valueOff: 0.2 },
  ...part,
});
const elsewhere = (from: Elsewhere['from']): Elsewhere => ({
  at: 20,
  from,
  colour: about,
  familyOff: 1,
  valueOff: -2,
  intensityOff: 0,
});

describe('the record of an eye', () => {
  it('takes an answer by its skill and region', () => {
    expect(entryOf(answer({}))).toMatchObject({
      skill: 'value',
      region: 'middle blue-violet moderate',
      isRight: true,
      valueOff: 0.2,
    });
    expect(entryOf(answer({ kind: 'order by value' }))).toMatchObject({ region: 'everywhere' });
  });

  it('reads values from readings alone: a match by sliders is none', () => {
    const matched = answer({
      kind: 'match',
      outcome: { isRight: true, valueOff: 1, familyOff: 2 },
    });
    expect(entryOf(matched)).not.toHaveProperty('valueOff');
    expect(entryOf(matched)).not.toHaveProperty('familyOff');
  });

  it('counts guesses as readings, and mixtures and studies for what comes next alone', () => {
    const record: PracticeRecord = {
      answers: [answer({})],
      elsewhere: (['guess', 'mixture', 'check'] as const).map(elsewhere),
    };
    expect(readEntries(record)).toHaveLength(1 + 3);
    expect(scheduledEntries(record)).toHaveLength(1 + 9);
    const { cards, staircases } = standingOf(scheduledEntries(record));
    expect([...cards.keys()].sort()).toEqual([
      'family · middle blue-violet moderate',
      'intensity · middle blue-violet moderate',
      'value · middle blue-violet moderate',
    ]);
    // Nobody knows how hard those were.
    expect([...staircases.keys()]).toEqual(['value']);
  });

  it('takes answers that it lacks, each once', () => {
    const [one, two] = [answer({}), answer({ at: 11 })];
    const record: PracticeRecord = { answers: [one], elsewhere: [] };
    expect(withAnswers(record, [one])).toBe(record);
    expect(withAnswers(record, [one, two, two]).answers).toEqual([one, two]);
  });
});
