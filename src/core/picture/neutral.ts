import { linearFromOklab, type Oklab } from '../colour/oklab';
import {
  BLUE_LUMINANCE,
  byteOfLinear,
  GREEN_LUMINANCE,
  LINEAR_OF_BYTE,
  luminance,
  RED_LUMINANCE,
} from '../colour/srgb';
import { OPAQUE, type Picture } from './picture';

/** Three rows of three, for linear sRGB. */
export type Matrix = readonly number[];

const XYZ_OF_RGB: Matrix = [
  0.41239079926595934,
  0.357584339383878,
  0.1804807884018343,
  RED_LUMINANCE,
  GREEN_LUMINANCE,
  BLUE_LUMINANCE,
  0.01933081871559182,
  0.11919477979462598,
  0.9505321522496607,
];
/** Bradford cone response. Source: K. M. Lam, thesis, University of Bradford, 1985; ICC.1:2010 annex E. */
const CONES_OF_XYZ: Matrix = [
  0.8951, 0.2664, -0.1614, -0.7502, 1.7135, 0.0367, 0.0389, -0.0685, 1.0296,
];
const CONES_OF_RGB = multiply(CONES_OF_XYZ, XYZ_OF_RGB);
const RGB_OF_CONES = invert(CONES_OF_RGB);

/**
 * The linear-sRGB matrix that turns `cast`, the colour of something that ought to be grey, into the
 * grey of its own luminance (von Kries scaling of Bradford cones).
 * Throws a RangeError when the colour is too dark to say anything about the light.
 */
export function neutralMatrix(cast: Oklab): Matrix {
  const { r, g, b } = linearFromOklab(cast);
  const Y = luminance(r, g, b);
  if (Y < 0.002) throw new RangeError('too dark to take a neutral from');
  const from = apply(CONES_OF_RGB, r, g, b);
  const to = apply(CONES_OF_RGB, Y, Y, Y);
  const scale = to.map((cone, i) => cone / Math.max(from[i], 1e-6));
  const scaled = CONES_OF_RGB.map((entry, i) => entry * scale[Math.floor(i / 3)]);
  return multiply(RGB_OF_CONES, scaled);
}

/**
 * A copy of the picture with the cast taken out. What leaves the gamut is drawn toward the grey of
 * its own luminance until it fits, so that no channel is clipped and values stay.
 */
export function takeOutCast(picture: Picture, cast: Oklab): Picture {
  const [rr, rg, rb, gr, gg, gb, br, bg, bb] = neutralMatrix(cast);
  const { width, height, data } = picture;
  const out = new Uint8ClampedArray(data.length);
  for (let i = 0; i < data.length; i += 4) {
    if (data[i + 3] < OPAQUE) continue;
    const r0 = LINEAR_OF_BYTE[data[i]];
    const g0 = LINEAR_OF_BYTE[data[i + 1]];
    const b0 = LINEAR_OF_BYTE[data[i + 2]];
    const r = rr * r0 + rg * g0 + rb * b0;
    const g = gr * r0 + gg * g0 + gb * b0;
    const b = br * r0 + bg * g0 + bb * b0;
    const Y = Math.min(1, Math.max(0, luminance(r, g, b)));
    const most = Math.max(r, g, b);
    const least = Math.min(r, g, b);
    let keep = 1;
    if (most > 1) keep = (1 - Y) / (most - Y);
    if (least < 0) keep = Math.min(keep, Y / (Y - least));
    out[i] = byteOfLinear(Y + (r - Y) * keep);
    out[i + 1] = byteOfLinear(Y + (g - Y) * keep);
    out[i + 2] = byteOfLinear(Y + (b - Y) * keep);
    out[i + 3] = data[i + 3];
  }
  return { width, height, data: out };
}

function apply(m: Matrix, x: number, y: number, z: number): number[] {
  return [0, 3, 6].map((row) => m[row] * x + m[row + 1] * y + m[row + 2] * z);
}

function multiply(one: Matrix, other: Matrix): Matrix {
  return Array.from({ length: 9 }, (_, i) => {
    const row = Math.floor(i / 3) * 3;
    const column = i % 3;
    return [0, 1, 2].reduce((sum, k) => sum + one[row + k] * other[k * 3 + column], 0);
  });
}

function invert(m: Matrix): Matrix {
  const minor = (a: number, b: number, c: number, d: number) => m[a] * m[d] - m[b] * m[c];
  const cofactors = [
    minor(4, 5, 7, 8),
    -minor(1, 2, 7, 8),
    minor(1, 2, 4, 5),
    -minor(3, 5, 6, 8),
    minor(0, 2, 6, 8),
    -minor(0, 2, 3, 5),
    minor(3, 4, 6, 7),
    -minor(0, 1, 6, 7),
    minor(0, 1, 3, 4),
  ];
  const determinant = m[0] * cofactors[0] + m[1] * cofactors[3] + m[2] * cofactors[6];
  return cofactors.map((entry) => entry / determinant);
}
