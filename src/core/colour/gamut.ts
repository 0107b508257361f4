import { linearFromOklab, oklabFromOklch, oklchFromOklab, type Oklab } from './oklab';

/** Bytes are 1/255 wide; this slack in linear light is far below half of one. */
const SLACK = 1e-6;
const MAX_CHROMA = 0.4;

/** Whether a colour lies within sRGB. */
export function inGamut(colour: Oklab): boolean {
  const { r, g, b } = linearFromOklab(colour);
  const low = -SLACK;
  const high = 1 + SLACK;
  return r >= low && r <= high && g >= low && g <= high && b >= low && b <= high;
}

/** The greatest OKLCH chroma that sRGB holds at a lightness (0–1) and hue (degrees). */
export function maxChroma(L: number, h: number): number {
  return L <= 0 || L >= 1 ? 0 : edgeBetween(L, h, 0, MAX_CHROMA);
}

/** The chroma at the edge between one that is inside and one that may not be. */
function edgeBetween(L: number, h: number, inside: number, outside: number): number {
  let low = inside;
  let high = outside;
  for (let i = 0; i < 26; i++) {
    const C = (low + high) / 2;
    if (inGamut(oklabFromOklch({ L, C, h }))) low = C;
    else high = C;
  }
  return low;
}

/**
 * The chroma nearest below one that is outside. Sought from there down in growing steps: among the
 * blues sRGB is hollow, so that from the middle up one may come to an edge far below, or to one above.
 */
function chromaBelow(L: number, h: number, C: number): number {
  let outside = C;
  for (let step = C * 1e-9; step < C; step *= 2) {
    if (inGamut(oklabFromOklch({ L, C: C - step, h }))) return edgeBetween(L, h, C - step, outside);
    outside = C - step;
  }
  return edgeBetween(L, h, 0, outside);
}

/**
 * Bring a colour into sRGB by lowering its chroma at constant hue and lightness. A colour already
 * inside comes back as it is; lightness beyond black or white gives black or white.
 * Source: CSS Color Module Level 4, §13.2, without its closing clip: a clip would turn the hue.
 */
export function toGamut(colour: Oklab): Oklab {
  if (colour.L <= 0) return { L: 0, a: 0, b: 0 };
  if (colour.L >= 1) return { L: 1, a: 0, b: 0 };
  if (inGamut(colour)) return colour;
  const { L, C, h } = oklchFromOklab(colour);
  return oklabFromOklch({ L, C: chromaBelow(L, h, C), h });
}
