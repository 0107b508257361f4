import { pigmentOf, variantsOf } from './pigments/pigments';
import type { Pigment } from './pigment';

/** A pigment with its parts by volume. */
export interface PigmentPart {
  pigment: Pigment;
  parts: number;
}

/**
 * Reads a mixture as it is written down: `PB29:1,PY35:3`, parts by volume as squeezed; what stands without parts has one.
 * Throws a RangeError that says which entry can't be read and why.
 */
export function readMix(text: string): PigmentPart[] {
  const entries = text.split(',').map((entry) => entry.trim());
  if (entries.some((entry) => entry === ''))
    throw new RangeError('a mixture is written as PB29:1,PY35:3');
  return entries.map((entry) => {
    // PB15:3 is the usual spelling of PB15.3, so a colon may belong to the name.
    const whole = pigmentOf(entry);
    if (whole) return { pigment: whole, parts: 1 };
    const colon = entry.lastIndexOf(':');
    const parts = colon < 0 ? 1 : Number(entry.slice(colon + 1));
    if (entry.endsWith(':') || !(parts > 0) || !Number.isFinite(parts))
      throw new RangeError(`“${entry}”: parts are a number above 0`);
    return { pigment: knownPigment(colon < 0 ? entry : entry.slice(0, colon)), parts };
  });
}

/** A pigment by its name. Throws a RangeError for one that is unknown or stands for several. */
export function knownPigment(name: string): Pigment {
  const pigment = pigmentOf(name);
  if (pigment) return pigment;
  const variants = variantsOf(name);
  throw new RangeError(
    variants.length > 0
      ? `“${name}” stands for several: ${variants.join(', ')}`
      : `no pigment is known as “${name}”; see prism pigments`,
  );
}
