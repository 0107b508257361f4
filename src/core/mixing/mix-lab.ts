import { oklabFromLab, writeLab, type Lab } from '../colour/cielab';
import type { Oklab } from '../colour/oklab';
import { slopeAtSurface, thickReflectance, throughSurface } from './kubelka-munk';
import { RGB_WEIGHTS } from './observer';
import type { Optics } from './pigment';
import { BAND_COUNT } from './spectrum';

/** Where mixtures of paints are written while parts are sought, so that the search allocates nothing. */
export interface MixScratch {
  lab: Float64Array;
  /** L*, a*, b* by each weight: three numbers a paint. */
  slopes: Float64Array;
}

/** Paints in one mixture of a search. */
export const MAX_PAINTS = 4;
/** The step of a difference quotient from linear sRGB to CIELAB. */
const RGB_STEP = 1e-5;

export const mixScratch = (): MixScratch => ({
  lab: new Float64Array(3),
  slopes: new Float64Array(3 * MAX_PAINTS),
});

const linearSlopes = new Float64Array(3 * MAX_PAINTS);
const ahead = new Float64Array(3);

/**
 * CIELAB of thick paint mixed by weights, at least 0 and not all 0, and with `slopes` its derivatives by the
 * logarithm of each weight: dR/dw by the chain of K/S, the thick layer and the surface.
 */
export function writeMixLab(
  paints: readonly Optics[],
  weights: ArrayLike<number>,
  { lab, slopes }: MixScratch,
  withSlopes: boolean,
): void {
  const n = paints.length;
  let r = 0;
  let g = 0;
  let b = 0;
  if (withSlopes) linearSlopes.fill(0);
  for (let band = 0; band < BAND_COUNT; band++) {
    let K = 0;
    let S = 0;
    for (let i = 0; i < n; i++) {
      K += weights[i] * paints[i].K[band];
      S += weights[i] * paints[i].S[band];
    }
    const inside = thickReflectance(K, S);
    const R = throughSurface(inside);
    const at = band * 3;
    r += R * RGB_WEIGHTS[at];
    g += R * RGB_WEIGHTS[at + 1];
    b += R * RGB_WEIGHTS[at + 2];
    if (!withSlopes) continue;
    const ratio = K / S;
    const root = Math.sqrt(ratio * ratio + 2 * ratio);
    const slope = root < 1e-9 ? 0 : slopeAtSurface(inside) * (1 - (ratio + 1) / root);
    for (let i = 0; i < n; i++) {
      const by = (slope * weights[i] * (paints[i].K[band] - ratio * paints[i].S[band])) / S;
      linearSlopes[i * 3] += by * RGB_WEIGHTS[at];
      linearSlopes[i * 3 + 1] += by * RGB_WEIGHTS[at + 1];
      linearSlopes[i * 3 + 2] += by * RGB_WEIGHTS[at + 2];
    }
  }
  writeLab(r, g, b, lab, 0);
  if (!withSlopes) return;
  slopes.fill(0);
  for (let c = 0; c < 3; c++) {
    const step = (channel: number) => (channel === c ? RGB_STEP : 0);
    writeLab(r + step(0), g + step(1), b + step(2), ahead, 0);
    for (let k = 0; k < 3; k++) {
      const slope = (ahead[k] - lab[k]) / RGB_STEP;
      for (let i = 0; i < n; i++) slopes[i * 3 + k] += slope * linearSlopes[i * 3 + c];
    }
  }
}

const own = mixScratch();

/** CIELAB of thick paint mixed by weights. */
export function mixLab(paints: readonly Optics[], weights: ArrayLike<number>): Lab {
  writeMixLab(paints, weights, own, false);
  return { L: own.lab[0], a: own.lab[1], b: own.lab[2] };
}

/** OKLab of thick paint mixed by weights. */
export const mixColour = (paints: readonly Optics[], weights: ArrayLike<number>): Oklab =>
  oklabFromLab(mixLab(paints, weights));
