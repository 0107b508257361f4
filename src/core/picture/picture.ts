/**
 * A picture in 8-bit sRGB: RGBA, row by row from the upper left, alpha not premultiplied.
 * `data.length === width * height * 4`. Pixels with alpha under 128 are transparent and left out of
 * every measure.
 */
export interface Picture {
  width: number;
  height: number;
  data: Uint8ClampedArray;
}

export const OPAQUE = 128;

/** Wraps bytes as a picture. Throws a RangeError when the length does not fit the size. */
export function pictureOf(width: number, height: number, data: Uint8ClampedArray): Picture {
  if (!Number.isInteger(width) || !Number.isInteger(height) || width < 1 || height < 1)
    throw new RangeError(`a picture of ${width} by ${height} pixels`);
  if (data.length !== width * height * 4)
    throw new RangeError(`${data.length} bytes for ${width} by ${height} pixels of four`);
  return { width, height, data };
}

/** The same pixels in memory of their own. */
export function copyPicture({ width, height, data }: Picture): Picture {
  return { width, height, data: data.slice() };
}

/** Left for right. */
export function mirror({ width, height, data }: Picture): Picture {
  const pixels = new Uint32Array(data.buffer, data.byteOffset, width * height);
  const mirrored = new Uint32Array(width * height);
  for (let row = 0; row < mirrored.length; row += width)
    for (let x = 0; x < width; x++) mirrored[row + x] = pixels[row + width - 1 - x];
  return { width, height, data: new Uint8ClampedArray(mirrored.buffer) };
}

/** How many pixels are not transparent. */
export function countOpaque({ data }: Picture): number {
  let opaque = 0;
  for (let i = 3; i < data.length; i += 4) if (data[i] >= OPAQUE) opaque++;
  return opaque;
}
