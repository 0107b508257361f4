import type { Cells } from './cells';
import { squared } from './cluster';

/** What makes an accent: how large it is, how far its chroma stands out, how far it is from all else. */
const LEAST_SHARE = 0.003;
const MOST_SHARE = 0.03;
const STANDS_OUT = 0.06;
const APART = 0.1;

export interface Accent {
  /** Its mean in OKLab. */
  oklab: [number, number, number];
  share: number;
  /** Distance from the nearest centre it was measured against. */
  apart: number;
}

/**
 * The small strong colours that an average loses: cells whose chroma stands 0.06 above the
 * picture's mean and which are 0.10 or more from every centre, gathered around their heaviest
 * member, kept where they make up 0.3 to 3 % of the picture. Most telling (share × distance) first.
 */
export function findAccents(cells: Cells, centres: readonly number[]): Accent[] {
  const n = cells.share.length;
  const chroma = (k: number) => Math.hypot(cells.oklab[k * 3 + 1], cells.oklab[k * 3 + 2]);
  let mean = 0;
  for (let k = 0; k < n; k++) mean += cells.share[k] * chroma(k);

  const candidates: number[] = [];
  for (let k = 0; k < n; k++)
    if (chroma(k) >= mean + STANDS_OUT && nearest(cells, k, centres) >= APART) candidates.push(k);
  candidates.sort((i, j) => cells.share[j] - cells.share[i] || i - j);

  const taken = new Set<number>();
  const accents: Accent[] = [];
  for (const leader of candidates) {
    if (taken.has(leader)) continue;
    const group = candidates.filter(
      (k) => !taken.has(k) && squared(cells.oklab, k * 3, cells.oklab, leader * 3) < APART * APART,
    );
    group.forEach((k) => taken.add(k));
    const share = group.reduce((sum, k) => sum + cells.share[k], 0);
    if (share < LEAST_SHARE || share > MOST_SHARE) continue;
    const mid = (c: number) =>
      group.reduce((sum, k) => sum + cells.share[k] * cells.oklab[k * 3 + c], 0) / share;
    const oklab: Accent['oklab'] = [mid(0), mid(1), mid(2)];
    accents.push({ oklab, share, apart: Math.sqrt(nearestTo(oklab, centres)) });
  }
  return accents.sort((one, other) => other.share * other.apart - one.share * one.apart);
}

function nearest(cells: Cells, k: number, centres: readonly number[]): number {
  return Math.sqrt(
    nearestTo([cells.oklab[k * 3], cells.oklab[k * 3 + 1], cells.oklab[k * 3 + 2]], centres),
  );
}

function nearestTo(colour: readonly number[], centres: readonly number[]): number {
  let least = Infinity;
  for (let at = 0; at < centres.length; at += 3)
    least = Math.min(least, squared(colour, 0, centres, at));
  return least;
}
