/** The connected pieces of a map: what each holds and how many pixels it has. */
export interface Pieces {
  /** The piece of each pixel; −1 where the map holds `absent`. */
  of: Int32Array;
  /** The map's entry that each piece is made of. */
  entry: number[];
  /** Pixels of each piece. */
  size: number[];
}

/**
 * Pixels that touch along a side and hold the same entry are one piece. One pass by rows that joins
 * labels (union by the lower label), one that counts.
 */
export function pieces(
  map: ArrayLike<number>,
  width: number,
  height: number,
  absent: number,
): Pieces {
  const of = new Int32Array(width * height);
  const parent: number[] = [];
  const rootOf = (label: number) => {
    while (parent[label] !== label) label = parent[label] = parent[parent[label]];
    return label;
  };
  for (let y = 0, p = 0; y < height; y++)
    for (let x = 0; x < width; x++, p++) {
      const entry = map[p];
      if (entry === absent) {
        of[p] = -1;
        continue;
      }
      const left = x > 0 && map[p - 1] === entry ? of[p - 1] : -1;
      const above = y > 0 && map[p - width] === entry ? of[p - width] : -1;
      if (left < 0 && above < 0) of[p] = parent.push(parent.length) - 1;
      else if (left < 0 || above < 0 || left === above) of[p] = left < 0 ? above : left;
      else {
        const one = rootOf(left);
        const other = rootOf(above);
        of[p] = Math.min(one, other);
        parent[Math.max(one, other)] = of[p];
      }
    }
  const number = new Int32Array(parent.length).fill(-1);
  const entry: number[] = [];
  const size: number[] = [];
  for (let p = 0; p < of.length; p++) {
    if (of[p] < 0) continue;
    const root = rootOf(of[p]);
    if (number[root] < 0) {
      number[root] = entry.push(map[p]) - 1;
      size.push(0);
    }
    of[p] = number[root];
    size[of[p]]++;
  }
  return { of, entry, size };
}
