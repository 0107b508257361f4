import { findRoot } from './disjoint-sets';

/** The connected components of a map: what each holds and how many pixels it has. */
export interface ComponentSizes {
  /** The map's entry that each component is made of. */
  entry: number[];
  /** Pixels of each component. */
  size: number[];
}

export interface Components extends ComponentSizes {
  /** The component of each pixel; −1 where the map holds `absent`. */
  labels: Int32Array;
}

/** The runs of a map's rows: each a stretch of one entry that is joined to the runs above it. */
interface Runs {
  /** For each run its first pixel, and behind the last run the end of the map. */
  start: number[];
  /** The number of each run's component; −1 for what is absent. */
  component: Int32Array;
}

/**
 * The components of a map (4-connectivity) without saying where they lie: pixels that touch along a
 * side and hold the same entry are one. Rows are taken as runs, and runs joined (union by the lower number), so
 * that what is flat costs little.
 * Source: L. He, Y. Chao, K. Suzuki, "A run-based two-scan labeling algorithm", IEEE Trans. Image
 * Processing 17(5), 2008.
 */
export function componentSizes(
  map: ArrayLike<number>,
  width: number,
  height: number,
  absent: number,
): ComponentSizes {
  const { entry, size } = labelRuns(map, width, height, absent);
  return { entry, size };
}

/** The components of a map with the component of each pixel. */
export function connectedComponents(
  map: ArrayLike<number>,
  width: number,
  height: number,
  absent: number,
): Components {
  const { entry, size, start, component } = labelRuns(map, width, height, absent);
  const labels = new Int32Array(width * height);
  for (let run = 0; run < component.length; run++)
    labels.fill(component[run], start[run], start[run + 1]);
  return { labels, entry, size };
}

function labelRuns(
  map: ArrayLike<number>,
  width: number,
  height: number,
  absent: number,
): ComponentSizes & Runs {
  const start: number[] = [];
  const parent: number[] = [];
  let above = 0;
  for (let y = 0; y < height; y++) {
    const firstOfRow = start.length;
    const end = (y + 1) * width;
    for (let p = y * width; p < end;) {
      const entry = map[p];
      const run = parent.push(parent.length) - 1;
      start.push(p);
      do p++;
      while (p < end && map[p] === entry);
      if (y === 0 || entry === absent) continue;
      // The runs above that this one lies under; the last of them may reach over the next one too.
      const from = start[run] - width;
      while (above + 1 < firstOfRow && start[above + 1] <= from) above++;
      for (let k = above; k < firstOfRow && start[k] < p - width; k++) {
        if (map[start[k]] !== entry) continue;
        const one = findRoot(parent, k);
        const other = findRoot(parent, run);
        if (one !== other) parent[Math.max(one, other)] = Math.min(one, other);
      }
    }
    above = firstOfRow;
  }
  start.push(width * height);
  const component = new Int32Array(parent.length).fill(-1);
  const entry: number[] = [];
  const size: number[] = [];
  for (let run = 0; run < parent.length; run++) {
    if (map[start[run]] === absent) continue;
    const root = findRoot(parent, run);
    if (component[root] < 0) {
      component[root] = entry.push(map[start[run]]) - 1;
      size.push(0);
    }
    component[run] = component[root];
    size[component[run]] += start[run + 1] - start[run];
  }
  return { start, component, entry, size };
}
