import fc from 'fast-check';
import type { ColourGrid } from '../picture/colour-grid';
import { falloffOf } from './even-light';
import { fitShift, shiftedCell, type StudyCells } from './shift';
import { steadyCells } from './steady-cells';
import { linearFromOklab } from '../colour/oklab';
import { luminance } from '../colour/srgb';
import { luminanceOfValue, valueOfOklab } from '../colour/value';

/** Masses of many colours in a grid, each some cells wide. */
function gridOf(colours: readonly (readonly [L: number, a: number, b: number])[]): ColourGrid {
  const side = 12;
  const columns = 5;
  const rows = Math.ceil(colours.length / columns);
  const [width, height] = [columns * side, rows * side];
  const cells = width * height;
  const oklab = new Float32Array(cells * 3);
  const value = new Float32Array(cells);
  for (let c = 0; c < cells; c++) {
    const mass =
      Math.floor(Math.floor(c / width) / side) * columns + Math.floor((c % width) / side);
    const [L, a, b] = colours[mass % colours.length];
    oklab.set([L, a, b], c * 3);
    value[c] = valueOfOklab({ L, a, b });
  }
  return {
    width,
    height,
    across: width,
    down: height,
    oklab,
    value,
    mask: new Float32Array(cells).fill(1),
  };
}

const COLOURS = Array.from(
  { length: 20 },
  (_, i) =>
    [0.35 + 0.025 * ((i * 7) % 20), 0.06 * Math.cos(i * 1.3), 0.06 * Math.sin(i * 1.3)] as const,
);
const grid = gridOf(COLOURS);
const all = new Uint8Array(grid.mask.length).fill(1);

const anyShift = fc.record({
  value: fc.double({ min: -1, max: 1, noNaN: true }),
  valueGain: fc.double({ min: 0.85, max: 1.15, noNaN: true }),
  chromaGain: fc.double({ min: 0.7, max: 1.3, noNaN: true }),
  hueTurn: fc.double({ min: -20, max: 20, noNaN: true }),
  castA: fc.constant(0),
  castB: fc.constant(0),
});

function studyUnder(shift: Parameters<typeof shiftedCell>[2]): StudyCells {
  const oklab = grid.oklab.slice();
  const value = grid.value.slice();
  for (let c = 0; c < value.length; c++) {
    const [v, a, b] = shiftedCell(grid, c, shift);
    value[c] = v;
    oklab.set([a, b], c * 3 + 1);
  }
  return { oklab, value, mask: all };
}

describe('a shift', () => {
  it('is found as it is, whatever two masses of twenty do by themselves', () => {
    fc.assert(
      fc.property(
        anyShift,
        fc.uniqueArray(fc.integer({ min: 0, max: 19 }), { minLength: 2, maxLength: 2 }),
        fc.double({ min: -2, max: 2, noNaN: true }),
        (shift, astray, by) => {
          const study = studyUnder(shift);
          for (let c = 0; c < study.value.length; c++) {
            const mass =
              Math.floor(Math.floor(c / grid.width) / 12) * 5 + Math.floor((c % grid.width) / 12);
            if (!astray.includes(mass)) continue;
            study.value[c] += by;
            study.oklab[c * 3 + 1] += 0.04;
          }
          const found = fitShift(grid, study, all, false);
          expect(Math.abs(found.value - shift.value)).toBeLessThan(0.05);
          expect(Math.abs(found.valueGain - shift.valueGain)).toBeLessThan(0.04);
          expect(Math.abs(found.chromaGain - shift.chromaGain)).toBeLessThan(0.03);
          expect(Math.abs(found.hueTurn - shift.hueTurn)).toBeLessThan(1);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('is told from a cast that lies over everything', () => {
    const study = studyUnder({
      value: 0.4,
      valueGain: 1,
      chromaGain: 1.1,
      hueTurn: 5,
      castA: 0.02,
      castB: -0.01,
    });
    const found = fitShift(grid, study, all, true);
    expect(found.castA).toBeCloseTo(0.02, 2);
    expect(found.castB).toBeCloseTo(-0.01, 2);
    expect(found.chromaGain).toBeCloseTo(1.1, 1);
  });

  it('is none where nothing is seen', () => {
    expect(fitShift(grid, studyUnder(NONE), new Uint8Array(all.length), false)).toEqual(NONE);
  });
});

const NONE = { value: 0, valueGain: 1, chromaGain: 1, hueTurn: 0, castA: 0, castB: 0 };

describe('uneven light', () => {
  it('is told from a study that is darker and flatter than its model', () => {
    const light = new Float32Array(grid.mask.length * 3);
    const falls = (u: number, v: number) =>
      0.35 * (u - 0.5) - 0.2 * (v - 0.5) - 0.3 * (u - 0.5) ** 2;
    for (let c = 0; c < grid.mask.length; c++) {
      const [L, a, b] = grid.oklab.subarray(c * 3, c * 3 + 3);
      const { r, g, b: blue } = linearFromOklab({ L, a, b });
      const wanted = luminanceOfValue(5 + 0.9 * (grid.value[c] - 5) - 0.5);
      const u = ((c % grid.width) + 0.5) / grid.across;
      const v = (Math.floor(c / grid.width) + 0.5) / grid.down;
      const by = (wanted / luminance(r, g, blue)) * Math.exp(falls(u, v));
      light.set([r * by, g * by, blue * by], c * 3);
    }
    const found = falloffOf(grid, { light, mask: all }, all, []);
    for (const [u, v] of [
      [0.1, 0.1],
      [0.9, 0.1],
      [0.5, 0.9],
      [0.9, 0.9],
    ]) {
      const wanted = falls(u, v) - falls(0.5, 0.5);
      expect(Math.abs(found(u, v) - found(0.5, 0.5) - wanted)).toBeLessThan(0.02);
    }
  });

  it('is taken for even where there is too little to go by', () => {
    const few = new Uint8Array(all.length);
    few.fill(1, 0, 20);
    const falloff = falloffOf(
      grid,
      { light: new Float32Array(all.length * 3), mask: few },
      few,
      [],
    );
    expect(falloff(0, 0)).toBe(0);
  });
});

describe('steady cells', () => {
  it('lie away from edges and from the rim', () => {
    const steady = steadyCells(grid);
    const at = (x: number, y: number) => steady[y * grid.width + x];
    expect(at(6, 6)).toBe(1);
    expect(at(11, 6)).toBe(0);
    expect(at(0, 6)).toBe(0);
  });

  it('are all but the rim in a picture that is nothing but edges', () => {
    const noise = gridOf([[0.5, 0, 0]]);
    noise.value.forEach((_, c) => (noise.value[c] = (c * 7) % 10));
    expect(steadyCells(noise).filter((one) => one === 1)).toHaveLength(
      (noise.width - 4) * (noise.height - 4),
    );
  });
});
