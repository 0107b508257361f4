import { writeFile } from 'node:fs/promises';
import sharp from 'sharp';
import { hexFromOklab, oklabFromHex } from '../src/core/colour/hex';
import { valueOfOklab } from '../src/core/colour/value';
import { keyColours, keyedAreas } from '../src/core/pattern/areas';
import { DrawingError } from '../src/core/pattern/drawing-error';
import { fallenTogether, mapPaints, type Mapping } from '../src/core/pattern/map-paints';
import { mergedPaints, paintsOf, strayPaints } from '../src/core/pattern/paints';
import { readDrawing, type Drawing } from '../src/core/pattern/read-drawing';
import { recoloured } from '../src/core/pattern/recolour';
import { pictureOf } from '../src/core/picture/picture';
import { ConvertError } from './convert';
import { swatchesIn } from './palette-file';

/** Pixels along the longer side that areas are read on. */
const SIDE = 800;

export interface Colourway {
  /** What could run or be fetched, and is not in what was written. */
  leftOut: string[];
  report: unknown;
}

/**
 * Writes a drawing in a palette's colours, near-duplicates as one, every other byte as it was; answers what became what.
 * Throws a ConvertError for a file that can't be read.
 */
export async function colourway(
  file: string,
  bytes: Uint8Array,
  paletteFile: string,
  palette: Uint8Array,
  by: Mapping,
  out: string,
): Promise<Colourway> {
  const swatches = await swatchesIn(paletteFile, palette);
  const drawing = drawingIn(file, bytes);
  if (drawing.paints.length === 0) throw new ConvertError(`${file}: nothing in it is painted`);
  const paints = paintsOf(drawing, await areasOf(drawing));
  const groups = strayPaints(drawing, paints);
  const merged = mergedPaints(groups);
  const kept = paints
    .filter(({ hex }) => !merged.has(hex))
    .map((paint) => ({
      ...paint,
      area: paints.reduce(
        (sum, { hex, area }) =>
          sum + (hex === paint.hex || merged.get(hex) === paint.hex ? area : 0),
        0,
      ),
    }));
  const map = mapPaints(kept, swatches, by);
  for (const [stray, keeps] of merged) map.set(stray, map.get(keeps)!);
  await writeFile(out, recoloured(drawing, map));
  const nameOf = new Map(swatches.map(({ name, colour }) => [hexFromOklab(colour), name]));
  return {
    leftOut: [...new Set(drawing.removals.map(({ what }) => what))],
    report: {
      out,
      by,
      colours: paints.map(({ hex, area }) => ({
        hex,
        area,
        becomes: map.get(hex),
        swatch: nameOf.get(map.get(hex)!),
      })),
      merged: groups,
      fallenTogether: fallenTogether(kept, map, (hex) => valueOfOklab(oklabFromHex(hex)!)),
    },
  };
}

function drawingIn(file: string, bytes: Uint8Array): Drawing {
  try {
    return readDrawing(new TextDecoder('utf-8', { fatal: true, ignoreBOM: true }).decode(bytes));
  } catch (error) {
    if (error instanceof DrawingError) throw new ConvertError(`${file}: ${error.message}`);
    if (error instanceof TypeError) throw new ConvertError(`${file}: this is not UTF-8 text`);
    throw error;
  }
}

/** The area of each colour as it is drawn; nothing where the drawing can't be rendered. */
async function areasOf(drawing: Drawing): Promise<Map<string, number> | undefined> {
  const keys = keyColours([...new Set(drawing.paints.map(({ hex }) => hex))]);
  try {
    const { data, info } = await sharp(Buffer.from(recoloured(drawing, keys)), { unlimited: true })
      .resize(SIDE, SIDE, { fit: 'inside' })
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    return keyedAreas(pictureOf(info.width, info.height, new Uint8ClampedArray(data)), keys);
  } catch {
    return undefined;
  }
}
