import { hexFromOklab } from '../../src/core/colour/hex';
import { inGamut, maxChroma } from '../../src/core/colour/gamut';
import {
  oklabFromOklch,
  oklchFromOklab,
  rgbFromOklab,
  type Oklab,
} from '../../src/core/colour/oklab';
import { writeOklab } from '../../src/core/colour/oklab';
import { LINEAR_OF_BYTE } from '../../src/core/colour/srgb';

/** A picture of OKLab floats, three a pixel: what is painted on, and what is painted from. */
export interface Plate {
  width: number;
  height: number;
  data: Float32Array;
}

export function plateOf(width: number, height: number): Plate {
  return { width, height, data: new Float32Array(width * height * 3) };
}

export function copyPlate({ width, height, data }: Plate): Plate {
  return { width, height, data: data.slice() };
}

/** From RGB or RGBA bytes. */
export function plateFromBytes(
  width: number,
  height: number,
  bytes: Uint8Array,
  channels: number,
): Plate {
  const plate = plateOf(width, height);
  for (let p = 0; p < width * height; p++) {
    const i = p * channels;
    writeOklab(
      LINEAR_OF_BYTE[bytes[i]],
      LINEAR_OF_BYTE[bytes[i + 1]],
      LINEAR_OF_BYTE[bytes[i + 2]],
      plate.data,
      p * 3,
    );
  }
  return plate;
}

/** To RGB bytes; what leaves the gamut loses chroma. */
export function bytesOfPlate({ width, height, data }: Plate): Uint8Array {
  const bytes = new Uint8Array(width * height * 3);
  for (let i = 0; i < data.length; i += 3) {
    let colour: Oklab = { L: Math.min(1, Math.max(0, data[i])), a: data[i + 1], b: data[i + 2] };
    if (!inGamut(colour)) {
      const { L, C, h } = oklchFromOklab(colour);
      colour = oklabFromOklch({ L, C: Math.min(C, maxChroma(L, h)), h });
    }
    const { r, g, b } = rgbFromOklab(colour);
    bytes[i] = Math.round(Math.min(1, Math.max(0, r)) * 255);
    bytes[i + 1] = Math.round(Math.min(1, Math.max(0, g)) * 255);
    bytes[i + 2] = Math.round(Math.min(1, Math.max(0, b)) * 255);
  }
  return bytes;
}

/** A colour by value words of its maker: lightness, chroma, hue. */
export function lch(L: number, C: number, h: number): Oklab {
  return oklabFromOklch({ L, C: Math.min(C, maxChroma(L, h)), h });
}

/** The same as a hex, for shapes. */
export function hex(L: number, C: number, h: number): string {
  return hexFromOklab(oklabFromOklch({ L, C, h }));
}

/** Lays a colour over one pixel (`at` its first float). */
export function lay(plate: Plate, at: number, colour: Oklab, strength: number): void {
  const { data } = plate;
  data[at] += (colour.L - data[at]) * strength;
  data[at + 1] += (colour.a - data[at + 1]) * strength;
  data[at + 2] += (colour.b - data[at + 2]) * strength;
}

/** Goes over every pixel: x and y as fractions of the plate's width and height. */
export function overall(plate: Plate, touch: (x: number, y: number, at: number) => void): void {
  const { width, height } = plate;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      touch((x + 0.5) / width, (y + 0.5) / height, (y * width + x) * 3);
}

/** Three box blurs, close to a Gaussian of this radius. */
export function blurred(plate: Plate, radius: number): Plate {
  const size = Math.max(1, Math.round(radius));
  let now = plate;
  for (let round = 0; round < 3; round++) now = boxAlong(boxAlong(now, size, true), size, false);
  return now;
}

function boxAlong({ width, height, data }: Plate, radius: number, horizontal: boolean): Plate {
  const out = plateOf(width, height);
  const lines = horizontal ? height : width;
  const length = horizontal ? width : height;
  const step = horizontal ? 3 : width * 3;
  const lineStep = horizontal ? width * 3 : 3;
  for (let line = 0; line < lines; line++) {
    const start = line * lineStep;
    for (let c = 0; c < 3; c++) {
      const at = (i: number) => data[start + Math.min(length - 1, Math.max(0, i)) * step + c];
      let sum = 0;
      for (let i = -radius; i <= radius; i++) sum += at(i);
      for (let i = 0; i < length; i++) {
        out.data[start + i * step + c] = sum / (2 * radius + 1);
        sum += at(i + radius + 1) - at(i - radius);
      }
    }
  }
  return out;
}
