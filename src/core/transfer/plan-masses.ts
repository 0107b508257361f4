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
  /** The number of its colour. */
  of: number;
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

/**
 * The masses of a subject with its new colours as a plan: neighbours that take one colour within `half` a step of value
 * (Munsell) are one. Large masses come first, by value; accents last.
 */
export function planMasses(
  { picture, masses, meetings, field }: Subject,
  colours: readonly Oklab[],
  of: readonly number[],
  settings: { half: number; order: PaintingOrder; isStrict: boolean },
): MassPlan {
  const sets = disjointSets(masses.length);
  for (const { one, other } of meetings)
    if (
      of[one] === of[other] &&
      (settings.isStrict || Math.abs(masses[one].value - masses[other].value) < settings.half)
    )
      sets[findRoot(sets, other)] = findRoot(sets, one);
  const joined = new Map<number, { of: number; share: number; sum: number }>();
  masses.forEach(({ share, value }, mass) => {
    const root = findRoot(sets, mass);
    const own = joined.get(root) ?? { of: of[mass], share: 0, sum: 0 };
    own.share += share;
    own.sum += share * value;
    joined.set(root, own);
  });
  const rows = [...joined].map(([root, { of: colour, share, sum }]) => {
    const own = sum / Math.max(share, 1e-9);
    const is = settings.isStrict ? colours[colour] : onLadder(colours[colour], own);
    return { root, of: colour, colour: is, value: valueOfOklab(is), share };
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
