import { planeReading } from '../depth/plane-reading';
import { RECEDING, type Receding } from '../depth/recession';
import { oklabDistance, type Oklab } from '../colour/oklab';
import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import type { Border } from '../measure/borders';
import { readFocus } from '../measure/focus';
import type { Masses } from '../measure/masses';
import type { ColourGrid } from '../picture/colour-grid';

/** What changing a mass did to the whole, before and after. */
export interface WhatIfEffect {
  /** How far it parts from the masses around it, by the length of their borders: Munsell steps, and CIEDE2000. */
  steps: [before: number, after: number];
  difference: [before: number, after: number];
  /** Of all contrast in the picture, what lies on it and at its edge, 0–1. */
  focus: [before: number, after: number];
  /** How far it steps forward (+) or back (−): the sum of contrast, chroma and temperature in differences that can be told. */
  depth: number;
  /** What of it does that, after less before: Munsell steps, OKLCH chroma, temperature. */
  receding: Record<Receding, number>;
}

/** A difference that can be told: Munsell steps, OKLCH chroma, temperature. */
const TOLD: Record<Receding, number> = { contrast: 0.5, chroma: 0.008, temperature: 0.12 };
/** So many cells around a mass its edge is part of. */
const EDGE = 2;

/**
 * What becomes of a mass when the picture turns from `before` into `after`, both on the cells of `masses.grid`. The masses
 * are those of the picture before.
 */
export function whatIfEffect(
  masses: Masses,
  borders: readonly Border[],
  mass: number,
  before: ColourGrid,
  after: ColourGrid,
): WhatIfEffect {
  const was = partingOf(masses, borders, mass, before);
  const is = partingOf(masses, borders, mass, after);
  const near = edged(masses, mass);
  const [from, to] = [before, after].map((grid) => planeReading(masses, grid, [mass])!);
  const receding = Object.fromEntries(
    RECEDING.map((quantity) => [quantity, to[quantity] - from[quantity]]),
  ) as WhatIfEffect['receding'];
  return {
    steps: [was.steps, is.steps],
    difference: [was.difference, is.difference],
    focus: [focusShare(before, near), focusShare(after, near)],
    depth: RECEDING.reduce((sum, quantity) => sum + receding[quantity] / TOLD[quantity], 0),
    receding,
  };
}

function partingOf(
  { labels, masses }: Masses,
  borders: readonly Border[],
  mass: number,
  { oklab, value }: ColourGrid,
): { steps: number; difference: number } {
  const count = masses.length;
  const cells = new Float64Array(count);
  const sums = new Float64Array(count * 4);
  labels.forEach((label, c) => {
    if (label < 0) return;
    cells[label]++;
    for (let k = 0; k < 3; k++) sums[label * 4 + k] += oklab[c * 3 + k];
    sums[label * 4 + 3] += value[c];
  });
  const meanOf = (label: number): { colour: Oklab; value: number } => {
    const [L, a, b, own] = sums
      .subarray(label * 4, label * 4 + 4)
      .map((sum) => sum / Math.max(1, cells[label]));
    return { colour: { L, a, b }, value: own };
  };
  const own = meanOf(mass);
  const lab = labFromOklab(own.colour);
  let [steps, difference, all] = [0, 0, 0];
  for (const { one, other, length } of borders) {
    if (one !== mass && other !== mass) continue;
    const neighbour = meanOf(one === mass ? other : one);
    all += length;
    steps += length * Math.abs(neighbour.value - own.value);
    if (oklabDistance(neighbour.colour, own.colour) > 0)
      difference += length * ciede2000(labFromOklab(neighbour.colour), lab);
  }
  return all > 0
    ? { steps: steps / all, difference: difference / all }
    : { steps: 0, difference: 0 };
}

/** 1 for the cells of a mass and those around it. */
function edged({ grid: { width, height }, labels }: Masses, mass: number): Uint8Array {
  const near = new Uint8Array(labels.length);
  for (let y = 0, c = 0; y < height; y++)
    for (let x = 0; x < width; x++, c++) {
      if (labels[c] !== mass) continue;
      for (let j = Math.max(0, y - EDGE); j <= Math.min(height - 1, y + EDGE); j++)
        near.fill(1, j * width + Math.max(0, x - EDGE), j * width + Math.min(width, x + EDGE + 1));
    }
  return near;
}

function focusShare(grid: ColourGrid, near: Uint8Array): number {
  const { busy } = readFocus(grid);
  let [own, all] = [0, 0];
  for (let c = 0; c < busy.length; c++) {
    if (!grid.mask[c]) continue;
    all += busy[c];
    if (near[c]) own += busy[c];
  }
  return all > 0 ? own / all : 0;
}
