import fc from 'fast-check';
import { paintedBy } from '../testing';
import { framePicture } from './frame';
import { keptBox, largestFrame, toFramed, toOriginal, WHOLE, type Framing } from './framing';
import { countOpaque } from './picture';

const fraction = fc.double({ min: 0, max: 1, noNaN: true });
const anyAngle = fc.double({ min: -45, max: 45, noNaN: true });
const anyBox = fc
  .tuple(
    fraction,
    fraction,
    fc.double({ min: 0.05, max: 1, noNaN: true }),
    fc.double({ min: 0.05, max: 1, noNaN: true }),
  )
  .map(([x, y, width, height]) => ({ width, height, x: x * (1 - width), y: y * (1 - height) }));
const anyFraming: fc.Arbitrary<Framing> = fc.record({ angle: anyAngle, crop: fc.option(anyBox) });
const anyAspect = fc.double({ min: 0.3, max: 3, noNaN: true });

describe('framing', () => {
  it('takes a place to the original and back', () => {
    fc.assert(
      fc.property(fraction, fraction, anyFraming, anyAspect, (x, y, framing, aspect) => {
        const back = toFramed(toOriginal({ x, y }, framing, aspect), framing, aspect);
        expect(back.x).toBeCloseTo(x, 9);
        expect(back.y).toBeCloseTo(y, 9);
      }),
    );
  });

  it('keeps the most that has no empty corner', () => {
    fc.assert(
      fc.property(anyAngle, anyAspect, (angle, aspect) => {
        const framing = { angle, crop: null };
        const corners = [0, 1].flatMap((x) =>
          [0, 1].map((y) => toOriginal({ x, y }, framing, aspect)),
        );
        for (const corner of corners) {
          expect(corner.x).toBeGreaterThan(-1e-9);
          expect(corner.x).toBeLessThan(1 + 1e-9);
          expect(corner.y).toBeGreaterThan(-1e-9);
          expect(corner.y).toBeLessThan(1 + 1e-9);
        }
        // The tightest side touches: any larger box would reach outside.
        const reach = Math.max(
          ...corners.flatMap(({ x, y }) => [Math.abs(x - 0.5), Math.abs(y - 0.5)]),
        );
        if (Math.abs(angle) > 0.01) expect(reach).toBeCloseTo(0.5, 6);
      }),
    );
    expect(keptBox({ angle: 0, crop: null }, 1.5)).toEqual(WHOLE);
    expect(largestFrame(0, 1.5)).toEqual(WHOLE);
  });
});

describe('a framed picture', () => {
  const picture = paintedBy(20, 10, (x, y) => [x * 12, y * 25, 128]);

  it('is the picture itself without crop and turn', () => {
    expect(framePicture(picture, { angle: 0, crop: null })).toBe(picture);
  });

  it('is cut to the pixel', () => {
    const cut = framePicture(picture, {
      angle: 0,
      crop: { x: 0.25, y: 0.2, width: 0.5, height: 0.6 },
    });
    expect([cut.width, cut.height]).toEqual([10, 6]);
    expect(Array.from(cut.data.slice(0, 4))).toEqual([5 * 12, 2 * 25, 128, 255]);
    expect(Array.from(cut.data.slice(-4))).toEqual([14 * 12, 7 * 25, 128, 255]);
  });

  it('has no transparent pixel after turning, unless the crop reaches outside', () => {
    for (const angle of [-20, -3, 7, 33]) {
      const turned = framePicture(picture, { angle, crop: null });
      expect(countOpaque(turned)).toBe(turned.width * turned.height);
    }
    const whole = framePicture(picture, { angle: 20, crop: WHOLE });
    expect([whole.width, whole.height]).toEqual([20, 10]);
    expect(countOpaque(whole)).toBeLessThan(200);
    expect(countOpaque(whole)).toBeGreaterThan(120);
  });

  it('makes no colour that is not between its neighbours', () => {
    const flat = paintedBy(16, 16, () => [200, 30, 90]);
    const { data } = framePicture(flat, { angle: 13, crop: null });
    for (let i = 0; i < data.length; i += 4)
      expect(Array.from(data.slice(i, i + 4))).toEqual([200, 30, 90, 255]);
  });

  it('shows at a framed place what stands at that place of the original', () => {
    const dot = paintedBy(101, 101, (x, y) => (x === 70 && y === 30 ? [255, 255, 255] : [0, 0, 0]));
    const framing = { angle: 10, crop: { x: 0.2, y: 0.1, width: 0.7, height: 0.6 } };
    const framed = framePicture(dot, framing);
    const place = toFramed({ x: 70.5 / 101, y: 30.5 / 101 }, framing, 1);
    let brightest = 0;
    for (let p = 0; p < framed.width * framed.height; p++)
      if (framed.data[p * 4] > framed.data[brightest * 4]) brightest = p;
    expect(Math.abs((brightest % framed.width) + 0.5 - place.x * framed.width)).toBeLessThan(1);
    expect(
      Math.abs(Math.floor(brightest / framed.width) + 0.5 - place.y * framed.height),
    ).toBeLessThan(1);
  });
});
