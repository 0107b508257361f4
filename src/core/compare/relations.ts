import type { Oklab } from '../colour/oklab';
import { placeOfCell, type ColourGrid } from '../picture/colour-grid';
import type { Place } from '../picture/framing';
import { polesOfInaccessibility } from '../raster/pole-of-inaccessibility';
import { partsOf, unlikeness, type Parts } from './parts';
import { lengthOf, mediansOf, type Residual } from './residual';
import type { FittedShift, StudyCells } from './shift';
import { soundCells } from './sound-cells';

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
  /** The model's colour there. */
  colour: Oklab;
  /** How strong it is: differences weighed together, and by area. */
  weight: number;
}

/** The least that a painter is told. */
const MIN_DIFFERENCE = 0.035;
export const MIN_VALUE = 0.3;
export const MIN_CHROMA = 0.014;
export const MIN_HUE = 8;
/** Below this chroma a hue is none. */
const NO_HUE = 0.025;
/** Of a part so many cells, and this share of it, have to be sound for its difference to be believed. */
const MIN_SOUND_CELLS = 8;
const MIN_SOUND = 0.15;
/** Up to this share of the picture a larger part counts more. */
const FULL_SHARE = 0.03;
/** Small parts of nearly one colour that are off alike are one relation, wherever they lie: lit windows, petals. */
const ONE_COLOUR = 0.06;
const SMALL_SHARE = 0.012;
/** Parts with another between them are one where they are off by the same to within this share. */
const SAME_DIFFERENCE = 0.2;
/** Parts are close that come within so many cells of each other. */
const CLOSE = 10;

/**
 * The relations that are off, the largest first. Model and study are parted into masses, each by itself; where two partings
 * cross, the parts are looked at one by one, so that a mistake needs no mass of its own in the model. Touching parts that
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

interface Described {
  label: number;
  place: Place;
  cells: number;
  share: number;
  /** Value, chroma, hue. */
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
      if (unlikeness(part.difference, first.difference) >= 1) return false;
      if (lengthOf(...part.difference) < MIN_DIFFERENCE) return false;
      const [value, chroma, hue] = part.difference.map((d, k) => d - first.difference[k]);
      const isSame = lengthOf(value, chroma, hue) < SAME_DIFFERENCE * lengthOf(...first.difference);
      if (isSame && group.some(({ label }) => areClose(label, part.label))) return true;
      // Large ones far apart may each have been put wrong for a reason of its own.
      if (part.share > SMALL_SHARE) return false;
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
  const [value, chroma, hueLength] = first.difference;
  const wanted = shift.chromaGain * Math.hypot(first.colour.a, first.colour.b);
  const is = wanted + chroma;
  const hue =
    wanted < NO_HUE || is < NO_HUE
      ? 0
      : (360 / Math.PI) *
        Math.asin(Math.max(-1, Math.min(1, hueLength / (2 * Math.sqrt(wanted * is)))));
  const difference = lengthOf(...first.difference);
  return {
    ...first.place,
    value,
    chroma,
    hue,
    share,
    colour: first.colour,
    weight:
      difference < MIN_DIFFERENCE ? 0 : difference * Math.sqrt(Math.min(1, share / FULL_SHARE)),
  };
}
