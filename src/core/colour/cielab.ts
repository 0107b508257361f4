import { linearFromOklab, oklabFromLinear, type Oklab } from './oklab';
import { luminance, type Rgb } from './srgb';

/** CIELAB under D65, 2° observer: L* 0–100. Source: CIE 15:2018. */
export interface Lab {
  L: number;
  a: number;
  b: number;
}

// The white is the row sums of the sRGB matrix, so that a grey has a* = b* = 0 exactly.
const WHITE_X = 0.9504559270516716;
const WHITE_Z = 1.0890577507598784;
const EPSILON = 216 / 24389;
const KAPPA = 24389 / 27;

function curve(t: number): number {
  return t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116;
}

/** Relative X, Y or Z of CIELAB's f. */
export function uncurve(f: number): number {
  const cube = f ** 3;
  return cube > EPSILON ? cube : (116 * f - 16) / KAPPA;
}

/** Linear sRGB to CIELAB, written into `out` at `at` (three floats). */
export function writeLab(
  r: number,
  g: number,
  b: number,
  out: Float32Array | Float64Array,
  at: number,
): void {
  const x = curve(
    (0.41239079926595934 * r + 0.357584339383878 * g + 0.1804807884018343 * b) / WHITE_X,
  );
  const y = curve(luminance(r, g, b));
  const z = curve(
    (0.01933081871559182 * r + 0.11919477979462598 * g + 0.9505321522496607 * b) / WHITE_Z,
  );
  out[at] = 116 * y - 16;
  out[at + 1] = 500 * (x - y);
  out[at + 2] = 200 * (y - z);
}

/** OKLab to CIELAB by way of linear sRGB. */
export function labFromOklab(colour: Oklab): Lab {
  const { r, g, b } = linearFromOklab(colour);
  const out = new Float64Array(3);
  writeLab(r, g, b, out, 0);
  return { L: out[0], a: out[1], b: out[2] };
}

/** CIELAB to linear sRGB; channels fall outside 0–1 where the colour is out of gamut. */
export function linearFromLab({ L, a, b }: Lab): Rgb {
  const y = (L + 16) / 116;
  const X = WHITE_X * uncurve(y + a / 500);
  const Y = uncurve(y);
  const Z = WHITE_Z * uncurve(y - b / 200);
  return linearFromXyz(X, Y, Z);
}

/** XYZ (D65, the white's Y being 1) to linear sRGB. */
export function linearFromXyz(X: number, Y: number, Z: number): Rgb {
  return {
    r: 3.240969941904521 * X - 1.537383177570093 * Y - 0.498610760293 * Z,
    g: -0.96924363628087 * X + 1.87596750150772 * Y + 0.041555057407175 * Z,
    b: 0.055630079696993 * X - 0.20397695888897 * Y + 1.056971514242878 * Z,
  };
}

/** CIELAB to OKLab by way of linear sRGB. */
export function oklabFromLab(lab: Lab): Oklab {
  return oklabFromLinear(linearFromLab(lab));
}

/** L* (0–100) of a relative luminance Y (0–1). */
export function lightnessFromLuminance(Y: number): number {
  return 116 * curve(Y) - 16;
}

/** Relative luminance Y (0–1) of an L* (0–100). */
export function luminanceFromLightness(L: number): number {
  return uncurve((L + 16) / 116);
}
