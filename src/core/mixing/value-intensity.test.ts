import { oklabDistance, oklchFromOklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { adjustersOf } from './at-value';
import { mixColour } from './mix-lab';
import { tubesOf, TWELVE } from './testing/mixtures';
import { hueDistance } from './route';
import { bestMuting, valueByIntensity } from './value-intensity';

const tubes = tubesOf([...TWELVE, 'PBk9']);
const tube = (id: string) => tubes.find((one) => one.id === id)!;
const adjusters = adjustersOf(tubes);
const VALUES = [8, 7, 6, 5, 4, 3];

it.each([
  ['PB29', 'PBk9'],
  ['PR108', 'PG7'],
  ['PY42', 'PV23'],
  ['PO20', 'PBr7-raw-umber'],
])('%s dulled by %s: rows keep their value, steps fall evenly in intensity', (of, by) => {
  const rows = valueByIntensity(tube(of), tube(by), adjusters, VALUES, 5);
  expect(rows.length).toBeGreaterThan(2);
  for (const { value, cells } of rows) {
    expect(cells).toHaveLength(5);
    const chroma = cells.map(({ colour }) => oklchFromOklab(colour).C);
    const step = (chroma[0] - chroma[4]) / 4;
    for (let i = 1; i < 5; i++)
      expect(Math.abs(chroma[i - 1] - chroma[i] - step)).toBeLessThan(0.002);
    for (const { colour, parts } of cells) {
      expect(valueOfOklab(colour)).toBeLessThan(value + 0.15);
      expect(valueOfOklab(colour)).toBeGreaterThan(value - 0.15);
      expect(parts.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
      const again = mixColour(
        parts.map((part) => part.tube.optics),
        parts.map(({ share }) => share),
      );
      expect(oklabDistance(again, colour)).toBeLessThan(1e-6);
    }
  }
});

it('a value that a paint can’t be brought to has no row', () => {
  const white = { white: tube('PW6'), dark: null };
  const rows = valueByIntensity(tube('PY35'), tube('PBr7-raw-umber'), white, [9, 8.5, 4, 3], 3);
  expect(rows.map(({ value }) => value)).toEqual([9, 8.5]);
  expect(() => valueByIntensity(tube('PY35'), tube('PV23'), white, [5], 1)).toThrow(RangeError);
});

it('the tube that dulls a family best takes its intensity and leaves its hue', () => {
  const without = tubes.filter(({ id }) => id !== 'PBk9');
  for (const id of ['PY35', 'PR108', 'PB29', 'PG7']) {
    const muting = bestMuting(tube(id), without, adjustersOf(without))!;
    const [row] = valueByIntensity(tube(id), muting, adjustersOf(without), [6], 3);
    const [strong, middle, dull] = row.cells.map(({ colour }) => oklchFromOklab(colour));
    expect(dull.C).toBeLessThan(0.5 * strong.C);
    expect(hueDistance(middle.h, strong.h)).toBeLessThan(30);
  }
  expect(bestMuting(tube('PB29'), tubes, { white: null, dark: null })).toBeNull();
});
