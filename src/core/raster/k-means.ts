/** Points of three floats each that are partitioned among centres. */
export interface Partition {
  /** Three floats a centre. */
  centres: Float64Array;
  /** The centre of each point. */
  owner: Uint8Array;
  /** What weighs in each centre's points. */
  weights: Float64Array;
  /** The weighted sum of squared distances to the centres, at the last assignment. */
  error: number;
}

/**
 * Lloyd's k-means from given centres, at most 255 of them: points go to the nearest centre, centres to
 * the mean of their points, by turns, until the error falls by less than one part in 10⁹ or `rounds`
 * are over. A centre that loses all its points stays where it was. `weight` is 1 for every point where
 * it is left out.
 * Source: S. Lloyd, "Least squares quantization in PCM", IEEE Trans. Information Theory 28(2), 1982.
 */
export function kMeans(
  points: Float64Array,
  seeds: ArrayLike<number>,
  rounds: number,
  weight?: Float64Array,
): Partition {
  const n = points.length / 3;
  const centres = Float64Array.from(seeds);
  const k = centres.length / 3;
  const owner = new Uint8Array(n);
  let weights = new Float64Array(k);
  let error = Infinity;
  for (let round = 0; round < rounds; round++) {
    const sums = new Float64Array(centres.length);
    weights = new Float64Array(k);
    let next = 0;
    for (let p = 0, at = 0; p < n; p++, at += 3) {
      let nearest = Infinity;
      for (let c = 0, to = 0; c < k; c++, to += 3) {
        const distance =
          (points[at] - centres[to]) ** 2 +
          (points[at + 1] - centres[to + 1]) ** 2 +
          (points[at + 2] - centres[to + 2]) ** 2;
        if (distance < nearest) {
          nearest = distance;
          owner[p] = c;
        }
      }
      const w = weight ? weight[p] : 1;
      next += w * nearest;
      const to = owner[p] * 3;
      for (let i = 0; i < 3; i++) sums[to + i] += w * points[at + i];
      weights[owner[p]] += w;
    }
    const settled = error - next < 1e-9 * next;
    error = next;
    if (settled) break;
    for (let c = 0; c < k; c++)
      if (weights[c] > 0)
        for (let i = 0; i < 3; i++) centres[c * 3 + i] = sums[c * 3 + i] / weights[c];
  }
  return { centres, owner, weights, error };
}
