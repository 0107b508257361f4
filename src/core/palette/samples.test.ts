import fc from 'fast-check';
import { bytesFromOklab } from '../colour/hex';
import type { Oklab } from '../colour/oklab';
import { anyPicture, paintedBy } from '../testing';
import { assign, centresOf } from './centres';
import {
  allSamples,
  mapByBin,
  colourHistogram,
  TRANSPARENT_ENTRY,
} from '../picture/colour-histogram';
import { findAccents } from './accents';
import { extractPalette } from './extract';
import { LEANS, leanWeights } from './lean';
import { spreadSamples } from './grow';
import { samplesOf } from './samples';

/** Every colour that eight levels a channel make, and grain: far more cells than a search looks among. */
const rich = paintedBy(256, 128, (x, y) => [
  (x * 7 + y) % 256,
  (y * 11 + x * 3) % 256,
  (x * 5 + y * 13) % 256,
]);

describe('the tones of a picture', () => {
  it('weigh 1 together, and have the mean of what they were gathered from', () => {
    const histogram = colourHistogram(rich);
    const samples = samplesOf(histogram, histogram.share);
    expect(histogram.share.length).toBeGreaterThan(1400);
    expect(samples.weight.length).toBeLessThanOrEqual(1400);
    expect(samples.weight.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 9);
    for (let c = 0; c < 3; c++) {
      const of = (lab: Float64Array, weight: Float64Array) =>
        weight.reduce((sum, one, k) => sum + one * lab[k * 3 + c], 0);
      expect(of(samples.lab, samples.weight)).toBeCloseTo(of(histogram.lab, histogram.share), 6);
    }
  });

  it('are the cells themselves where those are few, and only those that weigh anything', () => {
    fc.assert(
      fc.property(anyPicture, (picture) => {
        const histogram = colourHistogram(picture);
        const { lab } = samplesOf(histogram, histogram.share);
        expect(lab).toHaveLength(histogram.lab.length);
        lab.forEach((one, i) => expect(one).toBeCloseTo(histogram.lab[i], 9));
        const half = histogram.share.map((share, k) => (k % 2 === 0 ? share : 0));
        expect(samplesOf(histogram, half).weight).toHaveLength(
          Math.ceil(histogram.share.length / 2),
        );
      }),
      { numRuns: 40 },
    );
  });

  it('are tried from far apart, none of them twice', () => {
    const histogram = colourHistogram(rich);
    const tried = spreadSamples(samplesOf(histogram, histogram.share));
    expect(new Set(tried).size).toBe(tried.length);
    expect(tried).toHaveLength(48);
  });
});

describe('leans', () => {
  it('leave some of every picture, none of it heavier than it is', () => {
    fc.assert(
      fc.property(anyPicture, fc.constantFrom(...LEANS), (picture, lean) => {
        const histogram = colourHistogram(picture);
        const weights = leanWeights(histogram, lean);
        expect(weights.some((weight) => weight > 0)).toBe(true);
        weights.forEach((weight, k) => expect(weight).toBeLessThanOrEqual(histogram.share[k]));
      }),
    );
  });
});

describe('owners', () => {
  it('are as near as CIEDE2000 has it among all centres, within a little', () => {
    const histogram = colourHistogram(rich);
    const some = spreadSamples(allSamples(histogram), 12).map((k) => ({
      L: histogram.oklab[k * 3],
      a: histogram.oklab[k * 3 + 1],
      b: histogram.oklab[k * 3 + 2],
    }));
    const together = assign(allSamples(histogram), centresOf(some, some.length));
    const alone = some.map((one) => assign(allSamples(histogram), centresOf([one], 1)).difference);
    let missed = 0;
    together.difference.forEach((difference, k) => {
      const least = Math.min(...alone.map((differences) => differences[k]));
      expect(difference).toBeGreaterThanOrEqual(least - 1e-9);
      if (difference > least + 0.5) missed++;
    });
    expect(missed / together.difference.length).toBeLessThan(0.005);
  });

  it('give a map of what each cell is given, and nothing for what is transparent', () => {
    const picture = paintedBy(4, 1, (x) => [x * 60, 0, 0, x === 3 ? 0 : 255]);
    const histogram = colourHistogram(picture);
    expect(Array.from(mapByBin(picture, histogram, (k) => k + 5))).toEqual([
      5,
      6,
      7,
      TRANSPARENT_ENTRY,
    ]);
  });
});

describe('accents', () => {
  const among = (share: number, colour: [number, number, number]) => {
    const most = Math.round(share * 10_000);
    return findAccents(
      colourHistogram(
        paintedBy(100, 100, (x, y) => (y * 100 + x < most ? colour : [120 + (x % 7), 124, 128])),
      ),
    );
  };

  it('are one where a thing turns from light into shadow, down to the dull', () => {
    const olive = { L: 0.6, a: -0.035, b: 0.1 };
    const size = 160;
    const picture = paintedBy(size, size, (x, y) => {
      const away = Math.hypot(x - 80, y - 80) / 14;
      // Eight greys, and a ball of 2.4 % that light falls off across.
      if (away >= 1) {
        const grey = 60 + Math.floor(x / 20) * 22;
        return [grey, grey + 1, grey + 2];
      }
      const light = 0.5 + 0.85 * ((80 + 14 - x) / 28);
      return bytesFromOklab({ L: olive.L * light, a: olive.a * light, b: olive.b * light });
    });
    const accents = findAccents(colourHistogram(picture));
    expect(accents).toHaveLength(1);
    expect(accents[0].share).toBeGreaterThan(0.018);
    const isOlive = ({ colour }: { colour: Oklab }) => colour.a < -0.015 && colour.b > 0.06;
    for (const [lean, count] of [
      ['accents', 5],
      ['accents', 12],
      ['balanced', 12],
    ] as const)
      expect(extractPalette(picture, { count, lean }).swatches.some(isOlive)).toBe(true);
  });

  it('are small, strong and far from all else', () => {
    expect(among(0.01, [200, 40, 40])).toHaveLength(1);
    expect(among(0.01, [200, 40, 40])[0].share).toBeCloseTo(0.01, 6);
    expect(among(0.01, [130, 120, 118])).toEqual([]);
    expect(among(0.2, [200, 40, 40])).toEqual([]);
    expect(among(0.0005, [200, 40, 40])).toEqual([]);
  });
});
