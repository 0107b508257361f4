import type { Grid } from './value-grid';

/** How far two local contrasts may part before they count for less (Cauchy's weight). */
const PART = 0.8;
/** Powers of u and of v that the equations ask for: up to four together. */
const POWERS = 5;

/** Sums over cells of a weight times a power of u times a power of v, at `[a * POWERS + b]`. */
type Moments = Float64Array;

/**
 * The normal equations of one Gauss–Newton step that moves a warped photograph to its model, by the eight entries of a
 * small homography about the identity, in units of `unit` cells about the middle: eight rows of eight and the right side.
 * The derivatives by those entries are the mean gradient (gx, gy) times 1, u, v, u², uv and v²: so all sums come from the
 * moments of gx², gx·gy and gy², of which a row of cells needs only the powers of u.
 */
export function normalEquations(model: Grid, warped: Grid, unit: number): Float64Array[] {
  const { height } = model;
  const cy = (height - 1) / 2;
  const [xx, xy, yy, rx, ry] = Array.from({ length: 5 }, () => new Float64Array(POWERS * POWERS));
  const line = new Float64Array(21);
  for (let y = 1; y < height - 1; y++) {
    lineMoments(model, warped, y, unit, line);
    const v = (y - cy) / unit;
    addLine(line, 0, 5, v, xx);
    addLine(line, 5, 5, v, xy);
    addLine(line, 10, 5, v, yy);
    addLine(line, 15, 3, v, rx);
    addLine(line, 18, 3, v, ry);
  }
  return equationsOf(xx, xy, yy, rx, ry);
}

/** Adds the moments of a row: `count` of its sums, by powers of u, times the powers of v. */
function addLine(
  sums: Float64Array,
  from: number,
  count: number,
  v: number,
  moments: Moments,
): void {
  for (let a = 0; a < count; a++)
    for (let b = 0, power = sums[from + a]; a + b < count; b++, power *= v)
      moments[a * POWERS + b] += power;
}

/**
 * What a row of cells sums to: gx², gx·gy and gy² by the powers 0 to 4 of u, and how far it is off times gx and gy by the
 * powers 0 to 2. In full and in local numbers: most of what an alignment costs.
 */
function lineMoments(
  { data: m, mask: inModel, width }: Grid,
  { data: s, mask: inPhoto }: Grid,
  y: number,
  unit: number,
  out: Float64Array,
): void {
  const cx = (width - 1) / 2;
  let [xx0, xx1, xx2, xx3, xx4] = [0, 0, 0, 0, 0];
  let [xy0, xy1, xy2, xy3, xy4] = [0, 0, 0, 0, 0];
  let [yy0, yy1, yy2, yy3, yy4] = [0, 0, 0, 0, 0];
  let [rx0, rx1, rx2, ry0, ry1, ry2] = [0, 0, 0, 0, 0, 0];
  for (let x = 1, c = y * width + 1; x < width - 1; x++, c++) {
    const isThere =
      inPhoto[c] &&
      inPhoto[c - 1] &&
      inPhoto[c + 1] &&
      inPhoto[c - width] &&
      inPhoto[c + width] &&
      inModel[c];
    if (!isThere) continue;
    const off = s[c] - m[c];
    const apart = off / PART;
    const w = 1 / (1 + apart * apart);
    const gx = (s[c + 1] - s[c - 1] + m[c + 1] - m[c - 1]) / 4;
    const gy = (s[c + width] - s[c - width] + m[c + width] - m[c - width]) / 4;
    const u = (x - cx) / unit;
    const u2 = u * u;
    const u3 = u2 * u;
    const u4 = u2 * u2;
    const wx = w * gx;
    const wy = w * gy;
    const xx = wx * gx;
    const xy = wx * gy;
    const yy = wy * gy;
    const rx = wx * off;
    const ry = wy * off;
    xx0 += xx;
    xx1 += xx * u;
    xx2 += xx * u2;
    xx3 += xx * u3;
    xx4 += xx * u4;
    xy0 += xy;
    xy1 += xy * u;
    xy2 += xy * u2;
    xy3 += xy * u3;
    xy4 += xy * u4;
    yy0 += yy;
    yy1 += yy * u;
    yy2 += yy * u2;
    yy3 += yy * u3;
    yy4 += yy * u4;
    rx0 += rx;
    rx1 += rx * u;
    rx2 += rx * u2;
    ry0 += ry;
    ry1 += ry * u;
    ry2 += ry * u2;
  }
  out[0] = xx0;
  out[1] = xx1;
  out[2] = xx2;
  out[3] = xx3;
  out[4] = xx4;
  out[5] = xy0;
  out[6] = xy1;
  out[7] = xy2;
  out[8] = xy3;
  out[9] = xy4;
  out[10] = yy0;
  out[11] = yy1;
  out[12] = yy2;
  out[13] = yy3;
  out[14] = yy4;
  out[15] = rx0;
  out[16] = rx1;
  out[17] = rx2;
  out[18] = ry0;
  out[19] = ry1;
  out[20] = ry2;
}

/** u, v and 1 as powers of u and v. */
const PLANE = [
  [1, 0],
  [0, 1],
  [0, 0],
] as const;

function equationsOf(xx: Moments, xy: Moments, yy: Moments, rx: Moments, ry: Moments) {
  const at = (moments: Moments, a: number, b: number) => moments[a * POWERS + b];
  const rows = Array.from({ length: 8 }, () => new Float64Array(9));
  PLANE.forEach(([a, b], i) => {
    PLANE.forEach(([c, d], j) => {
      rows[i][j] = at(xx, a + c, b + d);
      rows[i][3 + j] = at(xy, a + c, b + d);
      rows[3 + j][i] = rows[i][3 + j];
      rows[3 + i][3 + j] = at(yy, a + c, b + d);
    });
    rows[i][6] = -at(xx, a + 2, b) - at(xy, a + 1, b + 1);
    rows[i][7] = -at(xx, a + 1, b + 1) - at(xy, a, b + 2);
    rows[3 + i][6] = -at(xy, a + 2, b) - at(yy, a + 1, b + 1);
    rows[3 + i][7] = -at(xy, a + 1, b + 1) - at(yy, a, b + 2);
    for (const row of [i, 3 + i]) for (const k of [6, 7]) rows[k][row] = rows[row][k];
    rows[i][8] = -at(rx, a, b);
    rows[3 + i][8] = -at(ry, a, b);
  });
  rows[6][6] = at(xx, 4, 0) + 2 * at(xy, 3, 1) + at(yy, 2, 2);
  rows[6][7] = at(xx, 3, 1) + 2 * at(xy, 2, 2) + at(yy, 1, 3);
  rows[7][6] = rows[6][7];
  rows[7][7] = at(xx, 2, 2) + 2 * at(xy, 1, 3) + at(yy, 0, 4);
  rows[6][8] = at(rx, 2, 0) + at(ry, 1, 1);
  rows[7][8] = at(rx, 1, 1) + at(ry, 0, 2);
  return rows;
}
