import { solved } from '../mixing/linear-system';
import { composed, mapped, type Homography } from '../raster/homography';
import { normalEquations } from './normal-equations';
import type { Grid } from './value-grid';

const MAX_STEPS = 25;
/** In cells: a step that moves no corner farther ends the search. */
const STILL = 0.05;
/** Added to the diagonal of the normal equations, as a share of it (Levenberg). */
const DAMPING = 1e-3;
/** Of the model so much has to lie within the photograph. */
const MIN_OVERLAP = 0.35;

const emptyGrid = (width: number, height: number): Grid => ({
  width,
  height,
  data: new Float32Array(width * height),
  mask: new Uint8Array(width * height),
});

/** A grid as another sees it through a map: its numbers there, and where it has any. `into` is overwritten. */
export function warpedInto(
  grid: Grid,
  toGrid: Homography,
  width: number,
  height: number,
  into = emptyGrid(width, height),
): Grid {
  const { data, mask } = into;
  mask.fill(0);
  const [h0, h1, h2, h3, h4, h5, h6, h7, h8] = toGrid;
  // In full and without allocation: what an alignment costs.
  for (let y = 0, c = 0; y < height; y++)
    for (let x = 0; x < width; x++, c++) {
      const w = h6 * x + h7 * y + h8;
      const u = (h0 * x + h1 * y + h2) / w;
      const v = (h3 * x + h4 * y + h5) / w;
      if (!(u >= 0 && v >= 0 && u + 1 < grid.width && v + 1 < grid.height)) continue;
      const u0 = u | 0;
      const v0 = v | 0;
      const at = v0 * grid.width + u0;
      if (!grid.mask[at] || !grid.mask[at + 1] || !grid.mask[at + grid.width]) continue;
      const fu = u - u0;
      const fv = v - v0;
      const upper = grid.data[at] + fu * (grid.data[at + 1] - grid.data[at]);
      const below = at + grid.width;
      const lower = grid.data[below] + fu * (grid.data[below + 1] - grid.data[below]);
      data[c] = upper + fv * (lower - upper);
      mask[c] = 1;
    }
  return into;
}

export interface Alignment {
  /** From the model's cells to the photograph's. */
  toPhoto: Homography;
  /** Correlation of the local contrasts where both are, −1 to 1; −1 where too little of the model is in the photograph. */
  score: number;
}

/** How well a placement holds: the correlation of two local contrasts. */
export function alignmentScore(model: Grid, photo: Grid, toPhoto: Homography): number {
  return correlation(model, warpedInto(photo, toPhoto, model.width, model.height));
}

function correlation(model: Grid, warped: Grid): number {
  const { width, height } = model;
  let [mm, ss, ms, n] = [0, 0, 0, 0];
  for (let c = 0; c < width * height; c++) {
    if (!warped.mask[c] || !model.mask[c]) continue;
    mm += model.data[c] ** 2;
    ss += warped.data[c] ** 2;
    ms += model.data[c] * warped.data[c];
    n++;
  }
  return n < MIN_OVERLAP * width * height || mm === 0 || ss === 0 ? -1 : ms / Math.sqrt(mm * ss);
}

/**
 * Moves a placement of the model in a photograph to where their local contrasts agree best: Gauss and Newton's steps on
 * the eight entries of a homography, with the mean of both gradients and weights that let what was repainted go.
 * Source: S. Benhimane, E. Malis, "Homography-based 2D visual tracking and servoing", IJRR 26(7), 2007; the weights by
 * P. Holland, R. Welsch, "Robust regression using iteratively reweighted least-squares", 1977.
 */
export function aligned(model: Grid, photo: Grid, start: Homography): Alignment {
  const { width, height } = model;
  let toPhoto = start;
  let best: Alignment = { toPhoto, score: -1 };
  const [cx, cy] = [(width - 1) / 2, (height - 1) / 2];
  const unit = Math.max(cx, cy);
  // From the model's cells to −1…1 about its middle, in which steps are taken.
  const inward: Homography = [1 / unit, 0, -cx / unit, 0, 1 / unit, -cy / unit, 0, 0, 1];
  const outward: Homography = [unit, 0, cx, 0, unit, cy, 0, 0, 1];
  const warped = emptyGrid(width, height);
  for (let step = 0; step < MAX_STEPS; step++) {
    warpedInto(photo, toPhoto, width, height, warped);
    const score = correlation(model, warped);
    if (score > best.score) best = { toPhoto, score };
    else if (score < best.score - 0.2) break;
    const rows = normalEquations(model, warped, unit);
    for (let i = 0; i < 8; i++) rows[i][i] += DAMPING * rows[i][i] + 1e-9;
    const d = solved(rows).map((entry) => entry / unit);
    if (!d.every((entry) => Math.abs(entry) < 0.5)) break;
    const small: Homography = [1 + d[0], d[1], d[2], d[3], 1 + d[4], d[5], d[6], d[7], 1];
    toPhoto = composed(toPhoto, composed(outward, composed(small, inward)));
    const moved = [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ].map(([u, v]) => {
      const [mu, mv] = mapped(small, u, v);
      return unit * Math.hypot(mu - u, mv - v);
    });
    if (Math.max(...moved) < STILL) break;
  }
  return best;
}
