import { linearFromOklab, type Oklab } from './oklab';
import { luminance } from './srgb';

/**
 * Munsell value, 0 (black) to 10 (white), from luminance.
 * Source: ASTM D1535-14, the quintic in the form in which Y = 100 is V = 10, inverted numerically.
 */
export function luminanceOfValue(value: number): number {
  const v = value;
  return (v * (1.1914 + v * (-0.22533 + v * (0.23352 + v * (-0.020484 + v * 0.00081939))))) / 100;
}

/** Munsell value (0–10) of a relative luminance Y (0–1); luminance outside 0–1 is bounded first. */
export function valueOfLuminance(Y: number): number {
  if (Y <= 0) return 0;
  if (Y >= 1) return 10;
  let low = 0;
  let high = 10;
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2;
    if (luminanceOfValue(middle) < Y) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

export function valueOfOklab(colour: Oklab): number {
  const { r, g, b } = linearFromOklab(colour);
  return valueOfLuminance(luminance(r, g, b));
}

const TABLE_STEPS = 8192;

/** Value against the square root of Y, whose curve is gentle enough near black to interpolate on. */
const VALUE_OF_ROOT: Float32Array = Float32Array.from({ length: TABLE_STEPS + 2 }, (_, step) =>
  valueOfLuminance((step / TABLE_STEPS) ** 2),
);

/** `valueOfLuminance` by table for loops over pixels; within 0.001 of it. */
export function quickValueOfLuminance(Y: number): number {
  const position = Math.sqrt(Y < 0 ? 0 : Y > 1 ? 1 : Y) * TABLE_STEPS;
  const step = position | 0;
  const low = VALUE_OF_ROOT[step];
  return low + (VALUE_OF_ROOT[step + 1] - low) * (position - step);
}

export const VALUE_WORDS = ['very dark', 'dark', 'middle', 'light', 'very light'] as const;
export type ValueWord = (typeof VALUE_WORDS)[number];

const VALUE_WORD_LIMITS = [2.5, 4.5, 6.5, 8.5];

/** Very dark, dark, middle, light or very light, parting at Munsell 2.5, 4.5, 6.5 and 8.5. */
export function valueWord(value: number): ValueWord {
  return VALUE_WORDS[VALUE_WORD_LIMITS.filter((limit) => value >= limit).length];
}
