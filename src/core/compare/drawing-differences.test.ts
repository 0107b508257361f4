import { blocksOf } from '../picture/blocks';
import { colourGrid } from '../picture/colour-grid';
import { MASS_CELLS } from '../measure/masses';
import type { Picture } from '../picture/picture';
import { resizedPicture } from '../picture/resized';
import { paintedBy } from '../testing';
import { compare, differencesOf } from './compare';
import { evenedPicture } from './evened-picture';
import { findingAlone, findingOf } from './finding';
import { layStudy } from './lay-study';
import { ownReading } from './own-reading';
import { proportionsOf } from './proportions';
import { largestAbout, smoothed, stepsAtScale } from './scale-steps';
import { landscape, laidIn } from './testing';
import type { Grid } from './value-grid';

const [WIDTH, HEIGHT] = [360, 270];
const grey = (width: number, height: number, of: (x: number, y: number) => number) =>
  paintedBy(width, height, (x, y) => {
    const byte = Math.round(of(x / width, y / height));
    return [byte, byte, byte];
  });
const HARD = 0.004;
/** A bright sky that turns slowly, a dark hill with a hard rim, and a house. */
const scene = (sky: (x: number, y: number) => number, rimAt: (x: number) => number = () => HARD) =>
  grey(WIDTH, HEIGHT, (x, y) => {
    const isHouse = Math.abs(x - 0.7) < 0.1 && y > 0.62 && y < 0.86;
    if (isHouse) return 210;
    const hill = 0.6 + 0.04 * Math.sin(9 * x);
    const part = Math.min(1, Math.max(0, (y - hill) / rimAt(x) + 0.5));
    return (1 - part) * sky(x, y) + part * 60;
  });
const turning = (x: number, y: number) => 235 - 190 * y * 0.6 - 20 * x;
const model = scene(turning);
const digital = { isDigital: true } as const;
const gridOf = (data: number[], width: number): Grid => ({
  width,
  height: data.length / width,
  data: Float32Array.from(data),
  mask: new Uint8Array(data.length).fill(1),
});

describe('steps of value at a scale', () => {
  const ramp = (long: number) =>
    gridOf(
      Array.from({ length: 41 * 60 }, (_, c) =>
        Math.min(4, Math.max(0, (4 * ((c % 60) - 30)) / long + 2)),
      ),
      60,
    );

  it('are as high as a sharp step, at every scale, and lower for a slow turn the finer the scale', () => {
    const middle = 20 * 60 + 30;
    const steps = (long: number, scale: number) =>
      largestAbout(stepsAtScale(ramp(long), scale), 60, 41, 2)[middle];
    expect(steps(0.01, 2)).toBeGreaterThan(3.6);
    expect(steps(0.01, 4)).toBeGreaterThan(3.6);
    expect(steps(20, 1)).toBeLessThan(0.6);
    expect(steps(20, 4)).toBeGreaterThan(3 * steps(20, 1));
  });

  it('take nothing from cells without a number', () => {
    const grid = ramp(0.01);
    grid.mask.forEach((_, c) => (grid.mask[c] = c % 60 < 30 ? 1 : 0));
    const left = smoothed(grid, 3)[20 * 60 + 29];
    expect(left).toBeCloseTo(0, 5);
  });
});

describe('edges, turns and proportions of a study', () => {
  it('are as they should be in the model itself', () => {
    const { edges, flattened, proportions } = compare(model, model, digital)!;
    expect(edges).toEqual([]);
    expect(flattened).toEqual([]);
    expect(proportions.areOff).toBe(false);
    expect(proportions.model).toEqual(proportions.study);
  });

  it('an edge that goes soft on the way is lost there', () => {
    const halfSoft = scene(turning, (x) => (x < 0.45 ? 0.16 : HARD));
    const { edges } = compare(model, halfSoft, digital)!;
    const lost = edges.filter(({ is }) => is === 'lost');
    expect(lost.length).toBeGreaterThan(0);
    expect(Math.abs(lost[0].y - 0.6)).toBeLessThan(0.08);
    expect(lost[0].x).toBeLessThan(0.45);
    expect(lost[0].length).toBeGreaterThan(0.2);
    // And hard where the model is soft, the other way round.
    const { edges: found } = compare(halfSoft, model, digital)!;
    expect(found.map(({ is }) => is)).toContain('found');
    expect(found.map(({ is }) => is)).not.toContain('lost');
  });

  it('a study that is soft as a whole has lost no single edge', () => {
    const { edges } = compare(
      model,
      scene(turning, () => 0.012),
      digital,
    )!;
    expect(edges).toEqual([]);
  });

  it('a sky laid flat has lost its turn, and one as it was has not', () => {
    const flat = compare(
      model,
      scene(() => 196),
      digital,
    )!;
    expect(flat.flattened.length).toBeGreaterThan(0);
    expect(flat.flattened[0].y).toBeLessThan(0.6);
    expect(flat.flattened[0].turn).toBeGreaterThan(0.6);
  });

  it('too much light is said of the proportions', () => {
    const lighter = scene((x, y) => (x > 0.4 ? 90 : turning(x, y)));
    const { proportions } = compare(model, lighter, digital)!;
    expect(proportions.areOff).toBe(true);
    const sum = Object.values(proportions.study).reduce((a, b) => a + b, 0);
    expect(sum).toBeCloseTo(1, 6);
  });

  it('proportions of two grids are by the model’s own zones', () => {
    const own = gridOf(
      Array.from({ length: 400 }, (_, c) => [1, 5, 9][Math.floor(c / 134)]),
      20,
    );
    const { model: shares } = proportionsOf(own, own);
    expect(shares.dark).toBeCloseTo(0.33, 1);
    expect(shares.light).toBeCloseTo(0.33, 1);
  });
});

describe('what a check says', () => {
  const land = landscape();
  const photo = laidIn(land, [70, 56, 44], [380, 290], [70, 50]);

  it('holds the study against the model, or against another picture in its frame', () => {
    const laid = layStudy(land, photo, digital)!;
    const finding = findingOf(laid);
    expect(finding.relations).toEqual([]);
    expect(finding.model!.key).toBe(finding.study.key);
    const darker = paintedBy(land.width, land.height, (x, y) => {
      const at = (y * land.width + x) * 4;
      const by = x < land.width / 3 ? 0.5 : 1;
      return [0, 1, 2].map((k) => land.data[at + k] * by) as [number, number, number];
    });
    const { relations } = findingOf(laid, darker);
    expect(relations[0].value).toBeGreaterThan(0.3);
    expect(relations.map(({ id }) => id)[0]).toBe('relation-1');
    const small = resizedPicture(land, 60, 45);
    expect(() => differencesOf(laid, small)).toThrow(RangeError);
  });

  it('brings the study into the model’s frame as it is', () => {
    const laid = layStudy(land, photo, digital)!;
    const evened = evenedPicture(photo, laid, land.width, land.height);
    const off = difference(evened, land);
    expect(off).toBeLessThan(4);
    // What the photograph doesn't show is transparent.
    const cut = laidIn(land, [70, 56, 44], [300, 290], [70, 50]);
    const partly = layStudy(land, cut, digital)!;
    const shown = evenedPicture(cut, partly, land.width, land.height);
    expect(shown.data[(100 * land.width + land.width - 2) * 4 + 3]).toBe(0);
  });

  it('reads a study by itself', () => {
    const { study, relations, registration } = findingAlone(land);
    expect(registration).toBeNull();
    expect(relations).toEqual([]);
    const sum = Object.values(study.zones).reduce((a, b) => a + b, 0);
    expect(sum).toBeCloseTo(1, 6);
    const dark = ownReading(gridOfPicture(grey(100, 80, (x) => 20 + 20 * x)));
    expect(dark).toMatchObject({ key: 'low', range: 'short', warm: null, families: [] });
    expect(dark.zones.dark).toBe(1);
    expect(dark.neutral).toBe(1);
  });
});

describe('a picture at another size', () => {
  it('is the mean of its light, and transparent where that is', () => {
    const picture = grey(40, 20, (x) => (x < 0.5 ? 0 : 255));
    const half = resizedPicture(picture, 20, 10);
    expect([half.width, half.height]).toEqual([20, 10]);
    expect(half.data[0]).toBe(0);
    expect(half.data[19 * 4]).toBe(255);
    // Half the light of white, not half its byte.
    expect(resizedPicture(picture, 1, 1).data[0]).toBe(188);
    picture.data[3] = 0;
    expect(resizedPicture(picture, 40, 20)).toBe(picture);
  });
});

const gridOfPicture = (picture: Picture) => colourGrid(picture, blocksOf(picture), MASS_CELLS);

function difference(one: Picture, other: Picture): number {
  let [sum, n] = [0, 0];
  for (let i = 0; i < one.data.length; i += 4) {
    if (one.data[i + 3] === 0) continue;
    sum += Math.abs(one.data[i] - other.data[i]);
    n++;
  }
  return sum / n;
}
