import { familyOfHue, PAINTERS_WHEEL } from '../colour/wheel';
import type { OwnReading } from '../compare/own-reading';
import { habitsOf, type PaintedStudy } from './habits';

const DAY = 864e5;
const NOW = Date.UTC(2026, 10, 30);
const reading = (part: Partial<OwnReading>): OwnReading => ({
  key: 'middle',
  range: 'medium',
  darkest: 2,
  median: 5,
  lightest: 8,
  zones: { dark: 0.3, middle: 0.4, light: 0.3 },
  chroma: 0.08,
  neutral: 0.3,
  warm: 0.5,
  families: [{ hue: 45, share: 0.6 }],
  edges: { found: 0.5, soft: 0.3, lost: 0.2 },
  ...part,
});
const painted = (days: number, study: Partial<OwnReading> = {}, aim = 'values'): PaintedStudy => ({
  at: NOW - days * DAY,
  aim,
  study: reading(study),
  model: reading({ key: 'high', lightest: 9 }),
});

describe('habits', () => {
  it('count what one keeps to beside what was studied', () => {
    const habits = habitsOf([painted(3), painted(9, { key: 'low' })], [], NOW, PAINTERS_WHEEL);
    expect(habits.keys).toEqual({ low: [1, 0], middle: [1, 0], high: [0, 2] });
    expect(habits.ranges.medium).toEqual([2, 2]);
    expect(habits.means.find(({ name }) => name === 'lightest')).toMatchObject({
      own: 8,
      models: 9,
    });
    const family = familyOfHue(45, PAINTERS_WHEEL).name;
    expect(habits.hues.filter(({ own }) => own > 0)).toEqual([{ family, own: 1, models: 1 }]);
    expect(habits.hues).toHaveLength(12);
  });

  it('suggest nothing after a handful of studies, and what was never or long not tried after more', () => {
    const few = [1, 2, 3].map((days) => painted(days));
    expect(habitsOf(few, ['values', 'speed'], NOW, PAINTERS_WHEEL).suggestions).toEqual([]);
    const many = [...[1, 2, 3, 4].map((days) => painted(days)), painted(200, { key: 'low' })];
    const { suggestions } = habitsOf(many, ['values', 'speed'], NOW, PAINTERS_WHEEL);
    expect(suggestions).toContainEqual({ kind: 'key', what: 'high', last: null });
    expect(suggestions).toContainEqual({ kind: 'aim', what: 'speed', last: null });
    // One of each kind before a second of any; what was just done is not suggested.
    expect(new Set(suggestions.map(({ kind }) => kind)).size).toBe(4);
    expect(suggestions.map(({ what }) => what)).not.toContain('middle');
  });

  it('are there for nobody without studies', () => {
    expect(habitsOf([], ['values'], NOW, PAINTERS_WHEEL)).toMatchObject({
      studies: 0,
      suggestions: [],
    });
  });
});
