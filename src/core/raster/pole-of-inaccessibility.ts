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
  let wave: number[] = [];
  for (let c = 0; c < labels.length; c++) {
    const x = c % width;
    const isRim =
      x === 0 ||
      x === width - 1 ||
      c < width ||
      c >= labels.length - width ||
      [c - 1, c + 1, c - width, c + width].some((d) => labels[d] !== labels[c]);
    if (labels[c] < 0 || !isRim) continue;
    reached[c] = 1;
    wave.push(c);
  }
  while (wave.length > 0) {
    const next: number[] = [];
    for (const c of wave) {
      last[labels[c]] = c;
      for (const d of [c - 1, c + 1, c - width, c + width]) {
        if (d < 0 || d >= labels.length || reached[d] || labels[d] !== labels[c]) continue;
        reached[d] = 1;
        next.push(d);
      }
    }
    wave = next;
  }
  return last;
}
