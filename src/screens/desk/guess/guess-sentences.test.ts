import { guessSentence, recordSentence } from './guess-sentences';

const SCALE = { steps: 11, first: 0, highIs: 'light' } as const;

describe('how a guess came out', () => {
  it('is said for each of the three questions', () => {
    const off = { familyOff: 2, valueOff: -1.4, intensityOff: 1, score: 50 };
    expect(guessSentence(off, SCALE)).toBe(
      'Two families off; 1.4 steps too dark; one word too strong.',
    );
    const right = { familyOff: 0, valueOff: 0.2, intensityOff: 0, score: 100 };
    expect(guessSentence(right, SCALE)).toBe(
      'The family is right; the value is right; the intensity is right.',
    );
    expect(guessSentence({ ...right, familyOff: null }, SCALE)).toMatch(/^A neutral has no family/);
  });

  it('is added up, and speaks of a lean only after some guesses', () => {
    const record = {
      count: 12,
      families: { right: 7, of: 9 },
      valueOff: 1,
      valueLean: 0.8,
      intensityLean: -0.5,
      score: 70,
    };
    expect(recordSentence(record, SCALE)).toBe(
      '12 guesses so far: family right in 7 of 9, value off by one step, mostly too light and too dull.',
    );
    expect(recordSentence({ ...record, count: 1 }, SCALE)).toBe(
      'One guess so far: family right in 7 of 9, value off by one step.',
    );
    const none = { ...record, families: { right: 0, of: 0 }, valueLean: 0, intensityLean: 0 };
    expect(recordSentence(none, SCALE)).toBe('12 guesses so far: value off by one step.');
    expect(recordSentence({ ...none, count: 0, valueOff: null }, SCALE)).toBe('No guesses yet.');
  });
});
