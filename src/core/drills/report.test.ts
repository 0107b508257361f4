import { PAINTERS_WHEEL } from '../colour/wheel';
import { randomFrom } from '../seeded';
import { colourAt } from './making';
import { practiceReport, weeksOf, type Entry } from './report';
import { regionKey, regionOf } from './region';

const DAY = 86_400_000;
/** Where families lie: even places round the wheel. */
const YELLOW = PAINTERS_WHEEL.families.indexOf('yellow');

function entries(count: number, make: (family: number) => Partial<Entry>): Entry[] {
  return Array.from({ length: count }, (_, i) => {
    const about = colourAt(PAINTERS_WHEEL, i % 12, 4 + (i % 3), 0.09);
    return {
      at: i * DAY,
      kind: 'value',
      skill: 'value',
      region: regionKey(regionOf(about)),
      isRight: true,
      about,
      ...make(i % 12),
    };
  });
}

describe('what all answers say of an eye', () => {
  it('is which way values lean in a family, and which is missed most', () => {
    const random = randomFrom(8);
    const report = practiceReport(
      entries(240, (family) => ({
        valueOff: (family === YELLOW ? 0.8 : 0) + 0.6 * (random() - 0.5),
        isRight: family !== YELLOW || random() < 0.3,
      })),
    );
    const yellow = report.value!.leanings.find(({ is }) => is === 'yellow')!;
    expect(report.value!.bias + yellow.bias).toBeGreaterThan(0.5);
    expect(report.weak[0]).toMatchObject({ skill: 'value', leaning: { is: 'yellow' } });
    expect(report.weak[0].right).toBeLessThan(0.6);
    expect(report.skills).toEqual([{ skill: 'value', count: 240, right: expect.any(Number) }]);
  });

  it('blames nothing that is chance, and nothing of a few answers', () => {
    const random = randomFrom(2);
    const even = practiceReport(entries(240, () => ({ isRight: random() < 0.75 })));
    expect(even.weak.length).toBeLessThanOrEqual(1);
    expect(practiceReport(entries(4, () => ({ isRight: false }))).weak).toEqual([]);
    expect(practiceReport([])).toMatchObject({ count: 0, skills: [], value: null, weak: [] });
  });

  it('is of how an eye reads now: what is far back counts no more', () => {
    const report = practiceReport(
      entries(600, () => ({})).map((entry, i) => ({ ...entry, valueOff: i < 300 ? 2 : 0 })),
    );
    expect(report.value!.bias).toBeCloseTo(0, 6);
  });

  it('leaves out of the shares what isn’t scored', () => {
    const report = practiceReport(entries(10, () => ({ isRight: null })));
    expect(report).toMatchObject({ count: 10, skills: [] });
  });
});

describe('weeks of practice', () => {
  it('are of seven days from the first answer on, empty ones too', () => {
    const days = [0, 1, 2, 3, 15];
    const offs = [1, -0.5, 1, 0.5, -0.25];
    const weeks = weeksOf(
      entries(5, () => ({})).map((entry, i) => ({
        ...entry,
        at: days[i] * DAY,
        valueOff: offs[i],
      })),
    );
    expect(weeks).toEqual([
      { from: 0, count: 4, valueOff: 0.75, valueLean: 0.5 },
      { from: 7 * DAY, count: 0, valueOff: null, valueLean: null },
      // One reading is chance.
      { from: 14 * DAY, count: 1, valueOff: null, valueLean: null },
    ]);
    expect(weeksOf([])).toEqual([]);
  });
});
