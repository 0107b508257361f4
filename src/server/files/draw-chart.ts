import sharp from 'sharp';
import { chartOf } from '@/core/formats/svg-chart';
import { embedLibrary } from '@/core/formats/png-chart';
import type { LibraryFile } from '@/core/formats/library-file';
import { outlineOf } from '../fonts/outlines';
import { fitted } from '../fonts/runs';

/** Beyond this many pixels of height a chart is drawn at half its size, and no finer. */
const TALL = 8000;

/** The chart of a library as a PNG that carries the library; twice the size of its drawing, where it is not too tall. */
export async function drawChart(library: LibraryFile): Promise<Uint8Array> {
  const chart = chartOf(library);
  const blocks = chart.blocks.map(
    ({ x, y, width, height, fill }) =>
      `<rect x="${x}" y="${y}" width="${width}" height="${height}" fill="${fill}"/>`,
  );
  const texts = chart.texts.map(({ text, x, y, size, room, face }) => {
    const line = fitted(text, face, size, room);
    return `<path d="${outlineOf(line, face, size, x, y)}" fill="#1a1a1a"/>`;
  });
  const scale = chart.height > TALL / 2 ? 1 : 2;
  const drawing = [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${chart.width} ${chart.height}" width="${chart.width * scale}" height="${chart.height * scale}">`,
    `<rect width="100%" height="100%" fill="#f4f4f4"/>`,
    ...blocks,
    ...texts,
    '</svg>',
  ].join('');
  const png = await sharp(Buffer.from(drawing), { limitInputPixels: false })
    .withIccProfile('srgb')
    .png()
    .toBuffer();
  return embedLibrary(png, library);
}
