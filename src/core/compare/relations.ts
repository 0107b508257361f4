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
/** Farther than so many cells from any steady one a place is busy. */
const BUSY = 3;
/** Of a mass so many cells, and this share of it, have to lie away from edges for its difference to be believed. */
const MIN_SOUND_CELLS = 8;
const MIN_SOUND = 0.15;
/** Up to this share of the picture a larger mass counts more. */
const FULL_SHARE = 0.03;
/** Small masses of nearly one colour that are off alike are one relation, wherever they lie: lit windows, petals. */
const ONE_COLOUR = 0.06;
const SMALL_SHARE = 0.012;
const JUST_AS_MUCH = 0.2;
/** Parts are close that come within so many cells of each other. */
const CLOSE = 6;
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
  const sound = soundCells(steady, residual.mask, model.width);
  const parts = partsOf(model, study, residual, sound);
  const described = parts.count > 0 ? describe(model, residual, parts, sound) : [];
  const close = closePairs(parts, model.width);
  const areClose = (one: number, other: number) =>
    close.has(Math.min(one, other) * parts.count + Math.max(one, other));
  return grouped(described, shift, areClose)
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

function partsOf(
  model: ColourGrid,
  study: StudyCells,
  residual: Residual,
  steady: Uint8Array,
): Parts {
  const { width, height } = model;
  const masked = { ...model, mask: Float32Array.from(residual.mask) };
  const partings: Masses[] = [
    massesOf(masked),
    massesOf({ ...masked, oklab: study.oklab, value: study.value }),
    massesOf(residualGrid(model, residual)),
  ];
  const crossing = new Int32Array(width * height).fill(-1);
  const numbers = new Map<string, number>();
  for (let c = 0; c < crossing.length; c++) {
    if (!residual.mask[c] || !steady[c]) continue;
    const key = partings.map(({ labels }) => labels[c]).join(' ');
    const known = numbers.get(key);
    crossing[c] = known ?? numbers.size;
    if (known === undefined) numbers.set(key, numbers.size);
  }
  const { labels, size } = connectedComponents(crossing, width, height, -1);
  grownOverEdges(labels, residual.mask, width);
  return joined(labels, size, residual, steady, width);
}

/**
 * Cells whose colour is believed: steady ones, and those of places so busy that there is no steady one near, where the
 * errors of many edges cancel.
 */
function soundCells(steady: Uint8Array, mask: Uint8Array, width: number): Uint8Array {
  const away = new Int16Array(steady.length).fill(-1);
  const queue: number[] = [];
  steady.forEach((one, c) => {
    if (!one || !mask[c]) return;
    away[c] = 0;
    queue.push(c);
  });
  for (let at = 0; at < queue.length; at++) {
    const c = queue[at];
    if (away[c] === BUSY) continue;
    const x = c % width;
    for (const d of [x > 0 ? c - 1 : -1, x < width - 1 ? c + 1 : -1, c - width, c + width]) {
      if (d < 0 || d >= steady.length || away[d] >= 0) continue;
      away[d] = away[c] + 1;
      queue.push(d);
    }
  }
  return steady.map((one, c) => (one || (away[c] < 0 && mask[c]) ? 1 : 0));
}

/** Gives each cell on an edge to the part that is nearest by steps along sides. */
function grownOverEdges(labels: Int32Array, mask: Uint8Array, width: number): void {
  const queue: number[] = [];
  labels.forEach((label, c) => {
    if (label >= 0) queue.push(c);
  });
  for (let at = 0; at < queue.length; at++) {
    const c = queue[at];
    const x = c % width;
    for (const d of [x > 0 ? c - 1 : -1, x < width - 1 ? c + 1 : -1, c - width, c + width]) {
      if (d < 0 || d >= labels.length || labels[d] >= 0 || !mask[d]) continue;
      labels[d] = labels[c];
      queue.push(d);
    }
  }
}

/** Joins touching parts whose differences are alike, and what is too small with the neighbour most like it. */
function joined(
  labels: Int32Array,
  size: readonly number[],
  residual: Residual,
  steady: Uint8Array,
  width: number,
): Parts {
  const count = size.length;
  const means = mediansOf(
    labels.map((label, c) => (steady[c] ? label : -1)),
    count,
    residual,
  );
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
      means[to * 3 + k] = (means[to * 3 + k] * cells[to] + means[from * 3 + k] * cells[from]) / all;
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
  const size3 = (i: number) => lengthOf(means[i * 3], means[i * 3 + 1], means[i * 3 + 2]);
  /** How far two parts are apart, against how far they may be to be one. */
  const alike = (i: number, j: number) =>
    apart(i, j) / Math.max(ONE_DIFFERENCE, ALIKE * Math.min(size3(i), size3(j)));
  for (;;) {
    let pair: [number, number] | null = null;
    let least = 1;
    for (let i = 0; i < count; i++) {
      if (root(i) !== i) continue;
      for (const next of beside[i]) {
        const j = root(next);
        if (j === i) continue;
        const far = alike(i, j);
        if (far < least) [pair, least] = [[i, j], far];
      }
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
  label: number;
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
  const believed = new Float64Array(count);
  sound.forEach((label) => {
    if (label >= 0) believed[label]++;
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
    if (believed[i] < Math.max(MIN_SOUND_CELLS, MIN_SOUND * n)) return [];
    return {
      label: i,
      place: placeOfCell(model, poles[i]),
      cells: n,
      share: n / total,
      difference: [medians[i * 3], medians[i * 3 + 1], medians[i * 3 + 2]] as const,
      colour: { L: sums[i * 4 + 1] / n, a: sums[i * 4 + 2] / n, b: sums[i * 4 + 3] / n },
    };
  });
}

/** Pairs of labels, smaller first, that come within some cells of each other. */
function closePairs({ labels, count }: Parts, width: number): Set<number> {
  const pairs = new Set<number>();
  for (let c = 0; c < labels.length; c++) {
    const x = c % width;
    for (let y = 0; y <= CLOSE; y += 2)
      for (let dx = -CLOSE; dx <= CLOSE; dx += 2) {
        const d = c + y * width + dx;
        if (x + dx < 0 || x + dx >= width || d >= labels.length) continue;
        const [one, other] = [Math.min(labels[c], labels[d]), Math.max(labels[c], labels[d])];
        if (one >= 0 && one !== other) pairs.add(one * count + other);
      }
  }
  return pairs;
}

/**
 * One relation for parts that are off alike: those that come close to each other, as where another part lies between, and
 * small ones of one colour. At the place of the largest.
 */
function grouped(
  parts: readonly Described[],
  shift: FittedShift,
  areClose: (one: number, other: number) => boolean,
): Relation[] {
  const groups: Described[][] = [];
  for (const part of parts.toSorted((one, other) => other.cells - one.cells)) {
    const own = groups.find((group) => {
      const [first] = group;
      const [v, a, b] = part.difference.map((d, k) => d - first.difference[k]);
      const isAlike =
        lengthOf(v, a, b) < Math.max(ONE_DIFFERENCE, ALIKE * lengthOf(...first.difference));
      if (!isAlike || lengthOf(...part.difference) < MIN_DIFFERENCE) return false;
      const isSame = lengthOf(v, a, b) < JUST_AS_MUCH * lengthOf(...first.difference);
      if (isSame && group.some(({ label }) => areClose(label, part.label))) return true;
      // Large ones may have been put wrong for reasons of their own, unless they are off by just as much.
      if (part.share > SMALL_SHARE && !isSame) return false;
      const colour = Math.hypot(
        part.colour.L - first.colour.L,
        part.colour.a - first.colour.a,
        part.colour.b - first.colour.b,
      );
      return colour < ONE_COLOUR;
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
  const wantedA =
    shift.chromaGain * (first.colour.a * Math.cos(turn) - first.colour.b * Math.sin(turn));
  const wantedB =
    shift.chromaGain * (first.colour.a * Math.sin(turn) + first.colour.b * Math.cos(turn));
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
    weight:
      difference < MIN_DIFFERENCE ? 0 : difference * Math.sqrt(Math.min(1, share / FULL_SHARE)),
  };
}

const angle = (radians: number) =>
  (Math.atan2(Math.sin(radians), Math.cos(radians)) * 180) / Math.PI;
