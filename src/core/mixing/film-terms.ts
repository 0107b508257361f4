import { FULL_COAT } from './paint';
import type { Optics } from './pigment';
import { BAND_COUNT, type Spectrum } from './spectrum';

/** What a film does to whatever lies below it: `a` and b·coth(b·S·X) of Kubelka's general solution (1948). */
export interface FilmTerms {
  a: Spectrum;
  slope: Spectrum;
}

/** Scattering below this is taken for this: the solution divides by it. */
const CLEAR = 1e-6;

const known = new WeakMap<Optics, Map<number, FilmTerms>>();

/** The terms of a paint at a thickness in full coats, above 0; kept, since a search lays the same film many times. */
export function filmTerms(optics: Optics, coat: number): FilmTerms {
  let coats = known.get(optics);
  if (!coats) known.set(optics, (coats = new Map()));
  let terms = coats.get(coat);
  if (!terms) coats.set(coat, (terms = termsOf(optics, coat)));
  return terms;
}

function termsOf({ K, S }: Optics, coat: number): FilmTerms {
  const a = new Float64Array(BAND_COUNT);
  const slope = new Float64Array(BAND_COUNT);
  for (let band = 0; band < BAND_COUNT; band++) {
    const scattering = Math.max(CLEAR, S[band]);
    a[band] = 1 + K[band] / scattering;
    const b = Math.sqrt(a[band] * a[band] - 1);
    const depth = b * scattering * coat * FULL_COAT;
    slope[band] = b < 1e-7 ? 1 / (scattering * coat * FULL_COAT) : b / Math.tanh(depth);
  }
  return { a, slope };
}
