import fc from 'fast-check';
import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { oklabFromBytes, type Bytes } from '../colour/hex';
import { oklchFromOklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { PAINTERS_WHEEL, WHEELS } from '../colour/wheel';
import { SCHEMES } from '../measure/harmony';
import { paintedBy } from '../testing';
import {
  cubeText,
  degreesOff,
  harmonised,
  keyTable,
  schemeArcs,
  TABLE_SIZE,
  throughTable,
  type KeySettings,
} from './one-key';
import { scene } from './testing';

const KEY: KeySettings = {
  hue: 60,
  scheme: 'analogous',
  degree: 0.7,
  keepsSkin: true,
  keepsNeutrals: true,
};
const every = (of: (at: number) => void, { data }: { data: Uint8ClampedArray }) => {
  for (let at = 0; at < data.length; at += 4) of(at);
};
const colourAt = (data: Uint8ClampedArray, at: number) =>
  oklabFromBytes([data[at], data[at + 1], data[at + 2]]);

type Reader = (rgb: readonly number[]) => number[];

/** Reads a `.cube` as a program would that knows only the text: between the eight points of a cell, or by its tetrahedra. */
function readCube(text: string): { eight: Reader; tetrahedra: Reader } {
  const lines = text.split('\n');
  const size = Number(/LUT_3D_SIZE (\d+)/.exec(text)![1]);
  const points = lines
    .filter((line) => /^[0-9]/.test(line))
    .map((line) => line.split(' ').map(Number));
  expect(points.length).toBe(size ** 3);
  const cellOf = (rgb: readonly number[]) => {
    const scaled = rgb.map((byte) => (byte / 255) * (size - 1));
    const low = scaled.map((one) => Math.min(size - 2, Math.floor(one)));
    const rest = scaled.map((one, i) => one - low[i]);
    const point = (on: readonly number[]) =>
      points[((low[2] + on[2]) * size + low[1] + on[1]) * size + low[0] + on[0]];
    return { rest, point };
  };
  return {
    eight(rgb) {
      const { rest, point } = cellOf(rgb);
      const out = [0, 0, 0];
      for (let corner = 0; corner < 8; corner++) {
        const on = [corner & 1, (corner >> 1) & 1, corner >> 2];
        const weight = on.reduce((product, is, k) => product * (is ? rest[k] : 1 - rest[k]), 1);
        point(on).forEach((channel, k) => (out[k] += 255 * channel * weight));
      }
      return out;
    },
    tetrahedra(rgb) {
      const { rest, point } = cellOf(rgb);
      const order = [0, 1, 2].sort((one, other) => rest[other] - rest[one]);
      const on = [0, 0, 0];
      const out = point(on).map((channel) => 255 * channel * (1 - rest[order[0]]));
      order.forEach((axis, i) => {
        on[axis] = 1;
        const weight = rest[axis] - (i < 2 ? rest[order[i + 1]] : 0);
        point(on).forEach((channel, k) => (out[k] += 255 * channel * weight));
      });
      return out;
    },
  };
}

describe('one key', () => {
  it('leaves what is in the scheme, and brings the rest nearer', () => {
    const arcs = schemeArcs(KEY, PAINTERS_WHEEL);
    const off = (hue: number) => degreesOff(hue, arcs);
    expect(off((arcs[0].from + arcs[0].to) / 2)).toBe(0);
    expect(off(arcs[0].to + 30)).toBeCloseTo(30, 6);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 359.9, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (hue, degree) => {
          const to = harmonised(hue, arcs, degree);
          expect(off(to.hue)).toBeLessThanOrEqual(off(hue) + 1e-6);
          if (off(hue) === 0) expect(to).toEqual({ hue, chroma: 1 });
          expect(harmonised(hue, arcs, 0).hue).toBeCloseTo(hue, 6);
        },
      ),
    );
  });

  it.each(SCHEMES)('turns no hue by a jump: %s', (scheme) => {
    for (const wheel of WHEELS) {
      const arcs = schemeArcs({ ...KEY, scheme }, wheel);
      for (let hue = 0; hue < 360; hue += 0.5) {
        const [one, other] = [hue, hue + 0.5].map((at) => harmonised(at, arcs, 1).hue);
        expect(((other - one + 540) % 360) - 180).toBeGreaterThanOrEqual(-1e-6);
        expect(((other - one + 540) % 360) - 180).toBeLessThan(2);
      }
    }
  });

  it('holds values, and keeps neutrals, skin and looped parts', () => {
    const table = keyTable({ ...KEY, degree: 1, hue: 250 });
    const subjects = [scene(3), scene(8)];
    for (const picture of subjects) {
      const keep = new Uint8Array(picture.width * picture.height).fill(255, 0, 500);
      const { data } = throughTable(picture, table, keep);
      expect(data.subarray(0, 2000)).toEqual(picture.data.subarray(0, 2000));
      let [sum, all] = [0, 0];
      every((at) => {
        sum += Math.abs(
          valueOfOklab(colourAt(data, at)) - valueOfOklab(colourAt(picture.data, at)),
        );
        all++;
      }, picture);
      expect(sum / all).toBeLessThan(0.06);
    }
    const skins: Bytes[] = [
      [224, 172, 140],
      [198, 134, 100],
      [241, 194, 165],
      [141, 85, 60],
      [128, 128, 128],
      [40, 41, 40],
    ];
    const patches = paintedBy(skins.length * 4, 4, (x) => skins[Math.floor(x / 4)]);
    const kept = throughTable(patches, table);
    every((at) => {
      const [is, was] = [colourAt(kept.data, at), colourAt(patches.data, at)];
      expect(ciede2000(labFromOklab(is), labFromOklab(was))).toBeLessThan(3);
    }, patches);
    const loud = paintedBy(4, 4, () => [40, 150, 60]);
    const turned = colourAt(throughTable(loud, table).data, 0);
    expect(
      Math.abs(oklchFromOklab(turned).h - oklchFromOklab(colourAt(loud.data, 0)).h),
    ).toBeGreaterThan(15);
  });

  it('the table as a file gives the same picture', () => {
    for (const [seed, hue] of [
      [2, 60],
      [6, 150],
      [9, 260],
    ]) {
      const table = keyTable({ ...KEY, hue, degree: 1 });
      const text = cubeText(table, 'A "key"\nof gold');
      expect(text).toContain(`LUT_3D_SIZE ${TABLE_SIZE}`);
      expect(text.split('\n')[0]).toBe('TITLE "A  key  of gold"');
      const { eight, tetrahedra } = readCube(text);
      const picture = scene(seed);
      const { data } = throughTable(picture, table);
      const off = (read: Reader) => {
        const all: number[] = [];
        every((at) => {
          const bytes = read([...picture.data.subarray(at, at + 3)]).map(Math.round);
          const lab = labFromOklab(oklabFromBytes(bytes as unknown as Bytes));
          all.push(ciede2000(labFromOklab(colourAt(data, at)), lab));
        }, picture);
        return all.sort((one, other) => one - other);
      };
      expect(off(eight).at(-1)).toBeLessThan(0.5);
      // Programs that read it by tetrahedra are off by more in single pixels, and hardly on the whole.
      const other = off(tetrahedra);
      expect(other.reduce((sum, one) => sum + one, 0) / other.length).toBeLessThan(0.2);
      expect(other.at(-1)).toBeLessThan(1.5);
    }
  });

  it('by no degree at all leaves the picture as it is', () => {
    const picture = scene(4);
    expect(throughTable(picture, keyTable({ ...KEY, degree: 0 })).data).toEqual(picture.data);
  });
});
