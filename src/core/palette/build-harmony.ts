import { atValue } from '../colour/at-value';
import { maxChroma } from '../colour/gamut';
import { oklchHueOn } from '../colour/wheel-hue';
import { familyOfHue, hueAtPosition, wheelPosition, type Wheel } from '../colour/wheel';
import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import type { SchemeName } from '../measure/harmony';
import { DEFAULT_LADDER, ladder, ladderValues, MIN_STEPS } from './ladder';

/** Where a scheme's hues stand from the key, in families round the wheel. */
export const OFFSETS: Record<SchemeName, readonly number[]> = {
  monochrome: [0, 0, 0],
  analogous: [0, -1, 1],
  'analogous with opposite accent': [0, -1, 1, 6],
  complement: [0, 6],
  'split complement': [0, 5, 7],
  triad: [0, 4, 8],
  tetrad: [0, 3, 6, 9],
  'warm against cool': [0, 1, 6, 7],
};

export interface HarmonySettings {
  scheme: SchemeName;
  /** Munsell values, the key's first; they are taken in turn and begin again where there are more hues. */
  values: readonly number[];
  /** Share of the most that sRGB holds at each value and hue, 0–1; of each hue, and of those not named there. */
  intensities: readonly number[];
  intensity: number;
  /** Whether the key stands in it as it is, turned at most; else it has a value and an intensity like the others. */
  keepsKey: boolean;
  /** How many tones of the key there are: with more than one, those of a ladder come after the hues. */
  tones: number;
  /** Families that all hues, and each by itself, have been turned. */
  turn: number;
  turns: readonly number[];
}

/** Colours that one can use: never at full strength by themselves. */
export const DEFAULT_INTENSITY = 0.45;

/** Hues of the screen's wheel are sought among colours of this share of the most there is. */
const SOUGHT_AT = 0.6;

/** Munsell values from dark to light, the ends left to the light and the dark of the picture. */
export function evenValues(count: number): number[] {
  return Array.from({ length: count }, (_, i) => (count === 1 ? 5 : 3 + (5 * i) / (count - 1)));
}

/**
 * The colours of a scheme about a key colour on a wheel, the key's first, and then further tones of the key. Only hues
 * come from the scheme; values come from a plan, and intensity is a share of what each value and hue can hold. A key
 * that is grey has the hue that it leans to.
 */
export function buildHarmony(key: Oklab, settings: HarmonySettings, wheel: Wheel): Oklab[] {
  const { scheme, values, intensity, intensities, keepsKey, tones, turn, turns } = settings;
  const from = wheelPosition(wheel.hueOf(key), wheel);
  const hueAt = (position: number, value: number) =>
    oklchHueOn(hueAtPosition(position, wheel), wheel, (h) =>
      atValue(value, h, (L) => SOUGHT_AT * maxChroma(L, h)),
    );
  const hues = OFFSETS[scheme].map((offset, i) => {
    const by = offset + turn + (turns[i] ?? 0);
    if (i === 0 && keepsKey)
      return by === 0 ? key : withHue(key, hueAt(from + by, valueOfOklab(key)));
    const value = values[i % values.length];
    const hue = hueAt(from + by, value);
    return atValue(value, hue, (L) => (intensities[i] ?? intensity) * maxChroma(L, hue));
  });
  if (tones < MIN_STEPS) return hues;
  const own = valueOfOklab(hues[0]);
  const settingsOfTones = { ...DEFAULT_LADDER, steps: tones };
  const at = ladderValues(own, settingsOfTones).indexOf(own);
  return [...hues, ...ladder(hues[0], settingsOfTones).toSpliced(at, 1)];
}

/** A colour at another hue, its value and chroma held as far as sRGB holds them. */
function withHue(colour: Oklab, hue: number): Oklab {
  const { C } = oklchFromOklab(colour);
  return atValue(valueOfOklab(colour), hue, () => C);
}

/** The family that each hue of a scheme comes to stand in. */
export function schemeFamilies(key: Oklab, { scheme, turn, turns }: HarmonySettings, wheel: Wheel) {
  const from = wheelPosition(wheel.hueOf(key), wheel);
  return OFFSETS[scheme].map(
    (offset, i) =>
      familyOfHue(hueAtPosition(from + offset + turn + (turns[i] ?? 0), wheel), wheel).name,
  );
}
