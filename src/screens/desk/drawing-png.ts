import { svgOf, type Drawing } from '@/core/plan/drawing';

/** Fine enough for print at arm's length. */
const DOTS_A_MILLIMETRE = 200 / 25.4;
/** What any browser draws on one canvas: a larger sheet has fewer dots to the inch. */
const MAX_SIDE = 6000;

/** A sheet as pixels, 200 to the inch. */
export async function pngOfDrawing(drawing: Drawing): Promise<Blob> {
  const { width, height } = drawing;
  const source = URL.createObjectURL(new Blob([svgOf(drawing)], { type: 'image/svg+xml' }));
  try {
    const image = new Image();
    image.src = source;
    await image.decode();
    const canvas = document.createElement('canvas');
    const dots = Math.min(DOTS_A_MILLIMETRE, MAX_SIDE / Math.max(width, height));
    canvas.width = Math.round(width * dots);
    canvas.height = Math.round(height * dots);
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
