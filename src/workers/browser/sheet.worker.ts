import { expose } from 'comlink';
import type { Oklab } from '@/core/colour/oklab';
import type { Picture } from '@/core/picture/picture';
import { readSheet, type OpenSheet, type SheetStroke } from '@/core/sheet/read-sheet';

let open: OpenSheet | null = null;

/** Reads a photographed sheet of strokes away from the page: that takes a second or two. */
const sheets = {
  read(picture: Picture): SheetStroke[] {
    open = readSheet(picture);
    return open.strokes;
  },
  /** What is painted at a place of the sheet that was read last. */
  colourAt(x: number, y: number): Oklab {
    if (!open) throw new Error('no sheet was read');
    return open.colourAt(x, y);
  },
};

export type SheetWorker = typeof sheets;

expose(sheets);
