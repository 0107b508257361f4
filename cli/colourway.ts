import { writeFile } from 'node:fs/promises';
import { colourwayOf, DEFAULT_CHOICE } from '../src/core/pattern/colourway';
import { DrawingError } from '../src/core/pattern/drawing-error';
import type { Mapping } from '../src/core/pattern/map-paints';
import { mapOfAll, mergedDrawing } from '../src/core/pattern/merges';
import { mergedPaints, paintsOf, strayPaints } from '../src/core/pattern/paints';
import { readDrawing } from '../src/core/pattern/read-drawing';
import type { Drawing } from '../src/core/pattern/drawing';
import { recoloured } from '../src/core/pattern/recolour';
import { drawingReading } from '../src/server/patterns/render-drawing';
import { ConvertError } from './convert';
import { swatchesIn } from './palette-file';

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
  const reading = await drawingReading(drawing);
  const paints = paintsOf(drawing, reading?.areas);
  const groups = strayPaints(drawing, paints);
  const targets = mergedPaints(groups);
  const merged = mergedDrawing(
    { paints, touching: reading?.touching ?? [], ground: reading?.ground ?? null },
    targets,
  );
  const colours = swatches.map((swatch, i) => ({ id: String(i), ...swatch }));
  const way = colourwayOf(merged, colours, { ...DEFAULT_CHOICE, by });
  const map = mapOfAll(paints, targets, way.map);
  await writeFile(out, recoloured(drawing, map));
  return {
    leftOut: [...new Set(drawing.removals.map(({ what }) => what))],
    report: {
      out,
      by,
      colours: paints.map(({ hex, area }) => ({
        hex,
        area,
        becomes: map.get(hex),
        swatch: colours[Number(way.of.get(targets.get(hex) ?? hex))]?.name,
      })),
      merged: groups,
      fallenTogether: way.fallen.map(({ pair }) => pair),
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
