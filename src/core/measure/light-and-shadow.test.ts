import fc from 'fast-check';
import { anyPicture, paintedBy } from '../testing';
import { bytesFromOklab, oklabFromBytes } from '../colour/hex';
import { oklabFromOklch, type Oklch } from '../colour/oklab';
import { temperature } from '../colour/temperature';
import type { Picture } from '../picture/picture';
import { NO_VALUE, valueImageOf } from '../picture/value-map';
import {
  readLightAndShadow,
  sideColours,
  sideMap,
  sidePicture,
  type Correction,
} from './light-and-shadow';
import { LIGHT, SHADOW } from './light-split';
import { measureSources } from './sources';

const WARM: [number, number, number] = [230, 200, 150];
const COOL: [number, number, number] = [50, 60, 90];
/** A warm light over the left two fifths, a cool shadow over the rest. */
const twoLights = paintedBy(100, 50, (x) => (x < 40 ? WARM : COOL));
const splitOf = (picture: Picture) => measureSources(picture).split(0);
const read = (picture: Picture, corrections: Correction[] = []) =>
  readLightAndShadow(
    valueImageOf(picture),
    splitOf(picture),
    sideColours(picture, sideMap(splitOf(picture), corrections)),
  );

const dab = (side: 'light' | 'shadow', x: number, y: number, radius: number): Correction => ({
  side,
  tool: 'brush',
  radius,
  points: [{ x, y }],
});

describe('light and shadow', () => {
  it('finds two lights with their shares, colours and temperatures', () => {
    const { light, shadow, threshold, corrected } = read(twoLights);
    expect(light?.share).toBeCloseTo(0.4, 9);
    expect(shadow?.share).toBeCloseTo(0.6, 9);
    for (const [side, bytes] of [
      [light, WARM],
      [shadow, COOL],
    ] as const) {
      const colour = oklabFromBytes(bytes);
      expect(side?.colour.L).toBeCloseTo(colour.L, 4);
      expect(side?.temperature).toBeCloseTo(temperature(colour), 4);
      expect(side?.chroma).toBeCloseTo(Math.hypot(colour.a, colour.b), 4);
      expect(side?.meanChroma).toBeCloseTo(Math.hypot(colour.a, colour.b), 4);
    }
    expect(light!.temperature - shadow!.temperature).toBeGreaterThan(0.5);
    expect(threshold).toBeGreaterThan(shadow!.value);
    expect(threshold).toBeLessThan(light!.value);
    expect(corrected).toBe(0);
  });

  it('takes a brush and a lasso, the later over the earlier', () => {
    const loop: Correction = {
      side: 'light',
      tool: 'lasso',
      radius: 0,
      points: [
        { x: 0.8, y: 0 },
        { x: 1, y: 0 },
        { x: 1, y: 1 },
        { x: 0.8, y: 1 },
      ],
    };
    const given = read(twoLights, [loop]);
    expect(given.light?.share).toBeCloseTo(0.6, 9);
    expect(given.corrected).toBeCloseTo(0.2, 9);
    const takenBack = read(twoLights, [loop, { ...loop, side: 'shadow' }]);
    expect(takenBack.light?.share).toBeCloseTo(0.4, 9);
    expect(takenBack.corrected).toBe(0);
    const dabbed = sideMap(splitOf(twoLights), [dab('light', 0.9, 0.5, 0.05)]);
    expect(dabbed[25 * 100 + 90]).toBe(1);
    expect(dabbed[25 * 100 + 99]).toBe(0);
  });

  it('has only one family where all is given to it', () => {
    const { light, shadow } = read(twoLights, [dab('shadow', 0.5, 0.5, 1)]);
    expect(light).toBeNull();
    expect(shadow?.share).toBe(1);
    const { data } = sidePicture(valueImageOf(twoLights), sideMap(splitOf(twoLights), []));
    expect(data[0]).toBeGreaterThan(data[50 * 4]);
  });

  it('puts a dark coat in the sun into the light, and a white cloth in the shade into the shadow', () => {
    /** Columns of 40 pixels: one material in the light and in the shadow beside it, then the next. */
    const scene = (...columns: Oklch[]) =>
      paintedBy(columns.length * 40, 120, (x) =>
        bytesFromOklab(oklabFromOklch(columns[Math.floor(x / 40)])),
      );
    const sidesAt = (picture: Picture) => {
      const sides = sideMap(splitOf(picture), []);
      return Array.from(
        { length: picture.width / 40 },
        (_, i) => sides[60 * picture.width + i * 40 + 20],
      );
    };
    const blue = (L: number) => ({ L, C: 0.12 * L, h: 255 });
    const cream = (L: number) => ({ L, C: 0.03 * L, h: 90 });
    // A dark blue coat and its folds, before a sunlit wall: dark beside the wall, light beside the folds.
    expect(sidesAt(scene(blue(0.2), blue(0.38), cream(0.92), cream(0.92)))).toEqual([
      SHADOW,
      LIGHT,
      LIGHT,
      LIGHT,
    ]);
    // A white cloth, mostly in the shade, above a dark ground: light beside the ground, not beside itself.
    expect(sidesAt(scene(cream(0.95), cream(0.62), blue(0.25), blue(0.25)))).toEqual([
      LIGHT,
      SHADOW,
      SHADOW,
      SHADOW,
    ]);
  });

  it('puts every seen pixel on one side, with shares that add to 1', () => {
    fc.assert(
      fc.property(anyPicture, fc.boolean(), (picture, corrects) => {
        const corrections = corrects ? [dab('light', 0.3, 0.6, 0.2)] : [];
        const { map } = valueImageOf(picture);
        const sides = sideMap(splitOf(picture), corrections);
        sides.forEach((side, p) => expect(side === NO_VALUE).toBe(map[p] === NO_VALUE));
        const { light, shadow } = read(picture, corrections);
        expect((light?.share ?? 0) + (shadow?.share ?? 0)).toBeCloseTo(1, 9);
      }),
      { numRuns: 40 },
    );
  });
});
