import type { PaletteSet } from '@/contracts/palette';
import { MAX_TRAY, type StudyDocument, type TraySwatch } from '@/contracts/study';

/** What the edits of a palette work on: a study, or a library as a palette. */
export interface HasPalette {
  palette: {
    swatches: TraySwatch[];
    sets: PaletteSet[];
    target: StudyDocument['palette']['target'];
    /** The most swatches it may hold; `MAX_TRAY` where it is left out. */
    max?: number;
  };
}

/** An edit of whatever has a palette. */
export type PaletteEdit = <D extends HasPalette>(document: D) => D;

export function withSwatches<D extends HasPalette>(document: D, swatches: TraySwatch[]): D {
  return { ...document, palette: { ...document.palette, swatches } };
}

/** Throws a RangeError where a palette has no room for some more swatches. */
export function checkRoom({ palette }: HasPalette, more: number): void {
  const max = palette.max ?? MAX_TRAY;
  if (palette.swatches.length + more > max)
    throw new RangeError(
      `A palette holds ${max} swatches; there is no room for ${more} more. Delete some first.`,
    );
}
