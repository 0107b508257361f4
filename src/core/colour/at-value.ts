import { toGamut } from './gamut';
import { oklabFromOklch, type Oklab } from './oklab';
import { valueOfOklab } from './value';

/**
 * The colour of a Munsell value and an OKLCH hue (degrees) whose chroma is `chromaAt(L)`, brought
 * into sRGB at its own lightness. OKLab's lightness alone does not give value: a strong colour is
 * lighter or darker than the grey of its L, so L is sought by halving.
 */
export function atValue(value: number, hue: number, chromaAt: (L: number) => number): Oklab {
  const colourAt = (L: number) =>
    toGamut(oklabFromOklch({ L, C: Math.max(0, chromaAt(L)), h: hue }));
  let low = 0;
  let high = 1;
  for (let i = 0; i < 40; i++) {
    const L = (low + high) / 2;
    if (valueOfOklab(colourAt(L)) < value) low = L;
    else high = L;
  }
  return colourAt((low + high) / 2);
}

const SAME_VALUE = 1e-6;

/** The colour at another value, its hue and chroma held as far as sRGB goes. */
export function withValue(colour: Oklab, value: number): Oklab {
  // At the very corner of sRGB's blues even a rounding of lightness leaves no such chroma inside.
  if (Math.abs(valueOfOklab(colour) - value) < SAME_VALUE) return toGamut(colour);
  const chroma = Math.hypot(colour.a, colour.b);
  const hue = (Math.atan2(colour.b, colour.a) * 180) / Math.PI;
  return atValue(value, hue, () => chroma);
}
