/**
 * Light in a layer that absorbs (K) and scatters (S), both per unit of thickness, both at least 0.
 * Sources: P. Kubelka, "New contributions to the optics of intensely light-scattering materials, part I",
 * JOSA 38(5), 1948; J. Saunderson, "Calculation of the color of pigmented plastics", JOSA 32(12), 1942.
 */

/** What the surface sends back of the light inside. */
const INNER_REFLECTION = 0.6;
const FRONT_REFLECTION = 0.035;
/** As much of the front's reflection as a matt paint sends to the eye. */
const FRONT_TO_EYE = 0.3;
/** A layer that scatters less than this is a clear filter: its formula divides by S. */
const CLEAR = 1e-9;
/** coth of more than this is 1 in double precision. */
const THICK = 20;

/** Reflectance (0–1) within a layer so thick that what lies below does not show. */
export function thickReflectance(K: number, S: number): number {
  if (S <= CLEAR) return K > 0 ? 0 : 1;
  const ratio = K / S;
  return 1 + ratio - Math.sqrt(ratio * ratio + 2 * ratio);
}

/** Reflectance (0–1) within a layer of a thickness over a ground of a reflectance, both sides without a surface. */
export function filmReflectance(K: number, S: number, thickness: number, ground: number): number {
  if (thickness <= 0) return ground;
  if (S <= CLEAR || S * thickness <= CLEAR) return ground * Math.exp(-2 * K * thickness);
  const a = 1 + K / S;
  const b = Math.sqrt(a * a - 1);
  const depth = b * S * thickness;
  if (depth > THICK) return a - b;
  // Without absorption b·coth(b·S·X) tends to 1 / (S·X).
  const slope = b < 1e-7 ? 1 / (S * thickness) : b / Math.tanh(depth);
  return (1 - ground * (a - slope)) / (a - ground + slope);
}

/** What the eye gets of a reflectance inside the paint, through the surface: Saunderson's correction. */
export function throughSurface(inside: number): number {
  return (
    FRONT_TO_EYE * FRONT_REFLECTION +
    ((1 - FRONT_REFLECTION) * (1 - INNER_REFLECTION) * inside) / (1 - INNER_REFLECTION * inside)
  );
}

/** How fast what the eye gets rises with the reflectance inside: the derivative of `throughSurface`. */
export function slopeAtSurface(inside: number): number {
  const left = 1 - INNER_REFLECTION * inside;
  return ((1 - FRONT_REFLECTION) * (1 - INNER_REFLECTION)) / (left * left);
}

/** The reflectance inside that the eye gets as this; the inverse of `throughSurface`, bounded to 0–1. */
export function belowSurface(outside: number): number {
  const light = outside - FRONT_TO_EYE * FRONT_REFLECTION;
  const inside =
    light / ((1 - FRONT_REFLECTION) * (1 - INNER_REFLECTION) + INNER_REFLECTION * light);
  return Math.min(1, Math.max(0, inside));
}
