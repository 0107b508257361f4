import type { Oklab } from '../colour/oklab';
import { belowSurface } from './kubelka-munk';
import type { Optics } from './pigment';
import { smoothReflectance } from './smooth-reflectance';
import { spectrumOf } from './spectrum';

/** How much a paint scatters of which nothing but its colour is known: as an opaque pigment does. */
const SCATTERING = 0.5;
/** Kept within, inside the paint: else a near-black would tint ten times as strongly as bone black does. */
const DARKEST = 0.03;
const LIGHTEST = 0.998;

/**
 * A paint whose mass tone is a colour and of which nothing else is known: the smoothest reflectance that looks
 * like it, scattering alike at every wavelength. It says what is within reach of a mixture, not in which parts.
 */
export function paintOfColour(colour: Oklab): Optics {
  const outside = smoothReflectance(colour);
  const K = outside.map((R) => {
    const inside = Math.min(LIGHTEST, Math.max(DARKEST, belowSurface(R)));
    return (SCATTERING * (1 - inside) ** 2) / (2 * inside);
  });
  return { K, S: spectrumOf(() => SCATTERING) };
}
