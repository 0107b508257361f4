/** The grid that edges are taken of; cells whose mask is 0 have none. */
interface MaskedGrid {
  width: number;
  height: number;
  mask: ArrayLike<number>;
}

/**
 * The edges of a grid's 4-connected graph between unmasked cells: the two cells of each, interleaved,
 * right neighbours before lower ones, row by row.
 */
export function gridEdges({ width, height, mask }: MaskedGrid): Int32Array {
  const cells = width * height;
  const ends = new Int32Array(4 * cells);
  let n = 0;
  for (let c = 0; c < cells; c++) {
    if (!mask[c]) continue;
    if ((c + 1) % width !== 0 && mask[c + 1]) {
      ends[n++] = c;
      ends[n++] = c + 1;
    }
    if (c + width < cells && mask[c + width]) {
      ends[n++] = c;
      ends[n++] = c + width;
    }
  }
  return ends.slice(0, n);
}

/** The pairs of labels (from 0 on; what is below is none) that touch along a side, each once, the lower first. */
export function adjacentLabels(labels: ArrayLike<number>, width: number): [number, number][] {
  const found = new Set<number>();
  const stride = 1 << 20;
  for (let c = 0; c < labels.length; c++)
    for (const d of [(c + 1) % width === 0 ? -1 : c + 1, c + width]) {
      const one = labels[c];
      const other = labels[d] ?? -1;
      if (one >= 0 && other >= 0 && one !== other)
        found.add(Math.min(one, other) * stride + Math.max(one, other));
    }
  return Array.from(found, (key) => [Math.floor(key / stride), key % stride]);
}
