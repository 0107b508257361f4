import { linearFromOklab } from '../../src/core/colour/oklab';
import { lch } from '../painter/plate';
import type { Light } from './world';

/** A paint of the world, by lightness, chroma and hue. */
export function paint(L: number, C: number, h: number): Light {
  const { r, g, b } = linearFromOklab(lch(L, C, h));
  return [r, g, b];
}

export function dimmed([r, g, b]: Light, by: number): Light {
  return [r * by, g * by, b * by];
}

export function mixedLight(one: Light, other: Light, t: number): Light {
  return [
    one[0] + (other[0] - one[0]) * t,
    one[1] + (other[1] - one[1]) * t,
    one[2] + (other[2] - one[2]) * t,
  ];
}
