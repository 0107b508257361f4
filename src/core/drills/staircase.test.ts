import { randomFrom } from '../seeded';
import { START, stepped } from './staircase';

describe('the staircase', () => {
  /** The true share of right answers at the mean of the last levels, for 200 made-up people. */
  const endsOf = (answers: number, counted: number) =>
    Array.from({ length: 200 }, (_, seed) => {
      const random = randomFrom(seed * 101 + 7);
      const place = 0.25 + 0.5 * random();
      const share = (difficulty: number) => 1 / (1 + Math.exp((difficulty - place) * 9));
      let now = START;
      const levels: number[] = [];
      for (let i = 0; i < answers; i++) {
        levels.push(now.difficulty);
        now = stepped(now, random() < share(now.difficulty));
      }
      const last = levels.slice(-counted);
      return share(last.reduce((sum, one) => sum + one, 0) / last.length);
    });
  const within = (ends: readonly number[]) =>
    ends.filter((share) => Math.abs(share - 0.75) <= 0.05).length / ends.length;

  it('ends within five points of three of four right, of single people the surer the more they answer', () => {
    const early = endsOf(150, 100);
    const mean = early.reduce((sum, one) => sum + one, 0) / early.length;
    expect(Math.abs(mean - 0.75)).toBeLessThan(0.02);
    // By chance alone the share of 150 answers is off by more than five points for one person in six.
    expect(within(early)).toBeGreaterThanOrEqual(0.7);
    expect(early.every((share) => Math.abs(share - 0.75) < 0.15)).toBe(true);
    expect(within(endsOf(600, 300))).toBeGreaterThanOrEqual(0.95);
  });

  it('stays between easy and hard', () => {
    let now = START;
    for (let i = 0; i < 50; i++) now = stepped(now, true);
    expect(now.difficulty).toBe(1);
    for (let i = 0; i < 50; i++) now = stepped(now, false);
    expect(now.difficulty).toBe(0);
  });
});
