/** For each label of a map the cell that is farthest from any other label and from the border. */
export function innermost(of: Int16Array, width: number, labels: number): Int32Array {
  const last = new Int32Array(labels);
  const reached = new Uint8Array(of.length);
  let wave: number[] = [];
  for (let c = 0; c < of.length; c++) {
    const x = c % width;
    const isRim =
      x === 0 ||
      x === width - 1 ||
      c < width ||
      c >= of.length - width ||
      [c - 1, c + 1, c - width, c + width].some((d) => of[d] !== of[c]);
    if (of[c] < 0 || !isRim) continue;
    reached[c] = 1;
    wave.push(c);
  }
  while (wave.length > 0) {
    const next: number[] = [];
    for (const c of wave) {
      last[of[c]] = c;
      for (const d of [c - 1, c + 1, c - width, c + width]) {
        if (d < 0 || d >= of.length || reached[d] || of[d] !== of[c]) continue;
        reached[d] = 1;
        next.push(d);
      }
    }
    wave = next;
  }
  return last;
}
