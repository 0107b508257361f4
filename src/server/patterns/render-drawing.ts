import sharp from 'sharp';
import { keyedDrawing, readKeyed, type KeyedReading } from '@/core/pattern/keyed-rendering';
import type { Drawing } from '@/core/pattern/drawing';
import { pictureOf, type Picture } from '@/core/picture/picture';

/** Pixels along the longer side that a drawing's colours are read on. */
export const READ_SIDE = 800;
/** A drawing that takes longer (seconds) to draw is one that nobody meant to be drawn. */
const MAX_SECONDS = 20;
/** Dots to the inch of CSS. */
const CSS_DPI = 96;
const MAX_DPI = 100_000;

/** A rendering of a drawing that reaches at most `side` pixels along its longer side. Throws what the renderer throws. */
export async function rendered(
  text: string,
  size: { width: number; height: number },
  side: number,
): Promise<Picture> {
  const { data, info } = await pipeline(text, size, side)
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return pictureOf(info.width, info.height, new Uint8ClampedArray(data));
}

/** The same as a PNG. */
export const renderedPng = (text: string, size: { width: number; height: number }, side: number) =>
  pipeline(text, size, side).png().toBuffer();

/** The same on white paper. */
export const printedPng = (text: string, size: { width: number; height: number }, side: number) =>
  pipeline(text, size, side).flatten({ background: '#ffffff' }).png().toBuffer();

function pipeline(
  text: string,
  { width, height }: { width: number; height: number },
  side: number,
) {
  const longer = Math.max(width, height);
  // Drawn at the size that is wanted: scaled afterwards it would be soft.
  const density = Math.min(MAX_DPI, Math.max(1, (CSS_DPI * side) / longer));
  return sharp(Buffer.from(recognised(text)), { density, unlimited: true })
    .resize(side, side, { fit: 'inside' })
    .timeout({ seconds: MAX_SECONDS });
}

const PREFIXED_ROOT = /<[\w.-]+:svg[\s>]/;

/** The renderer knows a drawing by `<svg`, which one with a prefix of its own doesn't begin with. */
function recognised(text: string): string {
  const root = text.slice(0, 4096).includes('<svg') ? null : PREFIXED_ROOT.exec(text);
  return root ? `<!-- <svg -->${text.slice(root.index)}` : text;
}

/** What a rendering tells of a drawing's colours; null where it can't be drawn, or has too many to be told apart. */
export async function drawingReading(drawing: Drawing): Promise<KeyedReading | null> {
  if (drawing.paints.length === 0) return null;
  try {
    const { text, units } = keyedDrawing(drawing);
    return readKeyed(await rendered(text, drawing.size, READ_SIDE), units);
  } catch {
    return null;
  }
}
