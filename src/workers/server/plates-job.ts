import { halftoned, SCREEN_ANGLES } from '@/core/mixing/halftone';
import type { Inks } from '@/core/mixing/inks';
import { flatPlatesOf, platesOf } from '@/core/mixing/plates';
import { develop, type Development } from '@/core/picture/develop';
import type { Picture } from '@/core/picture/picture';
import type { PlateKind } from '@/contracts/plates-request';

/** A picture to be made into plates. */
export interface PlatesJob {
  picture: Picture;
  development: Development;
  set: Inks;
  kind: PlateKind;
  ruling: number;
  /** Dots of the device to an inch, and the print's width in inches. */
  dpi: number;
  inches: number;
}

export interface MadePlates {
  /** Of each plate, a byte a pixel: 255 where its ink lies. */
  width: number;
  height: number;
  plates: Uint8Array[];
  proof: Picture;
}

/** Dots of one plate: more would take gigabytes. */
const MAX_DOTS = 80_000_000;

/**
 * Plates of tones, of dots in the print's own size, or without tone; the proof is of the tones that the dots stand for.
 * Throws a RangeError for a print of more dots than `MAX_DOTS`.
 */
export function platesJob(job: PlatesJob): MadePlates {
  const { set, kind, ruling, dpi, inches } = job;
  const picture = develop(job.picture, job.development);
  const made = kind === 'flat' ? flatPlatesOf(set, picture) : platesOf(set, picture);
  if (kind !== 'screened') return made;
  const width = Math.round(inches * dpi);
  const height = Math.max(1, Math.round((width * picture.height) / picture.width));
  if (width * height > MAX_DOTS)
    throw new RangeError(
      'A screened print of this size has more dots than fit into memory. Nothing was made; choose a narrower one.',
    );
  return {
    width,
    height,
    plates: made.plates.map((plate, i) =>
      halftoned(plate, made, { width, height, dpi }, { ruling, angle: SCREEN_ANGLES[i] }),
    ),
    proof: made.proof,
  };
}
