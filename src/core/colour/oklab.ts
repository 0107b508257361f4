import { cubeRoot } from './cube-root';
import { toEncoded, toLinear, type Rgb } from './srgb';

/** OKLab: L 0–1, a and b about −0.4 to 0.4. Source: B. Ottosson, "A perceptual color space for image processing", 2020. */
export interface Oklab {
  L: number;
  a: number;
  b: number;
}

/** OKLab in polar form: chroma C from 0, hue h in degrees, 0 ≤ h < 360. */
export interface Oklch {
  L: number;
  C: number;
  h: number;
}

/**
 * Linear sRGB to OKLab, written into `out` at `at` (three floats) so that loops over pixels allocate
 * nothing; its cube roots are read from a table, within 2e-6 of `oklabFromLinear`.
 */
export function writeOklab(
  r: number,
  g: number,
  b: number,
  out: Float32Array | Float64Array,
  at: number,
): void {
  const l = longRoot(r, g, b);
  const m = mediumRoot(r, g, b);
  const s = shortRoot(r, g, b);
  out[at] = lightnessOf(l, m, s);
  out[at + 1] = aOf(l, m, s);
  out[at + 2] = bOf(l, m, s);
}

/** Cube roots of what the three kinds of cones make of linear sRGB, from a table: each a number, so that a loop over pixels writes none of them down. */
export const longRoot = (r: number, g: number, b: number): number =>
  cubeRoot(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
export const mediumRoot = (r: number, g: number, b: number): number =>
  cubeRoot(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
export const shortRoot = (r: number, g: number, b: number): number =>
  cubeRoot(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
/** OKLab from those cube roots. */
export const lightnessOf = (l: number, m: number, s: number): number =>
  0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s;
export const aOf = (l: number, m: number, s: number): number =>
  1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s;
export const bOf = (l: number, m: number, s: number): number =>
  0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s;

/** Linear sRGB to OKLab. */
export function oklabFromLinear({ r, g, b }: Rgb): Oklab {
  const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
  const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
  const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
  return { L: lightnessOf(l, m, s), a: aOf(l, m, s), b: bOf(l, m, s) };
}

/** Encoded sRGB (0–1) to OKLab. */
export function oklabFromRgb(colour: Rgb): Oklab {
  return oklabFromLinear({
    r: toLinear(colour.r),
    g: toLinear(colour.g),
    b: toLinear(colour.b),
  });
}

/** OKLab to linear sRGB; channels fall outside 0–1 where the colour is out of gamut. */
export function linearFromOklab({ L, a, b }: Oklab): Rgb {
  const l = (L + 0.3963377774 * a + 0.2158037573 * b) ** 3;
  const m = (L - 0.1055613458 * a - 0.0638541728 * b) ** 3;
  const s = (L - 0.0894841775 * a - 1.291485548 * b) ** 3;
  return {
    r: 4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s,
    g: -1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s,
    b: -0.0041960863 * l - 0.7034186147 * m + 1.707614701 * s,
  };
}

/** OKLab to encoded sRGB, unbounded: bring the colour into gamut first where bytes are wanted. */
export function rgbFromOklab(colour: Oklab): Rgb {
  const linear = linearFromOklab(colour);
  return { r: toEncoded(linear.r), g: toEncoded(linear.g), b: toEncoded(linear.b) };
}

/** Polar form. The hue of a colour with no chroma is 0, by convention. */
export function oklchFromOklab({ L, a, b }: Oklab): Oklch {
  const C = Math.hypot(a, b);
  if (C < 1e-9) return { L, C: 0, h: 0 };
  const h = (Math.atan2(b, a) * 180) / Math.PI;
  return { L, C, h: h < 0 ? h + 360 : h };
}

export function oklabFromOklch({ L, C, h }: Oklch): Oklab {
  const angle = (h * Math.PI) / 180;
  return { L, a: C * Math.cos(angle), b: C * Math.sin(angle) };
}

/** Euclidean distance in OKLab. */
export function oklabDistance(one: Oklab, other: Oklab): number {
  return Math.hypot(one.L - other.L, one.a - other.a, one.b - other.b);
}
