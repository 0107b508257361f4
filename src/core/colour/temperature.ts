import type { Oklab } from './oklab';

const WARM_HUE = (55 * Math.PI) / 180;
/** The direction in a, b in which colours grow warmer. */
export const WARM_AXIS = [Math.cos(WARM_HUE), Math.sin(WARM_HUE)] as const;

/**
 * How warm (+) or cool (−) a colour is, −3 to 3: OKLab a and b projected on the axis from hue 55°
 * to 235°, in units of 0.10. Only differences mean anything: "the shadow is cooler by 0.8".
 */
export function temperature({ a, b }: Pick<Oklab, 'a' | 'b'>): number {
  const along = (a * WARM_AXIS[0] + b * WARM_AXIS[1]) / 0.1;
  return Math.min(3, Math.max(-3, along));
}

export const TEMPERATURE_WORDS = ['cool', 'between', 'warm'] as const;
export type TemperatureWord = (typeof TEMPERATURE_WORDS)[number];

/** Nearer to 0 than this, a colour is called neither warm nor cool. */
export const BETWEEN_TEMPERATURE = 0.15;

export function temperatureWord(warmth: number): TemperatureWord {
  if (Math.abs(warmth) < BETWEEN_TEMPERATURE) return 'between';
  return warmth > 0 ? 'warm' : 'cool';
}
