import { blocksOf, sampledBlocks } from '../picture/blocks';
import { colourGrid } from '../picture/colour-grid';
import type { Picture } from '../picture/picture';
import { valueImageOf } from '../picture/value-map';
import { greyBytes, paintedBy } from '../testing';
import { FOCUS_CELLS } from './focus';
import { MASS_CELLS, massesOf } from './masses';
import { readValueEnds } from './value-ends';

const ends = (picture: Picture) =>
  readValueEnds(
    valueImageOf(picture).counts,
    massesOf(colourGrid(picture, sampledBlocks(picture), MASS_CELLS)),
    colourGrid(picture, blocksOf(picture), FOCUS_CELLS),
  );

/** Values by place, 480 × 360. */
const painted = (value: (x: number, y: number) => number) =>
  paintedBy(480, 360, (x, y) => greyBytes(value(x, y)));
const within = (x: number, y: number, cx: number, cy: number, r: number) =>
  Math.hypot(x - cx, y - cy) <= r;

describe('where lights and darks stop', () => {
  it('is low in a dark room, but for its lamp', () => {
    const room = painted((x, y) =>
      within(x, y, 400, 60, 13) ? 9 : x > 330 && y < 200 ? 3.5 : x < 200 ? 0.8 : 1.6,
    );
    const { lights, darks } = ends(room);
    expect(lights.large).toBeCloseTo(3.5, 0);
    expect(lights.usual).toBeLessThanOrEqual(lights.large);
    expect(lights.small).toHaveLength(1);
    const [lamp] = lights.small;
    expect(lamp.value).toBeCloseTo(9, 0);
    expect(lamp.share).toBeCloseTo((Math.PI * 13 ** 2) / (480 * 360), 3);
    expect([lamp.x, lamp.y]).toEqual([expect.closeTo(400 / 480, 1), expect.closeTo(60 / 360, 1)]);
    expect(darks.large).toBeCloseTo(0.8, 0);
    expect(darks.small).toEqual([]);
  });

  it('finds small darks on snow the same way, the weightiest first, and three at most', () => {
    const walkers = [60, 140, 220, 300, 380];
    const snow = painted((x, y) => {
      const at = walkers.findIndex((cx) => within(x, y, cx, 250, 4 + cx / 60));
      return at >= 0 ? 2 : y < 120 ? 7.5 : 9;
    });
    const { lights, darks } = ends(snow);
    expect(lights.small).toEqual([]);
    expect(lights.large).toBeCloseTo(9, 0);
    expect(darks.large).toBeGreaterThan(6.5);
    expect(darks.small).toHaveLength(3);
    expect(darks.small.map(({ x }) => Math.round(x * 480))).toEqual([
      expect.closeTo(380, -1),
      expect.closeTo(300, -1),
      expect.closeTo(220, -1),
    ]);
  });

  it('is told of noise and of one value without small ones', () => {
    const flat = ends(painted(() => 5));
    for (const { usual, large, small } of [flat.lights, flat.darks])
      expect([usual, large, small]).toEqual([expect.closeTo(5, 0), expect.closeTo(5, 0), []]);
    const grain = ends(painted((x, y) => 4 + ((x * 7919 + y * 104729) % 13) / 13));
    expect([grain.lights.small, grain.darks.small]).toEqual([[], []]);
  });

  it('knows no usual light beyond the large ones, and lights above darks', () => {
    const halves = ends(painted((x) => (x < 240 ? 3 : 7)));
    expect(halves.lights).toMatchObject({ usual: expect.closeTo(7, 0), small: [] });
    expect(halves.darks).toMatchObject({ usual: expect.closeTo(3, 0), small: [] });
    expect(halves.lights.large).toBeGreaterThanOrEqual(halves.lights.usual - 1e-9);
    expect(halves.darks.large).toBeLessThanOrEqual(halves.darks.usual + 1e-9);
  });
});
