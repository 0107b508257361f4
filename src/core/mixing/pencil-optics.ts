import type { Oklab } from '../colour/oklab';
import { belowSurface, filmReflectance } from './kubelka-munk';
import { FULL_COAT } from './paint';
import { FULL_STROKE, type Pencil } from './pencils';
import { smoothReflectance } from './smooth-reflectance';
import { BAND_COUNT } from './spectrum';

/** Scattering of wax without white in it, and of what is all white, against titanium white in paint. */
const CLEAR_WAX = 0.1;
const WHITE_WAX = 0.9;
/** More absorption than this changes nothing that can be seen. */
const MAX_ABSORPTION = 400;
const HALVINGS = 40;
/** A part of the stroke that the pencil did touch is at least this dark to the eye. */
const DARKEST = 0.001;

const known = new Map<string, Pencil['optics']>();
const MAX_KNOWN = 3000;

/**
 * A pencil by the colour of a full stroke on paper: of its film scattering is assumed, more the more white there is in
 * the colour, and absorption in each band is what brings the film to the stroke's reflectance.
 */
export function pencilOf(id: string, stroke: Oklab, strength = 1): Pencil {
  const key = JSON.stringify(stroke);
  let optics = known.get(key);
  if (!optics) {
    if (known.size >= MAX_KNOWN) known.clear();
    known.set(key, (optics = opticsOfStroke(stroke)));
  }
  if (strength === 1) return { id, optics };
  const stronger = (spectrum: Float64Array) => spectrum.map((at) => at * strength);
  return { id, optics: { K: stronger(optics.K), S: stronger(optics.S) } };
}

function opticsOfStroke(stroke: Oklab): Pencil['optics'] {
  const { coat, touches, paper } = FULL_STROKE;
  const reflectance = smoothReflectance(stroke);
  const white = Math.min(...reflectance);
  const S = new Float64Array(BAND_COUNT).fill(CLEAR_WAX + (WHITE_WAX - CLEAR_WAX) * white);
  const ground = belowSurface(paper);
  const K = reflectance.map((light, band) => {
    const film = Math.max(DARKEST, (light - (1 - touches) * paper) / touches);
    const wanted = belowSurface(film);
    let low = 0;
    let high = MAX_ABSORPTION;
    for (let i = 0; i < HALVINGS; i++) {
      const middle = (low + high) / 2;
      if (filmReflectance(middle, S[band], coat * FULL_COAT, ground) > wanted) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  });
  return { K, S };
}
