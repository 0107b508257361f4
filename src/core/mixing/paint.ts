import type { Oklab } from '../colour/oklab';
import { belowSurface, filmReflectance, thickReflectance, throughSurface } from './kubelka-munk';
import { oklabOf } from './observer';
import type { Optics } from './pigment';
import { BAND_COUNT, spectrumOf, type Spectrum } from './spectrum';

/** A paint and how much of it: parts by volume, as squeezed. */
export interface Part {
  optics: Optics;
  parts: number;
}

/** How much S·X a full coat of titanium white has: thickness 1. */
export const FULL_COAT = 5;

/**
 * Absorption and scattering of a mixture: sums weighted by parts. Throws a RangeError unless some part is above 0
 * and none below.
 * Source: D. Duncan, "The colour of pigment mixtures", Proceedings of the Physical Society 52, 1940.
 */
export function mixed(parts: readonly Part[]): Optics {
  const total = parts.reduce((sum, part) => sum + part.parts, 0);
  if (!(total > 0) || !Number.isFinite(total) || parts.some((part) => part.parts < 0))
    throw new RangeError('A mixture takes parts above 0');
  const K = new Float64Array(BAND_COUNT);
  const S = new Float64Array(BAND_COUNT);
  for (const { optics, parts: amount } of parts) {
    const share = amount / total;
    for (let band = 0; band < BAND_COUNT; band++) {
      K[band] += share * optics.K[band];
      S[band] += share * optics.S[band];
    }
  }
  return { K, S };
}

/** Reflectance (0–1) of thick paint as the eye gets it. */
export function massTone({ K, S }: Optics): Spectrum {
  return spectrumOf((_, band) => throughSurface(thickReflectance(K[band], S[band])));
}

/**
 * Reflectance (0–1) of a film over a ground as the eye gets it. `coat` is its thickness, 1 being a full coat;
 * `ground` the ground's own reflectance as the eye gets it, uncovered.
 */
export function filmOver({ K, S }: Optics, coat: number, ground: Spectrum): Spectrum {
  return spectrumOf((_, band) =>
    throughSurface(filmReflectance(K[band], S[band], coat * FULL_COAT, belowSurface(ground[band]))),
  );
}

/** OKLab of thick paint, which may lie outside sRGB. */
export function paintColour(optics: Optics): Oklab {
  return oklabOf(massTone(optics));
}
