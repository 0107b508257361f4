/**
 * For each label of a map (row by row; below 0 is nothing) its outline along the pixels' edges as an SVG path, holes included:
 * exact, with its interior on the right. Regions that only meet at a corner stay two.
 */
export function labelOutlines(
  labels: ArrayLike<number>,
  width: number,
  height: number,
  count: number,
): string[] {
  const paths: string[][] = Array.from({ length: count }, () => []);
  const labelAt = (x: number, y: number) =>
    x < 0 || y < 0 || x >= width || y >= height ? -1 : labels[y * width + x];
  /** Cells whose upper edge was walked along. */
  const walked = new Uint8Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const label = labels[y * width + x];
      if (label < 0 || walked[y * width + x] || labelAt(x, y - 1) === label) continue;
      paths[label].push(walk(x, y, label));
    }
  return paths.map((own) => own.join(''));

  /** Once round from the upper left corner of a cell, the label on the right hand. */
  function walk(x0: number, y0: number, label: number): string {
    const path = [`M${x0} ${y0}`];
    let x = x0;
    let y = y0;
    let [dx, dy]: [number, number] = [1, 0];
    let run = 0;
    do {
      if (dx === 1) walked[y * width + x] = 1;
      x += dx;
      y += dy;
      run++;
      // The cells ahead to the left and to the right of the corner that was come to.
      const ahead = (side: 1 | -1) =>
        labelAt(Math.floor(x + (dx - side * dy) / 2), Math.floor(y + (dy + side * dx) / 2));
      const right = ahead(1) === label;
      const turn: number = right ? (ahead(-1) === label ? -1 : 0) : 1;
      if (turn === 0) continue;
      path.push(dx !== 0 ? `h${dx * run}` : `v${dy * run}`);
      run = 0;
      [dx, dy] = turn === 1 ? [-dy, dx] : [dy, -dx];
    } while (x !== x0 || y !== y0 || dx !== 1 || dy !== 0);
    // The last stretch, which runs on into the first, is the one that `z` draws.
    return `${path.join('')}z`;
  }
}
