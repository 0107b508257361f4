import { byteOfLinear } from '../colour/srgb';
import { chromaRoom, leastChromaRoom, lightnessFor } from './chroma-room';

/**
 * Writes the colour with these a and b and the luminance of a grey (its lightness, the cube root of Y) as bytes of a
 * picture; where sRGB has no such chroma at that luminance there is less of it. `near` is a lightness not far from its own.
 */
export function writeBytesAtGrey(
  grey: number,
  near: number,
  a: number,
  b: number,
  out: Uint8ClampedArray,
  at: number,
): void {
  const squared = a * a + b * b;
  const sure = leastChromaRoom(grey);
  if (squared > sure * sure) {
    const chroma = Math.sqrt(squared);
    const room = chromaRoom(grey, Math.atan2(b, a));
    if (chroma > room) {
      a *= room / chroma;
      b *= room / chroma;
    }
  }
  const L = lightnessFor(grey * grey * grey, a, b, near);
  const l = L + 0.3963377774 * a + 0.2158037573 * b;
  const m = L - 0.1055613458 * a - 0.0638541728 * b;
  const s = L - 0.0894841775 * a - 1.291485548 * b;
  const [long, medium, short] = [l * l * l, m * m * m, s * s * s];
  out[at] = byteOfLinear(4.0767416621 * long - 3.3077115913 * medium + 0.2309699292 * short);
  out[at + 1] = byteOfLinear(-1.2684380046 * long + 2.6097574011 * medium - 0.3413193965 * short);
  out[at + 2] = byteOfLinear(-0.0041960863 * long - 0.7034186147 * medium + 1.707614701 * short);
}
