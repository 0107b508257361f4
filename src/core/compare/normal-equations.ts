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
  const { width, height } = model;
  const [m, s] = [model.data, warped.data];
  const [inModel, inPhoto] = [model.mask, warped.mask];
  const [cx, cy] = [(width - 1) / 2, (height - 1) / 2];
  const [xx, xy, yy, rx, ry] = Array.from({ length: 5 }, () => new Float64Array(POWERS * POWERS));
  const all = [xx, xy, yy, rx, ry];
  // A row's weighted products; where a cell has none they are 0.
  const row = Array.from({ length: 5 }, () => new Float64Array(width));
  const [pxx, pxy, pyy, prx, pry] = row;
  const us = Float64Array.from({ length: width }, (_, x) => (x - cx) / unit);
  const sums = new Float64Array(POWERS);
  for (let y = 1; y < height - 1; y++) {
    for (const products of row) products.fill(0);
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
      pxx[x] = w * gx * gx;
      pxy[x] = w * gx * gy;
      pyy[x] = w * gy * gy;
      prx[x] = w * gx * off;
      pry[x] = w * gy * off;
    }
    const v = (y - cy) / unit;
    for (let k = 0; k < all.length; k++) {
      sumByPowers(row[k], us, sums);
      for (let a = 0; a < POWERS; a++)
        for (let b = 0, power = sums[a]; a + b < POWERS; b++, power *= v)
          all[k][a * POWERS + b] += power;
    }
  }
  return equationsOf(xx, xy, yy, rx, ry);
}

/** Sums of numbers times powers of u, from the 0th to the 4th. */
function sumByPowers(numbers: Float64Array, us: Float64Array, sums: Float64Array): void {
  let [s0, s1, s2, s3, s4] = [0, 0, 0, 0, 0];
  for (let x = 0; x < numbers.length; x++) {
    const u = us[x];
    let product = numbers[x];
    s0 += product;
    product *= u;
    s1 += product;
    product *= u;
    s2 += product;
    product *= u;
    s3 += product;
    s4 += product * u;
  }
  sums[0] = s0;
  sums[1] = s1;
  sums[2] = s2;
  sums[3] = s3;
  sums[4] = s4;
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
