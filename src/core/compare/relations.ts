import type { Place } from '../picture/framing';
import { placeOfCell, type ColourGrid } from '../picture/colour-grid';
import type { Oklab } from '../colour/oklab';
import { massesOf, type Masses } from '../measure/masses';
import { connectedComponents } from '../raster/connected-components';
import { polesOfInaccessibility } from '../raster/pole-of-inaccessibility';
import { quantileOf } from '../raster/quantile';
import { shiftedCell, type FittedShift, type StudyCells } from './shift';

/** Where a study's colour stands otherwise to the rest than the model's: study minus model, after the shift. */
export interface Relation extends Place {
  /** Munsell steps. */
  value: number;
  /** OKLCH chroma. */
  chroma: number;
  /** Degrees of OKLCH hue; 0 where either is hardly coloured. */
  hue: number;
  /** Of the model's cells, 0–1. */
  share: number;
  /** The model's colour there, and the study's as it would be without the shift's faults elsewhere. */
  colour: Oklab;
  /** How strong it is: differences weighed together, and by area. */
  weight: number;
}

/** What is left of differences in each cell: value, a, b. */
export interface Residual {
  data: Float32Array;
  mask: Uint8Array;
}

/** A mass smaller than this share goes to the neighbour whose difference is most like its own. */
const MIN_SHARE = 0.004;
/** Two differences nearer than this, all three weighed together, are one. */
const ONE_DIFFERENCE = 0.035;
/** How much a difference of a, b counts against one of a tenth of a Munsell step … */
const COLOUR_WEIGHT = 1.6;
/** … and this is the least that a painter is told. */
const MIN_DIFFERENCE = 0.035;
export const MIN_VALUE = 0.3;
export const MIN_CHROMA = 0.014;
export const MIN_HUE = 8;
/** Below this chroma a hue is none. */
const NO_HUE = 0.025;
/** Of a mass so many cells, and this share of it, have to lie away from edges for its difference to be believed. */
const MIN_SOUND_CELLS = 8;
const MIN_SOUND = 0.15;
/** Up to this share of the picture a larger mass counts more. */
const FULL_SHARE = 0.03;
/** Masses that are off alike are one relation where they have nearly one colour, or lie within this share of the longer side. */
const ONE_COLOUR = 0.06;
const ONE_PLACE = 0.22;
/** Differences are alike when they part by less than `ONE_DIFFERENCE`, or by this share of what they are. */
const ALIKE = 0.4;

export function residualOf(model: ColourGrid, study: StudyCells, shift: FittedShift): Residual {
  const cells = model.width * model.height;
  const data = new Float32Array(cells * 3);
  const mask = new Uint8Array(cells);
  for (let c = 0; c < cells; c++) {
    if (!study.mask[c] || !model.mask[c]) continue;
    const [value, a, b] = shiftedCell(model, c, shift);
    mask[c] = 1;
    data[c * 3] = study.value[c] - value;
    data[c * 3 + 1] = study.oklab[c * 3 + 1] - a;
    data[c * 3 + 2] = study.oklab[c * 3 + 2] - b;
  }
  return { data, mask };
}

/** Value steps, a and b as one length: a Munsell step is a tenth of OKLab's lightness. */
const lengthOf = (value: number, a: number, b: number) =>
  Math.hypot(value / 10, COLOUR_WEIGHT * a, COLOUR_WEIGHT * b);

/**
 * The relations that are off, the largest first. Model and study are parted into masses, each by itself; where two partings
 * cross, the parts are looked at one by one, so that a fault needs no mass of its own in the model. Touching parts that
 * are off alike are joined; each says the median of its cells.
 */
export function relationsOf(
  model: ColourGrid,
  study: StudyCells,
  shift: FittedShift,
  residual: Residual,
  steady: Uint8Array,
): Relation[] {
  const parts = partsOf(model, study, residual);
  const described = parts.count > 0 ? describe(model, residual, parts, steady) : [];
  return grouped(described, shift)
    .filter(isWorthSaying)
    .sort((one, other) => other.weight - one.weight);
}

const isWorthSaying = ({ value, chroma, hue, weight }: Relation): boolean =>
  weight > 0 &&
  (Math.abs(value) >= MIN_VALUE || Math.abs(chroma) >= MIN_CHROMA || Math.abs(hue) >= MIN_HUE);

interface Parts {
  labels: Int16Array;
  count: number;
}

/** The differences as a grid of their own, in which masses are found as in a picture. */
function residualGrid(model: ColourGrid, residual: Residual): ColourGrid {
  const oklab = new Float32Array(residual.data.length);
  for (let c = 0; c < residual.mask.length; c++) {
    oklab[c * 3] = residual.data[c * 3] / 10;
    oklab[c * 3 + 1] = COLOUR_WEIGHT * residual.data[c * 3 + 1];
    oklab[c * 3 + 2] = COLOUR_WEIGHT * residual.data[c * 3 + 2];
  }
  return {
    ...model,
    oklab,
    value: new Float32Array(residual.mask.length),
    mask: Float32Array.from(residual.mask),
  };
}

function partsOf(model: ColourGrid, study: StudyCells, residual: Residual): Parts {
  const { width, height } = model;
  const masked = { ...model, mask: Float32Array.from(residual.mask) };
  const partings: Masses[] = [
    massesOf(masked),
    massesOf({ ...masked, oklab: study.oklab, value: study.value }),
    massesOf(residualGrid(model, residual)),
  ];
  const crossing = new Int32Array(width * height);
  const numbers = new Map<string, number>();
  for (let c = 0; c < crossing.length; c++) {
    const key = partings.map(({ labels }) => labels[c]).join(' ');
    if (!residual.mask[c]) {
      crossing[c] = -1;
      continue;
    }
    const known = numbers.get(key);
    crossing[c] = known ?? numbers.size;
    if (known === undefined) numbers.set(key, numbers.size);
  }
  const { labels, size } = connectedComponents(crossing, width, height, -1);
  return joined(labels, size, residual, width);
}

/** Joins touching parts whose differences are alike, and what is too small with the neighbour most like it. */
function joined(labels: Int32Array, size: readonly number[], residual: Residual, width: number): Parts {
  const count = size.length;
  const means = mediansOf(labels, count, residual);
  const cells = size.slice();
  const total = cells.reduce((sum, n) => sum + n, 0);
  const into = Int32Array.from({ length: count }, (_, i) => i);
  const root = (i: number): number => {
    let at = i;
    while (into[at] !== at) at = into[at] = into[into[at]];
    return at;
  };
  const beside = Array.from({ length: count }, () => new Set<number>());
  for (let c = 0; c < labels.length; c++) {
    if (labels[c] < 0) continue;
    for (const d of [(c + 1) % width === 0 ? -1 : c + 1, c + width])
      if (d >= 0 && d < labels.length && labels[d] >= 0 && labels[d] !== labels[c]) {
        beside[labels[c]].add(labels[d]);
        beside[labels[d]].add(labels[c]);
      }
  }
  const apart = (i: number, j: number) =>
    lengthOf(
      means[i * 3] - means[j * 3],
      means[i * 3 + 1] - means[j * 3 + 1],
      means[i * 3 + 2] - means[j * 3 + 2],
    );
  const join = (i: number, j: number) => {
    const [from, to] = cells[i] < cells[j] ? [i, j] : [j, i];
    const all = cells[from] + cells[to];
    for (let k = 0; k < 3; k++)
      means[to * 3 + k] =
        (means[to * 3 + k] * cells[to] + means[from * 3 + k] * cells[from]) / all;
    cells[to] = all;
    into[from] = to;
    for (const next of beside[from]) if (root(next) !== to) beside[to].add(root(next));
    beside[from].clear();
  };
  const nearest = (i: number) => {
    let best = -1;
    let least = Infinity;
    for (const next of beside[i]) {
      const j = root(next);
      if (j === i) continue;
      const far = apart(i, j);
      if (far < least) [best, least] = [j, far];
    }
    return { best, least };
  };
  // The smallest first: they have least to say.
  const order = [...into].sort((one, other) => size[one] - size[other]);
  for (const start of order) {
    const i = root(start);
    if (cells[i] >= MIN_SHARE * total) continue;
    const { best } = nearest(i);
    if (best >= 0) join(i, best);
  }
  for (;;) {
    let pair: [number, number] | null = null;
    let least = ONE_DIFFERENCE;
    for (let i = 0; i < count; i++) {
      if (root(i) !== i) continue;
      const near = nearest(i);
      if (near.best >= 0 && near.least < least) [pair, least] = [[i, near.best], near.least];
    }
    if (!pair) break;
    join(...pair);
  }
  const number = new Map<number, number>();
  const out = Int16Array.from(labels, (label) => {
    if (label < 0) return -1;
    const r = root(label);
    if (!number.has(r)) number.set(r, number.size);
    return number.get(r)!;
  });
  return { labels: out, count: number.size };
}

/** The median difference of each label's cells, value, a and b. */
function mediansOf(labels: ArrayLike<number>, count: number, { data }: Residual): Float64Array {
  const cells: number[][] = Array.from({ length: count }, () => []);
  for (let c = 0; c < labels.length; c++) if (labels[c] >= 0) cells[labels[c]].push(c);
  const out = new Float64Array(count * 3);
  cells.forEach((own, i) => {
    for (let k = 0; k < 3; k++)
      out[i * 3 + k] = quantileOf(
        Float64Array.from(own, (c) => data[c * 3 + k]),
        0.5,
      );
  });
  return out;
}

interface Described {
  place: Place;
  cells: number;
  share: number;
  /** Value, a, b. */
  difference: readonly [number, number, number];
  colour: Oklab;
}

function describe(
  model: ColourGrid,
  residual: Residual,
  { labels, count }: Parts,
  steady: Uint8Array,
): Described[] {
  // What lies on edges shows how well places agree, and no colour.
  const sound = labels.map((label, c) => (steady[c] ? label : -1));
  const medians = mediansOf(sound, count, residual);
  const soundCells = new Float64Array(count);
  sound.forEach((label) => {
    if (label >= 0) soundCells[label]++;
  });
  const poles = polesOfInaccessibility(labels, model.width, count);
  const sums = new Float64Array(count * 4);
  let total = 0;
  labels.forEach((label, c) => {
    if (label < 0) return;
    total++;
    sums[label * 4]++;
    for (let k = 0; k < 3; k++) sums[label * 4 + 1 + k] += model.oklab[c * 3 + k];
  });
  return Array.from({ length: count }, (_, i) => i).flatMap((i) => {
    const n = sums[i * 4];
    if (soundCells[i] < Math.max(MIN_SOUND_CELLS, MIN_SOUND * n)) return [];
    return {
      place: placeOfCell(model, poles[i]),
      cells: n,
      share: n / total,
      difference: [medians[i * 3], medians[i * 3 + 1], medians[i * 3 + 2]] as const,
      colour: { L: sums[i * 4 + 1] / n, a: sums[i * 4 + 2] / n, b: sums[i * 4 + 3] / n },
    };
  });
}

/** One relation for all parts of one colour that are off alike, at the place of the largest. */
function grouped(parts: readonly Described[], shift: FittedShift): Relation[] {
  const groups: Described[][] = [];
  for (const part of parts.toSorted((one, other) => other.cells - one.cells)) {
    const own = groups.find((group) => {
      const [first] = group;
      const [v, a, b] = part.difference.map((d, k) => d - first.difference[k]);
      const isAlike =
        lengthOf(v, a, b) < Math.max(ONE_DIFFERENCE, ALIKE * lengthOf(...first.difference));
      if (!isAlike) return false;
      const isNear = group.some(
        ({ place }) => Math.hypot(place.x - part.place.x, place.y - part.place.y) < ONE_PLACE,
      );
      const colour = Math.hypot(
        part.colour.L - first.colour.L,
        part.colour.a - first.colour.a,
        part.colour.b - first.colour.b,
      );
      return isNear || colour < ONE_COLOUR;
    });
    if (own) own.push(part);
    else groups.push([part]);
  }
  return groups.map((group) => relationOf(group, shift));
}

function relationOf(group: readonly Described[], shift: FittedShift): Relation {
  const [first] = group;
  const share = group.reduce((sum, part) => sum + part.share, 0);
  const [value, a, b] = first.difference;
  const turn = (shift.hueTurn * Math.PI) / 180;
  const wantedA = shift.chromaGain * (first.colour.a * Math.cos(turn) - first.colour.b * Math.sin(turn));
  const wantedB = shift.chromaGain * (first.colour.a * Math.sin(turn) + first.colour.b * Math.cos(turn));
  const [wanted, is] = [Math.hypot(wantedA, wantedB), Math.hypot(wantedA + a, wantedB + b)];
  const hue =
    wanted < NO_HUE || is < NO_HUE
      ? 0
      : angle(Math.atan2(wantedB + b, wantedA + a) - Math.atan2(wantedB, wantedA));
  const difference = lengthOf(value, a, b);
  return {
    ...first.place,
    value,
    chroma: is - wanted,
    hue,
    share,
    colour: first.colour,
    weight: difference < MIN_DIFFERENCE ? 0 : difference * Math.sqrt(Math.min(1, share / FULL_SHARE)),
  };
}

const angle = (radians: number) =>
  (Math.atan2(Math.sin(radians), Math.cos(radians)) * 180) / Math.PI;
