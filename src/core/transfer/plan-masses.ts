import type { Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import type { Place } from '../picture/framing';
import { onLadder } from '../palette/ladder';
import { disjointSets, findRoot } from '../raster/disjoint-sets';
import { polesOfInaccessibility } from '../raster/pole-of-inaccessibility';
import { NO_MASS, type Subject } from './subject';

/** What is laid first: darks in paint and sticks, lights where the paper is the light. */
export const PAINTING_ORDERS = ['dark first', 'light first'] as const;
export type PaintingOrder = (typeof PAINTING_ORDERS)[number];

/** A mass of a plan: what takes one colour at one value and lies together. */
export interface PlanMass {
  /** The number of its colour; null for what is left as it is. */
  of: number | null;
  /** What to mix: the colour at the mass's value, or the colour itself where nothing else is used. */
  colour: Oklab;
  value: number;
  /** Of the picture, 0–1. */
  share: number;
  place: Place;
}

export interface MassPlan {
  /** In the order of painting. */
  masses: PlanMass[];
  /** Cells, and for each the mass it is of; −1 where nothing is. */
  width: number;
  height: number;
  labels: Int16Array;
}

/** Cells along the longer side that shapes are traced on. */
const CELLS = 480;
/** Masses smaller than this are accents, and come last. */
const ACCENT = 0.015;
/** A mass of which less than this may take another colour stays as it is. */
const FREE = 0.5;

/** What masses that are one come to: sums by share. */
interface Joined {
  of: number | null;
  share: number;
  sum: number;
  L: number;
  a: number;
  b: number;
}

/**
 * The masses of a subject with its new colours as a plan: neighbours that take one colour within `half` a step of value
 * (Munsell) are one. Large masses come first, by value; accents last. `free` says what of each mass may take other colours,
 * 0–1: one that hardly may stays as it is.
 */
export function planMasses(
  { picture, masses, meetings, field }: Subject,
  colours: readonly Oklab[],
  of: readonly number[],
  settings: { half: number; order: PaintingOrder; isStrict: boolean },
  free?: readonly number[],
): MassPlan {
  const takes = (mass: number) => (free && free[mass] < FREE ? null : of[mass]);
  const sets = disjointSets(masses.length);
  for (const { one, other } of meetings)
    if (
      takes(one) === takes(other) &&
      ((settings.isStrict && takes(one) !== null) ||
        Math.abs(masses[one].value - masses[other].value) < settings.half)
    )
      sets[findRoot(sets, other)] = findRoot(sets, one);
  const joined = new Map<number, Joined>();
  masses.forEach(({ share, value, colour }, mass) => {
    const root = findRoot(sets, mass);
    const own = joined.get(root) ?? { of: takes(mass), share: 0, sum: 0, L: 0, a: 0, b: 0 };
    own.share += share;
    own.sum += share * value;
    own.L += share * colour.L;
    own.a += share * colour.a;
    own.b += share * colour.b;
    joined.set(root, own);
  });
  const rows = [...joined].map(([root, { of: number, share, sum, L, a, b }]) => {
    const weight = Math.max(share, 1e-9);
    const is =
      number === null
        ? { L: L / weight, a: a / weight, b: b / weight }
        : settings.isStrict
          ? colours[number]
          : onLadder(colours[number], sum / weight);
    return { root, of: number, colour: is, value: valueOfOklab(is), share };
  });
  const sign = settings.order === 'dark first' ? 1 : -1;
  rows.sort(
    (one, other) =>
      Number(one.share < ACCENT) - Number(other.share < ACCENT) ||
      sign * (one.value - other.value) ||
      one.root - other.root,
  );
  const numberOf = new Map(rows.map(({ root }, i) => [root, i]));
  const scale = CELLS / Math.max(picture.width, picture.height);
  const width = Math.max(1, Math.round(picture.width * Math.min(1, scale)));
  const height = Math.max(1, Math.round(picture.height * Math.min(1, scale)));
  const labels = new Int16Array(width * height);
  for (let y = 0, c = 0; y < height; y++)
    for (let x = 0; x < width; x++, c++) {
      const px = Math.floor(((x + 0.5) * picture.width) / width);
      const py = Math.floor(((y + 0.5) * picture.height) / height);
      const mass = field.first[py * picture.width + px];
      labels[c] = mass === NO_MASS ? -1 : numberOf.get(findRoot(sets, mass))!;
    }
  const deepest = polesOfInaccessibility(labels, width, rows.length);
  return {
    masses: rows.map(({ root: _, ...row }, i) => ({
      ...row,
      place: {
        x: ((deepest[i] % width) + 0.5) / width,
        y: (Math.floor(deepest[i] / width) + 0.5) / height,
      },
    })),
    width,
    height,
    labels,
  };
}
