import { toGamut } from './gamut';
import { oklabFromRgb, rgbFromOklab, type Oklab } from './oklab';

/** Three 8-bit channels. */
export type Bytes = [red: number, green: number, blue: number];

/** The nearest 8-bit sRGB colour, brought into gamut first. */
export function bytesFromOklab(colour: Oklab): Bytes {
  const { r, g, b } = rgbFromOklab(toGamut(colour));
  return [byte(r), byte(g), byte(b)];
}

export function oklabFromBytes([r, g, b]: Bytes): Oklab {
  return oklabFromRgb({ r: r / 255, g: g / 255, b: b / 255 });
}

/** `#rrggbb` in lower case. */
export function hexFromOklab(colour: Oklab): string {
  return (
    '#' +
    bytesFromOklab(colour)
      .map((b) => b.toString(16).padStart(2, '0'))
      .join('')
  );
}

/** Reads `#rgb` and `#rrggbb`, the hash optional; null for anything else. */
export function oklabFromHex(text: string): Oklab | null {
  const digits = text.trim().replace(/^#/, '');
  const full = digits.length === 3 ? digits.replace(/./g, '$&$&') : digits;
  if (!/^[0-9a-f]{6}$/i.test(full)) return null;
  const at = (i: number) => parseInt(full.slice(i, i + 2), 16);
  return oklabFromBytes([at(0), at(2), at(4)]);
}

function byte(channel: number): number {
  return Math.round(Math.min(1, Math.max(0, channel)) * 255);
}
