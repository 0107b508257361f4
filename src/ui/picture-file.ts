import { countOpaque, pictureOf, type Picture } from '@/core/picture/picture';

/**
 * Opens a picture file that the browser knows and draws it on a canvas, its longer side `side` at most. Throws where it
 * is none, or one that is transparent everywhere; then the canvas is as it was.
 */
export async function drawPictureFile(
  file: Blob,
  canvas: HTMLCanvasElement,
  side: number,
): Promise<Picture> {
  let image: ImageBitmap;
  try {
    image = await createImageBitmap(file);
  } catch {
    throw new Error('This file is no picture that the browser can open. Nothing was changed.');
  }
  const scale = Math.min(1, side / Math.max(image.width, image.height));
  const [width, height] = [image.width, image.height].map((length) =>
    Math.max(1, Math.round(length * scale)),
  );
  // Looked over on another canvas, before what is shown gives way to it.
  const scratch = document.createElement('canvas');
  scratch.width = width;
  scratch.height = height;
  const pen = scratch.getContext('2d', { willReadFrequently: true });
  if (!pen) throw new Error('This browser can’t draw the picture. Nothing was changed.');
  pen.drawImage(image, 0, 0, width, height);
  image.close();
  const { data } = pen.getImageData(0, 0, width, height);
  const picture = pictureOf(width, height, data as Uint8ClampedArray);
  if (countOpaque(picture) === 0)
    throw new Error('This picture is transparent everywhere. Nothing was changed.');
  canvas.width = width;
  canvas.height = height;
  canvas.getContext('2d', { willReadFrequently: true })?.drawImage(scratch, 0, 0);
  return picture;
}
