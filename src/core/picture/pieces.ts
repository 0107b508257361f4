/** The connected pieces of a map: what each holds and how many pixels it has. */
export interface PieceSizes {
  /** The map's entry that each piece is made of. */
  entry: number[];
  /** Pixels of each piece. */
  size: number[];
}

export interface Pieces extends PieceSizes {
  /** The piece of each pixel; −1 where the map holds `absent`. */
  of: Int32Array;
}

/** The runs of a map's rows: each a stretch of one entry that is joined to the runs above it. */
interface Runs {
  /** For each run its first pixel, and behind the last run the end of the map. */
  start: number[];
  /** The number of each run's piece; −1 for what is absent. */
  piece: Int32Array;
}

/**
 * The pieces of a map without saying where they lie. Pixels that touch along a side and hold the
 * same entry are one piece. Rows are taken as runs, and runs joined (union by the lower number), so
 * that what is flat costs little.
 */
export function pieceSizes(
  map: ArrayLike<number>,
  width: number,
  height: number,
  absent: number,
): PieceSizes {
  const { entry, size } = numbered(map, width, height, absent);
  return { entry, size };
}

/** The pieces of a map with the piece of each pixel. */
export function pieces(
  map: ArrayLike<number>,
  width: number,
  height: number,
  absent: number,
): Pieces {
  const { entry, size, start, piece } = numbered(map, width, height, absent);
  const of = new Int32Array(width * height);
  for (let run = 0; run < piece.length; run++) of.fill(piece[run], start[run], start[run + 1]);
  return { of, entry, size };
}

function numbered(
  map: ArrayLike<number>,
  width: number,
  height: number,
  absent: number,
): PieceSizes & Runs {
  const start: number[] = [];
  const parent: number[] = [];
  const rootOf = (run: number) => {
    while (parent[run] !== run) run = parent[run] = parent[parent[run]];
    return run;
  };
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
        const one = rootOf(k);
        const other = rootOf(run);
        if (one !== other) parent[Math.max(one, other)] = Math.min(one, other);
      }
    }
    above = firstOfRow;
  }
  start.push(width * height);
  const piece = new Int32Array(parent.length).fill(-1);
  const entry: number[] = [];
  const size: number[] = [];
  for (let run = 0; run < parent.length; run++) {
    if (map[start[run]] === absent) continue;
    const root = rootOf(run);
    if (piece[root] < 0) {
      piece[root] = entry.push(map[start[run]]) - 1;
      size.push(0);
    }
    piece[run] = piece[root];
    size[piece[run]] += start[run + 1] - start[run];
  }
  return { start, piece, entry, size };
}
