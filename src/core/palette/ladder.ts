import { atValue } from '../colour/at-value';
import { maxChroma, toGamut } from '../colour/gamut';
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
  /** How much duller the ends are than the colour itself: 0 follows the gamut alone, 1 lets them go grey. */
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
 * Tones of one colour from dark to light, one of them at the colour's own Munsell value and the others at even steps
 * on either side of it. Each has the colour's own share of the chroma that sRGB holds at its lightness and hue, so
 * that chroma follows the gamut's shape; with a drift the lights turn toward warm and the darks toward cool.
 */
export function ladder(colour: Oklab, settings: LadderSettings): Oklab[] {
  const { drift, swing, intensity, taper } = settings;
  const { L, C, h } = oklchFromOklab(colour);
  const most = maxChroma(L, h);
  const strength = most > 0 ? Math.min(1, C / most) * intensity : 0;
  const base = valueOfOklab(colour);
  const values = ladderValues(base, settings);
  const farthest = Math.max(0.5, ...values.map((value) => Math.abs(value - base)));
  return values.map((value) => {
    if (value === base && swing === 0 && intensity === 1) return toGamut(colour);
    const fall = 1 - taper * (Math.abs(value - base) / farthest) ** 2;
    const hue = turnedTo(h + swing, WARM, (drift * (value - base)) / DRIFT_OVER);
    return atValue(value, hue, (lightness) => strength * fall * maxChroma(lightness, hue));
  });
}

/**
 * A colour at another Munsell value as its ladder has it: with its own share of the chroma that sRGB holds there, and never
 * with more chroma than it has itself.
 */
export function onLadder(colour: Oklab, value: number): Oklab {
  const { L, C, h } = oklchFromOklab(colour);
  const most = maxChroma(L, h);
  const share = most > 0 ? Math.min(1, C / most) : 0;
  return atValue(value, h, (lightness) => Math.min(C, share * maxChroma(lightness, h)));
}

/**
 * Munsell values of a ladder's tones: the nearest of the even ones becomes the colour's own, the others are spread
 * anew between it and the ends. A colour beyond an end takes the end's place.
 */
export function ladderValues(
  base: number,
  { steps, from, to }: Pick<LadderSettings, 'steps' | 'from' | 'to'>,
): number[] {
  if (!Number.isInteger(steps) || steps < MIN_STEPS || steps > MAX_STEPS)
    throw new RangeError(`${steps} steps; a ladder has ${MIN_STEPS} to ${MAX_STEPS}`);
  const last = steps - 1;
  const own = Math.min(last, Math.max(0, Math.round(((base - from) / (to - from)) * last)));
  return Array.from({ length: steps }, (_, step) => {
    if (step === own) return base;
    return step < own
      ? from + ((base - from) * step) / own
      : base + ((to - base) * (step - own)) / (last - own);
  });
}

/** A hue turned by degrees toward a pole on the shorter way, no further than to it (or, below 0, to its opposite). */
export function turnedTo(hue: number, pole: number, by: number): number {
  const target = by < 0 ? pole + 180 : pole;
  const way = ((((target - hue) % 360) + 540) % 360) - 180;
  return hue + Math.sign(way) * Math.min(Math.abs(way), Math.abs(by));
}
