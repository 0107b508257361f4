import { labFromOklab, oklabFromLab } from './cielab';
import type { Oklab } from './oklab';

/** The grey of a colour's own lightness: what a painter sees of it by value alone. */
export function greyOf(colour: Oklab): Oklab {
  return oklabFromLab({ L: labFromOklab(colour).L, a: 0, b: 0 });
}
