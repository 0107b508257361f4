import { luminance } from './srgb';

/**
 * DIN99d, a space in which plain distance follows small colour differences as CIEDE2000 sees them
 * much better than in CIELAB, at the cost of a few logarithms per colour and none per pair. We use
 * it to find which of many colours is nearest before CIEDE2000 settles it.
 * Source: G. Cui, M. R. Luo, B. Rigg, G. Roesler, K. Witt, "Uniform colour spaces based on the
 * DIN99 colour-difference formula", Color Research & Application 27(4), 2002.
 */
const TURN = (50 * Math.PI) / 180;
const COS = Math.cos(TURN);
const SIN = Math.sin(TURN);
const WHITE_X = 0.9504559270516716;
const WHITE_Z = 1.0890577507598784;
const EPSILON = 216 / 24389;
const KAPPA = 24389 / 27;

function curve(t: number): number {
  return t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116;
}

/** Linear sRGB to DIN99d (L 0–100), written into `out` at `at` (three floats). */
export function writeDin99d(r: number, g: number, b: number, out: Float64Array, at: number): void {
  const X = 0.41239079926595934 * r + 0.357584339383878 * g + 0.1804807884018343 * b;
  const Y = luminance(r, g, b);
  const Z = 0.01933081871559182 * r + 0.11919477979462598 * g + 0.9505321522496607 * b;
  const x = curve((1.12 * X - 0.12 * Z) / (1.12 * WHITE_X - 0.12 * WHITE_Z));
  const y = curve(Y);
  const z = curve(Z / WHITE_Z);
  const L = 116 * y - 16;
  const A = 500 * (x - y);
  const B = 200 * (y - z);
  const e = A * COS + B * SIN;
  const f = 1.14 * (B * COS - A * SIN);
  const G = Math.sqrt(e * e + f * f);
  const C = 22.5 * Math.log(1 + 0.06 * G);
  const scale = G < 1e-12 ? 0 : C / G;
  // The turn back by 50° is left out: it changes no distance.
  out[at] = 325.22 * Math.log(1 + 0.0036 * L);
  out[at + 1] = e * scale;
  out[at + 2] = f * scale;
}
