import fc from 'fast-check';
import { HUE_BINS, hueArcs } from './hue-arcs';

const BIN = 360 / HUE_BINS;

/** Weights of hue by bin, and the same smoothed as a picture's are. */
function densities(weights: readonly number[]): [number[], number[]] {
  const kernel = Array.from({ length: 11 }, (_, i) => Math.exp(-((i - 5) ** 2) / (2 * 1.6 ** 2)));
  const smooth = weights.map((_, bin) =>
    kernel.reduce(
      (sum, weight, i) => sum + weight * weights[(bin + i - 5 + HUE_BINS) % HUE_BINS],
      0,
    ),
  );
  const all = smooth.reduce((sum, one) => sum + one, 0);
  return [[...weights], smooth.map((one) => (all > 0 ? one / all : 0))];
}

const arcsOf = (weightAt: (hue: number) => number) =>
  hueArcs(...densities(Array.from({ length: HUE_BINS }, (_, bin) => weightAt((bin + 0.5) * BIN))));
const between = (hue: number, from: number, to: number) =>
  from <= to ? hue >= from && hue < to : hue >= from || hue < to;
/** A hump about a hue, of a standard deviation in degrees. */
const hump = (centre: number, deviation: number) => (hue: number) => {
  const away = ((hue - centre + 540) % 360) - 180;
  return Math.exp(-(away ** 2) / (2 * deviation ** 2));
};

describe('the arcs of hue', () => {
  it('are one for a hue, wherever it lies, and two for two', () => {
    for (const centre of [2, 90, 178, 358]) {
      const arcs = arcsOf(hump(centre, 10));
      expect(arcs).toHaveLength(1);
      expect(Math.abs(((arcs[0].hue - centre + 540) % 360) - 180)).toBeLessThan(2);
    }
    const two = arcsOf((hue) => hump(40, 8)(hue) + 0.5 * hump(260, 12)(hue));
    expect(two.map(({ hue }) => Math.round(hue / 5) * 5).sort((a, b) => a - b)).toEqual([40, 260]);
    expect(arcsOf(() => 0)).toEqual([]);
  });

  it('part a sky that goes from blue-violet through violet to rose, and a hump across red', () => {
    const sky = arcsOf((hue) => (hue >= 275 && hue < 355 ? 1 : 0));
    expect(sky).toHaveLength(2);
    const [cool, warm] = [...sky].sort((one, other) => one.hue - other.hue);
    expect(cool.hue).toBeCloseTo(295, -1);
    expect(warm.hue).toBeCloseTo(335, -1);
    expect(cool.to).toBeCloseTo(315, -1);
    const across = arcsOf((hue) => (hue >= 330 || hue < 70 ? 1 : 0));
    expect(across.length).toBeGreaterThan(1);
    expect(across.every(({ from, to }) => (to - from + 360) % 360 < 300)).toBe(true);
  });

  it('take in every hue once, and none is wider than two families', () => {
    const weights = fc
      .array(
        fc.tuple(fc.nat(359), fc.integer({ min: 3, max: 40 }), fc.integer({ min: 1, max: 9 })),
        {
          minLength: 1,
          maxLength: 4,
        },
      )
      .map((humps) =>
        Array.from({ length: HUE_BINS }, (_, bin) =>
          humps.reduce(
            (sum, [centre, deviation, height]) =>
              sum + height * hump(centre, deviation)((bin + 0.5) * BIN),
            0,
          ),
        ),
      );
    fc.assert(
      fc.property(weights, (raw) => {
        const arcs = hueArcs(...densities(raw));
        raw.forEach((weight, bin) => {
          const hue = (bin + 0.5) * BIN;
          if (arcs.length > 1 && weight > 0)
            expect(arcs.filter(({ from, to }) => between(hue, from, to))).toHaveLength(1);
        });
        for (const { from, to, hue } of arcs) {
          expect(hue).toBeGreaterThanOrEqual(0);
          expect(hue).toBeLessThanOrEqual(360);
          const width = (to - from + 360) % 360 || 360;
          const inside = Array.from({ length: Math.round(width / BIN) }, (_, k) => {
            const bin = Math.floor(((from + (k + 0.5) * BIN) % 360) / BIN);
            return raw[bin];
          });
          const all = inside.reduce((sum, one) => sum + one, 0);
          let before = 0;
          const middle = inside.filter((weight) => {
            const isIn = before + weight > 0.06 * all && before < 0.94 * all;
            before += weight;
            return isIn;
          });
          expect(middle.length * BIN).toBeLessThanOrEqual(60);
        }
      }),
    );
  });
});

it('a dense hue beside a thin tail stays one hue', () => {
  // Greens within 30°, and a little of everything as far as blue.
  const weights = Array.from({ length: HUE_BINS }, (_, bin) =>
    bin >= 22 && bin < 28 ? 1 : bin >= 28 && bin < 54 ? 0.04 : 0,
  );
  const hues = hueArcs(...densities(weights)).map(({ hue }) => hue);
  expect(hues.filter((hue) => hue > 105 && hue < 145)).toHaveLength(1);
});
