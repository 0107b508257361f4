import { inGamut } from '../colour/gamut';
import { solved } from '../mixing/linear-system';
import type { ColourGrid } from '../picture/colour-grid';
import { quantileOf } from '../raster/quantile';

/** What a study has otherwise everywhere: study against model. */
export interface Shift {
  /** Munsell steps, at the middle of the scale: value 5. */
  value: number;
  /** Of differences of value, about value 5. */
  valueGain: number;
  /** Of OKLCH chroma. */
  chromaGain: number;
  /** Degrees of OKLCH hue, from red towards yellow. */
  hueTurn: number;
}

/** A shift with the cast that is left where nothing of known colour is seen, in OKLab a and b. */
export interface FittedShift extends Shift {
  castA: number;
  castB: number;
}

/** A study's colours in the cells of its model. */
export interface StudyCells {
  oklab: Float32Array;
  value: Float32Array;
  mask: Uint8Array;
}

/** The value that gains are about. */
const MIDDLE = 5;
/** Values between which a study is taken to follow its model. */
const DARKEST = 0.9;
const LIGHTEST = 9.3;
/** Of the cells so much has to lie within sRGB for the rest to be left out. */
const MIN_INSIDE = 0.2;
const ROUNDS = 15;
/** So many cells are enough. */
const MAX_CELLS = 6000;
const REACH = 4.685;
const MIN_VALUE_SPREAD = 0.12;
const MIN_COLOUR_SPREAD = 0.004;
/** How strongly no gain and no turn are preferred, as sums of squares a cell: little varied pictures say little of them. */
const VALUE_RIDGE = 0.02;
const COLOUR_RIDGE = 2e-5;

/**
 * The shift that most of a study shares, by iteratively reweighted least squares with Tukey's biweight, so that masses which went
 * astray by themselves don't count. `steady` says which cells do; `hasCast` adds a constant in a and b to be left out.
 */
export function fitShift(
  model: ColourGrid,
  study: StudyCells,
  steady: Uint8Array,
  hasCast: boolean,
): FittedShift {
  let cells: number[] = [];
  for (let c = 0; c < study.mask.length; c++) if (study.mask[c] && steady[c]) cells.push(c);
  const step = Math.ceil(cells.length / MAX_CELLS);
  cells = cells.filter((_, i) => i % step === 0);
  if (cells.length === 0)
    return { value: 0, valueGain: 1, chromaGain: 1, hueTurn: 0, castA: 0, castB: 0 };
  const differences = Float64Array.from(cells, (c) => study.value[c] - model.value[c]);
  const usual = quantileOf(differences, 0.5);
  const [value, gain] = robust(
    cells
      .map((c, i) => ({ c, right: differences[i] }))
      // What would be darker than black or lighter than white has stopped short.
      .filter(({ c }) => {
        const wanted = model.value[c] + usual;
        return wanted >= DARKEST && wanted <= LIGHTEST;
      })
      .map(({ c, right }) => ({ rows: [{ by: [1, model.value[c] - MIDDLE], right }] })),
    [usual, 0],
    MIN_VALUE_SPREAD,
    [0, VALUE_RIDGE],
    [0, 0],
  );
  const first = colourFit(cells);
  // What would be stronger than sRGB has stopped short too.
  const inside = cells.filter((c) => {
    const [L, a, b] = model.oklab.subarray(c * 3, c * 3 + 3);
    const [re, im, castA = 0, castB = 0] = first;
    return inGamut({ L: L + usual / 10, a: re * a - im * b + castA, b: im * a + re * b + castB });
  });
  const [re, im, castA = 0, castB = 0] =
    inside.length >= MIN_INSIDE * cells.length ? colourFit(inside) : first;
  return {
    value,
    valueGain: 1 + gain,
    chromaGain: Math.hypot(re, im),
    hueTurn: (Math.atan2(im, re) * 180) / Math.PI,
    castA,
    castB,
  };

  /** As complex numbers: the study's a + ib is the model's, turned and stretched. */
  function colourFit(some: readonly number[]): number[] {
    return robust(
      some.map((c) => {
        const [a, b] = [model.oklab[c * 3 + 1], model.oklab[c * 3 + 2]];
        const [sa, sb] = [study.oklab[c * 3 + 1], study.oklab[c * 3 + 2]];
        return {
          rows: [
            { by: hasCast ? [a, -b, 1, 0] : [a, -b], right: sa },
            { by: hasCast ? [b, a, 0, 1] : [b, a], right: sb },
          ],
        };
      }),
      hasCast ? [1, 0, 0, 0] : [1, 0],
      MIN_COLOUR_SPREAD,
      [COLOUR_RIDGE, COLOUR_RIDGE, 0, 0],
      [1, 0, 0, 0],
    );
  }
}

interface Equation {
  by: readonly number[];
  right: number;
}

/** Least squares in which a group of equations (one cell's) counts less the farther it is off, all of its equations alike. */
function robust(
  groups: readonly { rows: readonly Equation[] }[],
  start: readonly number[],
  minSpread: number,
  ridge: readonly number[],
  towards: readonly number[],
): number[] {
  let found = [...start];
  const count = start.length;
  const offs = new Float64Array(groups.length);
  for (let round = 0; round < ROUNDS; round++) {
    groups.forEach(({ rows }, i) => {
      let sum = 0;
      for (const { by, right } of rows) {
        let off = right;
        for (let k = 0; k < count; k++) off -= by[k] * found[k];
        sum += off * off;
      }
      offs[i] = Math.sqrt(sum);
    });
    if (groups.length === 0) return found;
    const spread = Math.max(minSpread, 1.4826 * quantileOf(offs, 0.5));
    const sums = Array.from({ length: count }, (_, j) => {
      const row = new Float64Array(count + 1);
      row[j] = ridge[j] * groups.length + 1e-12;
      row[count] = row[j] * towards[j];
      return row;
    });
    groups.forEach(({ rows }, i) => {
      const t = offs[i] / (REACH * spread);
      if (t >= 1) return;
      const w = (1 - t * t) ** 2;
      for (const { by, right } of rows)
        for (let j = 0; j < count; j++) {
          if (by[j] === 0) continue;
          for (let k = 0; k < count; k++) sums[j][k] += w * by[j] * by[k];
          sums[j][count] += w * by[j] * right;
        }
    });
    const next = solved(sums);
    if (!next.every(Number.isFinite)) return found;
    found = next;
  }
  return found;
}

/** The model's colour in a cell as the shift would have it: value, a, b. */
export function shiftedCell(
  model: ColourGrid,
  c: number,
  { value, valueGain, chromaGain, hueTurn, castA, castB }: FittedShift,
): [value: number, a: number, b: number] {
  const turn = (hueTurn * Math.PI) / 180;
  const [re, im] = [chromaGain * Math.cos(turn), chromaGain * Math.sin(turn)];
  const [a, b] = [model.oklab[c * 3 + 1], model.oklab[c * 3 + 2]];
  return [
    MIDDLE + valueGain * (model.value[c] - MIDDLE) + value,
    re * a - im * b + castA,
    im * a + re * b + castB,
  ];
}

/** A study's value as its model's would be without the shift. */
export const unshiftedValue = (value: number, { value: off, valueGain }: FittedShift): number =>
  MIDDLE + (value - off - MIDDLE) / valueGain;
