import { atValue } from '../colour/at-value';
import { maxChroma } from '../colour/gamut';
import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';

export const MIN_STEPS = 3;
export const MAX_STEPS = 11;

export interface LadderSettings {
  /** 3 to 11 tones. */
  steps: number;
  /** Munsell values of the darkest and the lightest. */
  from: number;
  to: number;
  /** Degrees that the hue has turned five values up (toward warm) and down (toward cool); below 0 the reverse. */
  drift: number;
  /** Degrees that all of it has swung from the hue it began with. */
  swing: number;
  /** Chroma against the first colour's share of the most there is: 1 keeps it, 0 is grey. */
  intensity: number;
  /** How much duller the ends are than the middle: 0 follows the gamut alone, 1 lets them go grey. */
  taper: number;
}

export const DEFAULT_LADDER: LadderSettings = {
  steps: 5,
  from: 2,
  to: 9,
  drift: 0,
  swing: 0,
  intensity: 1,
  taper: 0,
};

/** The poles of temperature, OKLCH degrees. */
const WARM = 55;
const DRIFT_OVER = 5;

/**
 * Tones of one colour from dark to light at even steps of Munsell value. Each has the colour's own
 * share of the chroma that sRGB holds at its lightness and hue, so that chroma follows the gamut's
 * shape; with a drift the lights turn toward warm and the darks toward cool.
 */
export function ladder(colour: Oklab, settings: LadderSettings): Oklab[] {
  const { steps, from, to, drift, swing, intensity, taper } = settings;
  if (!Number.isInteger(steps) || steps < MIN_STEPS || steps > MAX_STEPS)
    throw new RangeError(`${steps} steps; a ladder has ${MIN_STEPS} to ${MAX_STEPS}`);
  const { L, C, h } = oklchFromOklab(colour);
  const most = maxChroma(L, h);
  const strength = most > 0 ? Math.min(1, C / most) * intensity : 0;
  const base = valueOfOklab(colour);
  const half = Math.max(0.5, (to - from) / 2);
  return Array.from({ length: steps }, (_, step) => {
    const value = from + ((to - from) * step) / (steps - 1);
    const fall = 1 - taper * Math.min(1, Math.abs(value - (from + to) / 2) / half) ** 2;
    const hue = turnedTo(h + swing, WARM, (drift * (value - base)) / DRIFT_OVER);
    return atValue(value, hue, (lightness) => strength * fall * maxChroma(lightness, hue));
  });
}

/** A hue turned by degrees toward a pole on the shorter way, no further than to it (or, below 0, to its opposite). */
export function turnedTo(hue: number, pole: number, by: number): number {
  const target = by < 0 ? pole + 180 : pole;
  const way = ((((target - hue) % 360) + 540) % 360) - 180;
  return hue + Math.sign(way) * Math.min(Math.abs(way), Math.abs(by));
}
