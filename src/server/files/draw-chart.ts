import sharp from 'sharp';
import { chartOf } from '@/core/formats/svg-chart';
import { embedLibrary } from '@/core/formats/png-chart';
import type { LibraryFile } from '@/core/formats/library-file';
import { yieldToEventLoop } from '../yield-to-event-loop';
import { outlineOf } from '../fonts/outlines';
import { fitted } from '../fonts/runs';

/** A chart is drawn at this many pixels to a unit, or so many fewer that it has no more than this many in all. */
const FINE = 2;
const MAX_PIXELS = 40e6;
/** Beyond this many swatches the picture has no room for their names, which it carries all the same. */
const MAX_NAMED = 1000;
/** Lines of writing drawn without looking up. */
const AT_ONCE = 40;

/** The chart of a library as a PNG that carries the library. */
export async function drawChart(library: LibraryFile): Promise<Uint8Array> {
  const chart = chartOf(library);
  const blocks = chart.blocks.map(
    ({ x, y, width, height, fill }) =>
      `<rect x="${x}" y="${y}" width="${width}" height="${height}" fill="${fill}"/>`,
  );
  const named = library.swatches.length <= MAX_NAMED;
  const texts: string[] = [];
  for (const [i, { text, x, y, size, room, face }] of chart.texts.entries()) {
    if (!named && i > 0) break;
    const line = fitted(text, face, size, room);
    texts.push(`<path d="${outlineOf(line, face, size, x, y)}" fill="#1a1a1a"/>`);
    if (i % AT_ONCE === 0) await yieldToEventLoop();
  }
  const scale = Math.min(FINE, Math.sqrt(MAX_PIXELS / (chart.width * chart.height)));
  const drawing = [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${chart.width} ${chart.height}" width="${Math.floor(chart.width * scale)}" height="${Math.floor(chart.height * scale)}">`,
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
