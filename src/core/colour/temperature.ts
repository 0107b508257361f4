import type { Oklab } from './oklab';

const WARM_HUE = (55 * Math.PI) / 180;
const WARM_A = Math.cos(WARM_HUE);
const WARM_B = Math.sin(WARM_HUE);

/**
 * How warm (+) or cool (−) a colour is, −3 to 3: OKLab a and b projected on the axis from hue 55°
 * to 235°, in units of 0.10. Only differences mean anything: "the shadow is cooler by 0.8".
 */
export function temperature({ a, b }: Pick<Oklab, 'a' | 'b'>): number {
  const along = (a * WARM_A + b * WARM_B) / 0.1;
  return Math.min(3, Math.max(-3, along));
}
