import type { Oklch } from './oklab';
import { maxChroma } from './gamut';

export const INTENSITY_WORDS = [
  'neutral',
  'greyed',
  'dull',
  'moderate',
  'strong',
  'vivid',
] as const;
export type IntensityWord = (typeof INTENSITY_WORDS)[number];

/** Where the words part, in OKLCH chroma. */
export const INTENSITY_LIMITS = [0.02, 0.04, 0.08, 0.13, 0.19];

/** Under this OKLCH chroma a colour is a neutral that only leans toward a family. */
export const NEUTRAL_CHROMA = INTENSITY_LIMITS[0];

/** The word for an OKLCH chroma: neutral under 0.02, greyed 0.04, dull 0.08, moderate 0.13, strong 0.19, then vivid. */
export function intensityWord(chroma: number): IntensityWord {
  return INTENSITY_WORDS[INTENSITY_LIMITS.filter((limit) => chroma >= limit).length];
}

/** Chroma as a share (0–1) of the most that sRGB can show at that lightness and hue. */
export function intensityShare({ L, C, h }: Oklch): number {
  const most = maxChroma(L, h);
  return most < 1e-6 ? 0 : Math.min(1, C / most);
}
