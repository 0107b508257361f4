import fc from 'fast-check';
import { oklabFromHex } from '../colour/hex';
import { oklabDistance, type Oklab } from '../colour/oklab';
import { bytesFromOklab } from '../colour/hex';
import { randomFrom } from '../seeded';
import { pictureOf, type Picture } from '../picture/picture';
import { fittedHomography, mapped } from '../raster/homography';
import { fittedLattice } from './lattice';
import { readSheet } from './read-sheet';

const of = (hex: string) => oklabFromHex(hex) as Oklab;
const small = fc.double({ min: -0.15, max: 0.15, noNaN: true });
/** A camera that is not far off the upright. */
const anyView = fc
  .record({ a: small, b: small, c: small, d: small, g: small, h: small })
  .map(({ a, b, c, d, g, h }) => [0.1 + a * 0.1, b * 0.05, c, d * 0.05, 0.1, 0, g / 12, h / 12, 1]);

describe('a projective map', () => {
  it('is found from what it does to points', () => {
    fc.assert(
      fc.property(anyView, (view) => {
        const some = [0, 1, 2, 3, 4].flatMap((x) =>
          [0, 1, 2, 3].map((y) => ({ from: [x, y] as const, to: mapped(view, x, y) })),
        );
        const found = fittedHomography(some)!;
        const [x, y] = mapped(found, 2.5, 7);
        const [u, v] = mapped(view, 2.5, 7);
        expect(Math.hypot(x - u, y - v)).toBeLessThan(1e-6);
      }),
    );
  });

  it('is not found from three points, or from points on a line', () => {
    const line = [0, 1, 2, 3, 4].map((x) => ({ from: [x, x] as const, to: [x, x] as const }));
    expect(fittedHomography(line)).toBeNull();
    expect(fittedHomography(line.slice(0, 3))).toBeNull();
  });
});

describe('a lattice', () => {
  it('is found in perspective though a fifth of its points are not there and all are a little off', () => {
    let wrong = 0;
    for (let seed = 1; seed <= 150; seed++) {
      const random = randomFrom(seed);
      const tilt = () => (random() - 0.5) * 0.02;
      const view = [0.1, tilt(), tilt(), tilt(), 0.1, tilt(), tilt(), tilt(), 1];
      const columns = 4 + Math.floor(random() * 9);
      const rows = 4 + Math.floor(random() * 7);
      const there = Array.from({ length: columns * rows }, (_, i) => {
        const cell = [i % columns, Math.floor(i / columns)];
        const [dx, dy] = [0, 1].map(() => (random() - 0.5) * 0.18);
        const [x, y] = mapped(view, cell[0] + dx, cell[1] + dy);
        return { x, y, cell, gone: random() < 0.2 };
      }).filter(({ gone }) => !gone);
      const lattice = fittedLattice(there);
      if (there.some(({ cell }, i) => lattice?.cells[i]?.join() !== cell.join())) wrong++;
    }
    expect(wrong).toBeLessThanOrEqual(1);
  });

  it('takes six points at least', () => {
    expect(fittedLattice([{ x: 0, y: 0 }])).toBeNull();
    expect(fittedLattice(Array.from({ length: 8 }, () => ({ x: 0.5, y: 0.5 })))).toBeNull();
  });
});

/** Squares of colour on a plain sheet. */
function squares(places: readonly (readonly [x: number, y: number, hex: string])[]): Picture {
  const [width, height] = [400, 300];
  const data = new Uint8ClampedArray(width * height * 4).fill(236);
  for (let i = 3; i < data.length; i += 4) data[i] = 255;
  for (const [x, y, hex] of places)
    for (let v = y - 12; v < y + 12; v++)
      for (let u = x - 12; u < x + 12; u++) data.set(bytesFromOklab(of(hex)), (v * width + u) * 4);
  return pictureOf(width, height, data);
}

describe('a sheet', () => {
  it('without strokes has none', () => {
    expect(readSheet(squares([])).strokes).toEqual([]);
    expect(readSheet(pictureOf(1, 1, new Uint8ClampedArray(4))).strokes).toEqual([]);
  });

  it('of a few strokes in no rows is read all the same, from the upper left', () => {
    const { strokes: found } = readSheet(
      squares([
        [300, 200, '#304060'],
        [80, 60, '#a04030'],
        [220, 66, '#208050'],
      ]),
    );
    expect(found.map(({ supposed }) => supposed)).toEqual([false, false, false]);
    [
      ['#a04030', 80, 60],
      ['#208050', 220, 66],
      ['#304060', 300, 200],
    ].forEach(([, x, y], i) => {
      expect(found[i].x).toBeCloseTo(Number(x) / 400, 1);
      expect(found[i].y).toBeCloseTo(Number(y) / 300, 1);
    });
  });

  it('has a stroke of the paper’s own colour where the rows have a place for it, but not at its end', () => {
    const places = Array.from(
      { length: 14 },
      (_, i) => [50 + 75 * (i % 5), 60 + 85 * Math.floor(i / 5), '#7a5c3e'] as const,
    );
    const { strokes: found, colourAt } = readSheet(squares(places.filter((_, i) => i !== 6)));
    expect(found).toHaveLength(14);
    expect(found.map(({ supposed }, i) => (supposed ? i : -1)).filter((i) => i >= 0)).toEqual([6]);
    expect(oklabDistance(found[6].colour, of('#eeeeee'))).toBeLessThan(0.03);
    expect(oklabDistance(colourAt(50 / 400, 60 / 300), found[0].colour)).toBeLessThan(0.01);
  });
});
