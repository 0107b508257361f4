import type { Cells } from './cells';

/** Centres in OKLab, three floats each; the first `fixed` of them never move. */
export interface Centres {
  oklab: number[];
  fixed: number;
}

const MOST_ROUNDS = 40;

/**
 * Seeds for k-means without chance: each new centre stands on the cell whose share × squared
 * distance to the centres so far is greatest, so the same picture always gives the same seeds.
 */
export function seedCentres(cells: Cells, count: number, fixed: readonly number[]): Centres {
  const oklab = [...fixed];
  const n = cells.share.length;
  const nearest = new Float64Array(n).fill(Infinity);
  const lower = (at: number) => {
    for (let k = 0; k < n; k++)
      nearest[k] = Math.min(nearest[k], squared(cells.oklab, k * 3, oklab, at));
  };
  for (let at = 0; at < oklab.length; at += 3) lower(at);
  while (oklab.length < count * 3) {
    let best = -1;
    let most = 0;
    for (let k = 0; k < n; k++) {
      const gain = cells.share[k] * Math.min(nearest[k], 1);
      if (gain > most) {
        most = gain;
        best = k;
      }
    }
    if (best < 0) break; // Fewer colours than swatches: nothing is left to part.
    oklab.push(cells.oklab[best * 3], cells.oklab[best * 3 + 1], cells.oklab[best * 3 + 2]);
    lower(oklab.length - 3);
  }
  return { oklab, fixed: fixed.length / 3 };
}

/** Lloyd's rounds until nothing changes hands; returns the moved centres and each cell's centre. */
export function settle(cells: Cells, start: Centres): { centres: Centres; owner: Uint8Array } {
  const oklab = [...start.oklab];
  const n = cells.share.length;
  const count = oklab.length / 3;
  let owner: Uint8Array = new Uint8Array(n).fill(255);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const next = owners(cells, oklab);
    const same = next.every((centre, k) => centre === owner[k]);
    owner = next;
    if (same) break;
    const sums = new Float64Array(count * 4);
    for (let k = 0; k < n; k++) {
      const at = owner[k] * 4;
      const share = cells.share[k];
      sums[at] += share;
      for (let c = 0; c < 3; c++) sums[at + 1 + c] += share * cells.oklab[k * 3 + c];
    }
    for (let centre = start.fixed; centre < count; centre++) {
      const share = sums[centre * 4];
      if (share === 0) continue;
      for (let c = 0; c < 3; c++) oklab[centre * 3 + c] = sums[centre * 4 + 1 + c] / share;
    }
  }
  return { centres: { oklab, fixed: start.fixed }, owner };
}

/** For each cell the number of its nearest centre, the lower number on a tie. */
export function owners(cells: Cells, oklab: readonly number[]): Uint8Array {
  const owner = new Uint8Array(cells.share.length);
  for (let k = 0; k < owner.length; k++) {
    let least = Infinity;
    for (let at = 0; at < oklab.length; at += 3) {
      const distance = squared(cells.oklab, k * 3, oklab, at);
      if (distance < least) {
        least = distance;
        owner[k] = at / 3;
      }
    }
  }
  return owner;
}

export function squared(
  one: ArrayLike<number>,
  i: number,
  other: ArrayLike<number>,
  j: number,
): number {
  const L = one[i] - other[j];
  const a = one[i + 1] - other[j + 1];
  const b = one[i + 2] - other[j + 2];
  return L * L + a * a + b * b;
}
