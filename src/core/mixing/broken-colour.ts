import { spectrumOf, type Spectrum } from './spectrum';

/** The most of a ground that shows through paint that is dragged over it. */
export const MAX_SHOWING = 1 / 3;

/** What the eye makes of paint with a share (0–1) of its ground showing through: light adds up. */
export function brokenOver(paint: Spectrum, ground: Spectrum, showing: number): Spectrum {
  return spectrumOf((_, band) => (1 - showing) * paint[band] + showing * ground[band]);
}
