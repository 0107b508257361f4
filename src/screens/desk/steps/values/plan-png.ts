import { svgOf, type Drawing } from '@/core/plan/drawing';

/** Fine enough for print at arm's length. */
const DOTS_A_MILLIMETRE = 200 / 25.4;

/** A plan's sheet as pixels, 200 to the inch. */
export async function pngOfPlan(drawing: Drawing): Promise<Blob> {
  const { width, height } = drawing;
  const source = URL.createObjectURL(new Blob([svgOf(drawing)], { type: 'image/svg+xml' }));
  try {
    const image = new Image();
    image.src = source;
    await image.decode();
    const canvas = document.createElement('canvas');
    canvas.width = Math.round(width * DOTS_A_MILLIMETRE);
    canvas.height = Math.round(height * DOTS_A_MILLIMETRE);
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
    return await new Promise((resolve, reject) =>
      canvas.toBlob((blob) =>
        blob ? resolve(blob) : reject(new Error('The plan could not be made into a PNG.')),
      ),
    );
  } finally {
    URL.revokeObjectURL(source);
  }
}
