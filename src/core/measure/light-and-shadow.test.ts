import fc from 'fast-check';
import { anyPicture, paintedBy } from '../testing';
import { oklabFromBytes } from '../colour/hex';
import { temperature } from '../colour/temperature';
import { NO_VALUE, valueImageOf, type ValueImage } from '../picture/value-map';
import { readLightAndShadow, sideMap, sidePicture, type Correction } from './light-and-shadow';

const WARM: [number, number, number] = [230, 200, 150];
const COOL: [number, number, number] = [50, 60, 90];
/** A warm light over the left two fifths, a cool shadow over the rest. */
const twoLights = valueImageOf(paintedBy(100, 50, (x) => (x < 40 ? WARM : COOL)));
const read = (image: ValueImage, corrections: Correction[] = []) =>
  readLightAndShadow(image, image, corrections);

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
    const dabbed = sideMap(twoLights, [dab('light', 0.9, 0.5, 0.05)]);
    expect(dabbed[25 * 100 + 90]).toBe(1);
    expect(dabbed[25 * 100 + 99]).toBe(0);
  });

  it('has only one family where all is given to it', () => {
    const { light, shadow } = read(twoLights, [dab('shadow', 0.5, 0.5, 1)]);
    expect(light).toBeNull();
    expect(shadow?.share).toBe(1);
    const { data } = sidePicture(twoLights, sideMap(twoLights, []));
    expect(data[0]).toBeGreaterThan(data[50 * 4]);
  });

  it('puts every seen pixel on one side, with shares that add to 1', () => {
    fc.assert(
      fc.property(anyPicture, fc.boolean(), (picture, corrects) => {
        const image = valueImageOf(picture);
        const corrections = corrects ? [dab('light', 0.3, 0.6, 0.2)] : [];
        const sides = sideMap(image, corrections);
        sides.forEach((side, p) => expect(side === NO_VALUE).toBe(image.map[p] === NO_VALUE));
        const { light, shadow } = read(image, corrections);
        expect((light?.share ?? 0) + (shadow?.share ?? 0)).toBeCloseTo(1, 9);
      }),
      { numRuns: 40 },
    );
  });
});
