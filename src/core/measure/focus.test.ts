import fc from 'fast-check';
import { anyPicture, greyBytes, paintedBy } from '../testing';
import { blocksOf } from '../picture/blocks';
import { colourGrid } from '../picture/colour-grid';
import type { Picture } from '../picture/picture';
import { readBalance } from './balance';
import { FOCUS_CELLS, readFocus } from './focus';

const gridOf = (picture: Picture) => colourGrid(picture, blocksOf(picture), FOCUS_CELLS);
const disc = (x: number, y: number, cx: number, cy: number, r: number) =>
  (x - cx) ** 2 + (y - cy) ** 2 < r * r;

type Bytes = [number, number, number];
const GREY: Bytes = [119, 119, 119];
/** Colours of the grey's value. */
const RED: Bytes = [196, 84, 78];
const GREEN: Bytes = [66, 132, 70];

describe('focus', () => {
  it.each<['value' | 'chroma', Bytes, Bytes]>([
    ['value', greyBytes(5), greyBytes(8.5)],
    ['chroma', GREY, RED],
  ])('finds a lone accent and that it stands out by %s', (reason, field, accent) => {
    const { places, quiet } = readFocus(
      gridOf(paintedBy(320, 240, (x, y) => (disc(x, y, 240, 60, 12) ? accent : field))),
    );
    expect(places[0].reason).toBe(reason);
    expect(Math.hypot(places[0].x - 0.75, places[0].y - 0.25)).toBeLessThan(0.05);
    expect(places[0].strength).toBe(1);
    expect(quiet[0].share).toBeGreaterThan(0.7);
  });

  it('finds the one lamp of a dark room, soft glow and all', () => {
    const field = (x: number, y: number) => {
      const far = Math.hypot(x - 270, y - 90);
      // A wheel with sharp spokes stands in the middle, dark on dark.
      const spoke = Math.hypot(x - 130, y - 120) < 60 && (x + y) % 24 < 10;
      return far < 9 ? 9 : Math.max(spoke ? 2.4 : 1.1, 5 - far / 12);
    };
    const { places } = readFocus(gridOf(paintedBy(320, 240, (x, y) => greyBytes(field(x, y)))));
    expect(Math.hypot(places[0].x - 270 / 320, places[0].y - 90 / 240)).toBeLessThan(0.06);
    expect(places[0].reason).toBe('value');
  });

  it('looks for nothing where a long edge leaves the picture', () => {
    const { places } = readFocus(gridOf(paintedBy(320, 240, (_, y) => greyBytes(y < 120 ? 3 : 6))));
    for (const { x } of places) expect(Math.min(x, 1 - x)).toBeGreaterThan(0.02);
  });

  it('calls red against green of one value and strength a contrast of hue', () => {
    const { places } = readFocus(gridOf(paintedBy(320, 240, (x) => (x < 160 ? RED : GREEN))));
    expect(places[0].reason).toBe('hue');
    expect(Math.abs(places[0].x - 0.5)).toBeLessThan(0.03);
  });

  it('ranks a strong contrast before a weak one and keeps places apart', () => {
    const { places } = readFocus(
      gridOf(
        paintedBy(320, 240, (x, y) =>
          disc(x, y, 80, 120, 12)
            ? greyBytes(9)
            : disc(x, y, 240, 120, 12)
              ? greyBytes(7.2)
              : greyBytes(4),
        ),
      ),
    );
    expect(places).toHaveLength(2);
    expect(places[0].x).toBeLessThan(0.5);
    expect(places[1].x).toBeGreaterThan(0.5);
    expect(places[1].strength).toBeLessThan(0.8);
  });

  it('finds nothing in a flat picture or in mere grain', () => {
    const flat = readFocus(gridOf(paintedBy(200, 150, () => GREY)));
    expect(flat.places).toEqual([]);
    expect(flat.quiet).toHaveLength(1);
    expect(flat.quiet[0].share).toBe(1);
    const grain = paintedBy(200, 150, (x, y) => greyBytes(5 + ((x * 7 + y * 11) % 3) * 0.1));
    expect(readFocus(gridOf(grain)).places).toEqual([]);
  });

  it('stays within the picture whatever the picture', () => {
    fc.assert(
      fc.property(anyPicture, (picture) => {
        const { places, quiet } = readFocus(gridOf(picture));
        for (const { x, y } of [...places, ...quiet]) {
          expect(x).toBeGreaterThanOrEqual(0);
          expect(x).toBeLessThanOrEqual(1);
          expect(y).toBeGreaterThanOrEqual(0);
          expect(y).toBeLessThanOrEqual(1);
        }
        places.forEach(({ strength }, i) =>
          expect(strength).toBeLessThanOrEqual(places[i - 1]?.strength ?? 1),
        );
      }),
      { numRuns: 40 },
    );
  });
});

describe('balance', () => {
  it('lies in the middle of an even picture, and of one that weighs nothing', () => {
    for (const value of [3, 10]) {
      const { centre, left, upper } = readBalance(
        gridOf(paintedBy(90, 61, () => greyBytes(value))),
      );
      for (const n of [centre.x, centre.y, left, upper]) expect(n).toBeCloseTo(0.5, 6);
    }
  });

  it('leans to what is darker and to what is stronger', () => {
    const half = (left: Bytes, right: Bytes) =>
      readBalance(gridOf(paintedBy(100, 60, (x) => (x < 50 ? left : right))));
    // Black against white: all the weight on one side, its centre in the middle of that side.
    expect(half([0, 0, 0], [255, 255, 255])).toMatchObject({
      centre: { x: expect.closeTo(0.25, 3), y: expect.closeTo(0.5, 6) },
      left: expect.closeTo(1, 3),
    });
    expect(half(GREY, RED).left).toBeLessThan(0.45);
  });
});
