import { withValue } from '@/core/colour/at-value';
import { oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { coloursIn } from '@/core/formats/colour-text';

const MUNSELL = /^\d{1,2}(?:\.\d+)?$/;

/**
 * A colour as somebody types it: hex with or without its sign, a colour function of CSS, or a Munsell value (0–10)
 * for `colour` at that value. Null for what is none of these.
 */
export function typedColour(text: string, colour: Oklab): Oklab | null {
  const trimmed = text.trim();
  if (MUNSELL.test(trimmed))
    return Number(trimmed) <= 10 ? withValue(colour, Number(trimmed)) : null;
  const hex = oklabFromHex(trimmed);
  if (hex) return hex;
  const found = coloursIn(trimmed);
  return found.length === 1 && found[0].end - found[0].start === trimmed.length
    ? found[0].colour
    : null;
}
