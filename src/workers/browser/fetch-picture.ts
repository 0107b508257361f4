import { pictureOf, type Picture } from '@/core/picture/picture';

/** Fetches and decodes a working copy: the server's pixels, to the last digit. Throws where it can't be fetched. */
export async function fetchPicture(url: string): Promise<Picture> {
  const response = await fetch(url);
  if (!response.ok) throw new Error(`the working copy could not be fetched (${response.status})`);
  const bitmap = await createImageBitmap(await response.blob(), {
    colorSpaceConversion: 'none',
    premultiplyAlpha: 'none',
  });
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  const context = canvas.getContext('2d', { willReadFrequently: true, colorSpace: 'srgb' });
  if (!context) throw new Error('this browser can’t draw off screen');
  context.drawImage(bitmap, 0, 0);
  const { width, height, data } = context.getImageData(0, 0, bitmap.width, bitmap.height);
  bitmap.close();
  return pictureOf(width, height, data as Uint8ClampedArray);
}
