/** Zones 0 … N−1 from dark to light are parted by N−1 bin edges: zone i holds bins edge[i−1] ≤ bin < edge[i]. */

/** Edges that cut `bins` bins into `zones` equal parts. */
export function evenEdges(bins: number, zones: number): number[] {
  return Array.from({ length: zones - 1 }, (_, i) => Math.round(((i + 1) * bins) / zones));
}

/**
 * Edges with the least variance inside the zones, weighed by `counts`: Otsu's criterion for several
 * thresholds, exact by dynamic programming in O(zones × bins²). An edge stands in the middle of the
 * run of empty bins it could stand in. With fewer occupied bins than zones, the spare edges part
 * off empty zones at the light end.
 * Source: N. Otsu, IEEE Trans. SMC 9(1), 1979; W. D. Fisher, J. Amer. Statist. Assoc. 53, 1958.
 */
export function naturalEdges(counts: ArrayLike<number>, zones: number): number[] {
  return naturalEdgesUpTo(counts, zones)[zones - 1];
}

/** The same for every number of zones from 1 to `most`, of one dynamic programme. */
export function naturalEdgesUpTo(counts: ArrayLike<number>, most: number): number[][] {
  const used: number[] = [];
  for (let bin = 0; bin < counts.length; bin++) if (counts[bin] > 0) used.push(bin);
  const choices = bestChoices(counts, used, Math.min(most, used.length));
  return Array.from({ length: most }, (_, i) => {
    const starts = startsOf(choices.slice(0, i), used.length);
    const edges = starts.map((k) => Math.ceil((used[k - 1] + 1 + used[k]) / 2));
    while (edges.length < i) edges.push(counts.length);
    return edges;
  });
}

/** The root of the mean squared distance, in bins, from the mean of the zone that a pixel lies in; 0 without pixels. */
export function rmsWithin(counts: ArrayLike<number>, edges: readonly number[]): number {
  let pixels = 0;
  for (let bin = 0; bin < counts.length; bin++) pixels += counts[bin];
  return pixels > 0 ? Math.sqrt(Math.max(0, varianceWithin(counts, edges)) / pixels) : 0;
}

/** The sum of squared distances, in bins, from the means of the zones that `edges` part. */
function varianceWithin(counts: ArrayLike<number>, edges: readonly number[]): number {
  let total = 0;
  let from = 0;
  for (const to of [...edges, counts.length]) {
    let weight = 0;
    let first = 0;
    let second = 0;
    for (let bin = from; bin < to; bin++) {
      weight += counts[bin];
      first += counts[bin] * bin;
      second += counts[bin] * bin * bin;
    }
    if (weight > 0) total += second - (first * first) / weight;
    from = to;
  }
  return total;
}

/** For each number of parts from two on: where the last of them best starts, by where it ends (indices into `used`). */
function bestChoices(
  counts: ArrayLike<number>,
  used: readonly number[],
  parts: number,
): Int32Array[] {
  const n = used.length;
  const weight = new Float64Array(n + 1);
  const first = new Float64Array(n + 1);
  const second = new Float64Array(n + 1);
  used.forEach((bin, k) => {
    weight[k + 1] = weight[k] + counts[bin];
    first[k + 1] = first[k] + counts[bin] * bin;
    second[k + 1] = second[k] + counts[bin] * bin * bin;
  });
  const within = (from: number, to: number) => {
    const sum = first[to] - first[from];
    return second[to] - second[from] - (sum * sum) / (weight[to] - weight[from]);
  };
  let best = Float64Array.from({ length: n + 1 }, (_, to) => (to === 0 ? 0 : within(0, to)));
  const choices: Int32Array[] = [];
  for (let part = 1; part < parts; part++) {
    const next = new Float64Array(n + 1).fill(Infinity);
    const choice = new Int32Array(n + 1);
    for (let to = part + 1; to <= n; to++) {
      for (let from = part; from < to; from++) {
        const cost = best[from] + within(from, to);
        if (cost < next[to]) {
          next[to] = cost;
          choice[to] = from;
        }
      }
    }
    best = next;
    choices.push(choice);
  }
  return choices;
}

/** For each part but the first, the index at which it starts. */
function startsOf(choices: readonly Int32Array[], n: number): number[] {
  const starts: number[] = [];
  for (let part = choices.length - 1, to = n; part >= 0; part--) {
    to = choices[part][to];
    starts.unshift(to);
  }
  return starts;
}
