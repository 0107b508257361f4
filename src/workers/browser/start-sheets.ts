import { transfer, wrap } from 'comlink';
import type { Oklab } from '@/core/colour/oklab';
import type { Picture } from '@/core/picture/picture';
import type { SheetStroke } from '@/core/sheet/read-sheet';
import type { SheetWorker } from './sheet.worker';

export interface SheetReader {
  /** The picture is handed over: its pixels are gone. */
  read: (picture: Picture) => Promise<SheetStroke[]>;
  colourAt: (x: number, y: number) => Promise<Oklab>;
  stop: () => void;
}

/** Starts a worker that reads sheets of strokes. */
export function startSheetReader(): SheetReader {
  const worker = new Worker(new URL('./sheet.worker.ts', import.meta.url), { type: 'module' });
  const sheets = wrap<SheetWorker>(worker);
  return {
    read: (picture) => sheets.read(transfer(picture, [picture.data.buffer as ArrayBuffer])),
    colourAt: (x, y) => sheets.colourAt(x, y),
    stop: () => worker.terminate(),
  };
}
