/** Mean of the luminance table that ISO/IEC 10918-1 gives as an example (its Annex K), which encoders scale. */
const EXAMPLE_MEAN = 57.625;
const TABLES = 0xdb;
const SCAN = 0xda;

/**
 * The quality, 1–100, that a JPEG was written with, as far as its luminance table tells: of the common
 * encoders' scale, in which 50 is the example table of ISO/IEC 10918-1 itself. Null for what is no JPEG.
 */
export function jpegQuality(bytes: Uint8Array): number | null {
  if (bytes[0] !== 0xff || bytes[1] !== 0xd8) return null;
  let at = 2;
  while (at + 4 <= bytes.length && bytes[at] === 0xff) {
    const marker = bytes[at + 1];
    if (marker === SCAN) return null;
    const length = (bytes[at + 2] << 8) | bytes[at + 3];
    if (length < 2) return null;
    if (marker === TABLES) {
      const found = luminanceMean(bytes.subarray(at + 4, at + 2 + length));
      if (found !== null) return ofScale((found / EXAMPLE_MEAN) * 100);
    }
    at += 2 + length;
  }
  return null;
}

/** The mean of table 0, if it is among these. */
function luminanceMean(tables: Uint8Array): number | null {
  let at = 0;
  while (at < tables.length) {
    const bytesEach = tables[at] >> 4 === 0 ? 1 : 2;
    const end = at + 1 + 64 * bytesEach;
    if (end > tables.length) return null;
    if ((tables[at] & 15) === 0) {
      let sum = 0;
      for (let i = at + 1; i < end; i += bytesEach)
        sum += bytesEach === 1 ? tables[i] : (tables[i] << 8) | tables[i + 1];
      return sum / 64;
    }
    at = end;
  }
  return null;
}

/** A table scaled to so many per cent of the example is this quality. */
function ofScale(percent: number): number {
  const quality = percent <= 100 ? (200 - percent) / 2 : 5000 / percent;
  return Math.min(100, Math.max(1, Math.round(quality)));
}
