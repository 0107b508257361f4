/**
 * For each of `count` labels of a map its pole of inaccessibility: the cell that is farthest, by steps
 * along sides, from any other label and from the border. Labels below 0 are none.
 * Source: D. Garcia-Castellanos, U. Lombardo, "Poles of inaccessibility", Scottish Geographical Journal
 * 123(3), 2007; found here by a breadth-first wave from the rims.
 */
export function polesOfInaccessibility(
  labels: Int16Array,
  width: number,
  count: number,
): Int32Array {
  const last = new Int32Array(count);
  const reached = new Uint8Array(labels.length);
  // All waves one after the other: each cell joins one at most.
  const queue = new Int32Array(labels.length);
  let end = 0;
  for (let c = 0; c < labels.length; c++) {
    const x = c % width;
    const isRim =
      x === 0 ||
      x === width - 1 ||
      c < width ||
      c >= labels.length - width ||
      labels[c - 1] !== labels[c] ||
      labels[c + 1] !== labels[c] ||
      labels[c - width] !== labels[c] ||
      labels[c + width] !== labels[c];
    if (labels[c] < 0 || !isRim) continue;
    reached[c] = 1;
    queue[end++] = c;
  }
  const reach = (d: number, label: number) => {
    if (d < 0 || d >= labels.length || reached[d] || labels[d] !== label) return;
    reached[d] = 1;
    queue[end++] = d;
  };
  for (let at = 0; at < end; at++) {
    const c = queue[at];
    const label = labels[c];
    last[label] = c;
    reach(c - 1, label);
    reach(c + 1, label);
    reach(c - width, label);
    reach(c + width, label);
  }
  return last;
}
