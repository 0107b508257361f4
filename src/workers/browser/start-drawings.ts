import { wrap, type Remote } from 'comlink';
import type { DrawingWorker } from './drawing.worker';

export interface StartedDrawings {
  drawings: Remote<DrawingWorker>;
  stop: () => void;
}

/** Starts a worker that reads and writes one drawing. */
export function startDrawings(): StartedDrawings {
  const worker = new Worker(new URL('./drawing.worker.ts', import.meta.url), { type: 'module' });
  return { drawings: wrap<DrawingWorker>(worker), stop: () => worker.terminate() };
}
