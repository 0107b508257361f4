import fc from 'fast-check';
import { anyPicture, greyBytes, paintedBy } from '../testing';
import type { Picture } from '../picture/picture';
import { VALUE_BINS } from '../picture/value-map';
import { carriedBy, readZoneFits, TOLERANCE_NAMES } from './carried';
import { evenEdges, naturalEdges } from './thresholds';
import { measureSources } from './sources';
import { keyOf, quantile, rangeOf, readValues } from './values';
import type { Breaks } from './zones';

/** Without a squint, so that every pixel counts as it is. */
const read = (picture: Picture, zones: number, breaks: Breaks) =>
  readValues(measureSources(picture), { zones, breaks, squint: 0 });
/** A picture of flat greys: each value for its share of a thousand pixels. */
const patches = (parts: readonly [value: number, share: number][]) =>
  paintedBy(1000, 1, (x) => {
    let before = 0;
    for (const [value, share] of parts) {
      before += share * 1000;
      if (x < before - 1e-6) return greyBytes(value);
    }
    return greyBytes(parts[parts.length - 1][0]);
  });

function within(counts: readonly number[], edges: readonly number[]): number {
  const bounds = [0, ...edges, counts.length];
  let total = 0;
  for (let zone = 1; zone < bounds.length; zone++) {
    const bins = counts.slice(bounds[zone - 1], bounds[zone]);
    const weight = bins.reduce((sum, n) => sum + n, 0);
    if (weight === 0) continue;
    const mean = bins.reduce((sum, n, i) => sum + n * (i + bounds[zone - 1]), 0) / weight;
    total += bins.reduce((sum, n, i) => sum + n * (i + bounds[zone - 1] - mean) ** 2, 0);
  }
  return total;
}

/** Every way to place `edges` among the bins. */
function everyCut(bins: number, edges: number, from = 1): number[][] {
  if (edges === 0) return [[]];
  const cuts: number[][] = [];
  for (let at = from; at <= bins - edges; at++)
    for (const rest of everyCut(bins, edges - 1, at + 1)) cuts.push([at, ...rest]);
  return cuts;
}

describe('natural breaks', () => {
  it('are as good as the best of all cuts', () => {
    const histogram = fc.array(fc.integer({ min: 0, max: 50 }), { minLength: 6, maxLength: 11 });
    fc.assert(
      fc.property(histogram, fc.integer({ min: 2, max: 4 }), (counts, zones) => {
        fc.pre(counts.some((n) => n > 0));
        const ours = within(counts, naturalEdges(counts, zones));
        const best = Math.min(
          ...everyCut(counts.length, zones - 1).map((cut) => within(counts, cut)),
        );
        expect(ours).toBeLessThanOrEqual(best + 1e-6);
      }),
      { numRuns: 300 },
    );
  });

  it('stand in the middle of an empty stretch', () => {
    const counts = [5, 5, 0, 0, 0, 0, 5, 5];
    expect(naturalEdges(counts, 2)).toEqual([4]);
  });

  it('part off empty zones at the light end when there are fewer values than zones', () => {
    expect(naturalEdges([0, 9, 0, 9, 0], 4)).toEqual([3, 5, 5]);
    expect(naturalEdges([0, 0, 0], 3)).toEqual([3, 3]);
  });

  it('rise, and so do even ones', () => {
    fc.assert(
      fc.property(
        fc.array(fc.nat(20), { minLength: 20, maxLength: 60 }),
        fc.integer({ min: 2, max: 9 }),
        (counts, zones) => {
          for (const edges of [naturalEdges(counts, zones), evenEdges(counts.length, zones)]) {
            expect(edges).toHaveLength(zones - 1);
            expect([...edges].sort((a, b) => a - b)).toEqual(edges);
          }
        },
      ),
    );
  });
});

describe('the value reading', () => {
  it('finds patches of known value and area', () => {
    const { zones, median, key, range } = read(
      patches([
        [2, 0.46],
        [5, 0.38],
        [8, 0.16],
      ]),
      3,
      'natural',
    );
    expect(zones.map((zone) => zone.share)).toEqual([0.46, 0.38, 0.16]);
    [2, 5, 8].forEach((value, i) => expect(Math.abs(zones[i].mean - value)).toBeLessThan(0.06));
    expect(Math.abs(median - 5)).toBeLessThan(0.1);
    expect(key).toBe('middle');
    expect(range).toBe('full');
  });

  it('reads quantiles off a smooth gradient', () => {
    const { p5, median, p95 } = read(
      paintedBy(2000, 1, (x) => greyBytes((x / 2000) * 10)),
      4,
      'even',
    );
    expect(Math.abs(p5 - 0.5)).toBeLessThan(0.1);
    expect(Math.abs(median - 5)).toBeLessThan(0.1);
    expect(Math.abs(p95 - 9.5)).toBeLessThan(0.1);
  });

  it.each([
    [3.99, 'low'],
    [4, 'middle'],
    [6.5, 'middle'],
    [6.51, 'high'],
  ])('calls a median of %d %s', (median, key) => expect(keyOf(median)).toBe(key));

  it.each([
    [2, 4.9, 'short'],
    [2, 5, 'medium'],
    [2, 8, 'full'],
  ])('calls %d to %d %s', (p5, p95, range) => expect(rangeOf(p5, p95)).toBe(range));

  it('has shares that add to 1 and zones in order, with every kind of break', () => {
    fc.assert(
      fc.property(
        anyPicture,
        fc.integer({ min: 2, max: 9 }),
        fc.constantFrom<Breaks>('even', 'natural'),
        (picture, count, breaks) => {
          const { zones, p5, median, p95 } = read(picture, count, breaks);
          expect(zones).toHaveLength(count);
          expect(zones.reduce((sum, zone) => sum + zone.share, 0)).toBeCloseTo(1, 9);
          zones.forEach((zone, i) => {
            expect(zone.mean).toBeGreaterThanOrEqual(zone.from - 1e-9);
            expect(zone.mean).toBeLessThanOrEqual(zone.to + 1e-9);
            if (i > 0) expect(zone.from).toBe(zones[i - 1].to);
          });
          expect(p5).toBeLessThanOrEqual(median);
          expect(median).toBeLessThanOrEqual(p95);
        },
      ),
    );
  });

  it('leaves transparent pixels out', () => {
    const half = paintedBy(10, 1, (x) => (x < 5 ? [...greyBytes(8), 255] : [0, 0, 0, 0]));
    expect(read(half, 2, 'even').zones.map((zone) => zone.share)).toEqual([0, 1]);
  });

  it('refuses nothing at all, and a number of zones that can’t be read', () => {
    const empty = paintedBy(2, 2, () => [0, 0, 0, 0]);
    const full = paintedBy(2, 2, () => [9, 9, 9]);
    expect(() => read(empty, 3, 'natural')).toThrow(/transparent/);
    for (const zones of [1, 10, 2.5, NaN])
      expect(() => read(full, zones, 'even')).toThrow(RangeError);
    expect(quantile([0, 0], 0.5)).toBeNaN();
  });

  it('says how many values carry it, with the curve', () => {
    const three = read(
      patches([
        [2, 0.46],
        [5, 0.38],
        [8, 0.16],
      ]),
      4,
      'natural',
    );
    expect(three.carriedBy).toBe(3);
    expect(three.curve).toHaveLength(9);
    // Without parting anything the error is the standard deviation.
    expect(three.curve[0]).toBeCloseTo(
      Math.sqrt(0.46 * 2.1 ** 2 + 0.38 * 0.9 ** 2 + 0.16 * 3.9 ** 2),
      1,
    );
    expect(three.curve[2]).toBeCloseTo(0, 6);
    expect(carriedBy(three)).toEqual({ values: 3, light: 2, shadow: 1 });
    expect(read(patches([[6, 1]]), 2, 'even').carriedBy).toBe(1);
    // Two greys a quarter of a step apart are two values for nobody, but there is no picture of one.
    expect(
      read(
        patches([
          [6, 0.5],
          [6.25, 0.5],
        ]),
        2,
        'even',
      ).carriedBy,
    ).toBe(2);
    // N even parts of a spread over ten steps are each 10 ÷ N wide, and stray by their width ÷ √12.
    const gradient = read(
      paintedBy(2000, 1, (x) => greyBytes((x / 2000) * 10)),
      2,
      'natural',
    );
    for (const n of [2, 4, 5]) expect(gradient.curve[n - 1]).toBeCloseTo(10 / n / Math.sqrt(12), 1);
    expect(gradient.carriedBy).toBe(5);
    expect(carriedBy(gradient, 'loose')).toEqual({ values: 4, light: 2, shadow: 2 });
    expect(carriedBy(gradient, 'strict').values).toBe(8);
  });

  it('counts a dark picture with one lamp by what is dark, and says on which side its values lie', () => {
    const lamp = read(
      patches([
        [1, 0.3],
        [1.6, 0.3],
        [2.2, 0.3],
        [9, 0.1],
      ]),
      4,
      'natural',
    );
    expect(carriedBy(lamp)).toEqual({ values: 2, light: 1, shadow: 1 });
    expect(carriedBy(lamp, 'strict')).toEqual({ values: 3, light: 1, shadow: 2 });
    expect(carriedBy({ curve: Array(9).fill(2), inShadow: Array(9).fill(1) }).values).toBe(9);
  });

  it('strays no more with more zones, and has a value on either side', () => {
    const histogram = fc
      .array(fc.tuple(fc.nat(VALUE_BINS - 1), fc.integer({ min: 1, max: 30 })), { maxLength: 40 })
      .map((bins) => {
        const counts = new Array<number>(VALUE_BINS).fill(0);
        for (const [bin, count] of bins) counts[bin] += count;
        return counts;
      })
      .filter((counts) => counts.filter((n) => n > 0).length > 1);
    fc.assert(
      fc.property(histogram, fc.constantFrom(...TOLERANCE_NAMES), (counts, tolerance) => {
        const fits = readZoneFits(counts);
        fits.curve.forEach((error, i) => {
          expect(error).toBeGreaterThanOrEqual(0);
          expect(error).toBeLessThanOrEqual((fits.curve[i - 1] ?? 10) + 1e-9);
        });
        const { values, light, shadow } = carriedBy(fits, tolerance);
        expect([light > 0, shadow > 0, light + shadow]).toEqual([true, true, values]);
      }),
    );
  });

  it('reads zones through the squint and percentiles without it', () => {
    // Grain of two values within one tone, beside a dark mass.
    const speckled = paintedBy(120, 120, (x, y) => greyBytes(x < 40 ? 2 : (x + y) % 2 ? 6 : 7));
    const sharp = readValues(measureSources(speckled), { zones: 3, breaks: 'natural', squint: 0 });
    const through = readValues(measureSources(speckled), {
      zones: 3,
      breaks: 'natural',
      squint: 0.03,
    });
    expect(sharp.carriedBy).toBeGreaterThanOrEqual(2);
    expect(through.carriedBy).toBe(2);
    expect(through.p95).toBe(sharp.p95);
    expect(Math.abs(through.zones[0].share - 1 / 3)).toBeLessThan(0.02);
    expect(() =>
      readValues(measureSources(speckled), { zones: 3, breaks: 'even', squint: 0.2 }),
    ).toThrow(/squint/);
  });
});
