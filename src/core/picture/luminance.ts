import { BLUE_LUMINANCE, GREEN_LUMINANCE, LINEAR_OF_BYTE, RED_LUMINANCE } from '../colour/srgb';

/** Luminance in whole steps of 1/65535, for loops over pixels that look values up by it. */
const LUMINANCE_STEPS = 65535;

const partOf = (weight: number) =>
  Float64Array.from(LINEAR_OF_BYTE, (linear) => linear * weight * LUMINANCE_STEPS);

/** What each channel's byte gives to a pixel's luminance step; as for `luminance`. */
export const RED_PART = partOf(RED_LUMINANCE);
export const GREEN_PART = partOf(GREEN_LUMINANCE);
export const BLUE_PART = partOf(BLUE_LUMINANCE);

/** A table over all luminance steps. `of` is given Y, 0–1. */
export function byLuminance<T extends Uint8Array | Uint16Array | Float32Array>(
  table: { from: (source: { length: number }, map: (_: unknown, step: number) => number) => T },
  of: (Y: number) => number,
): T {
  return table.from({ length: LUMINANCE_STEPS + 1 }, (_, step) => of(step / LUMINANCE_STEPS));
}
