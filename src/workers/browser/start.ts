import { wrap, type Remote } from 'comlink';
import type { DeskWorker } from './desk.worker';

export interface StartedWorker {
  desk: Remote<DeskWorker>;
  stop: () => void;
}

/** Starts a Desk worker in the browser. */
export function startDeskWorker(): StartedWorker {
  const worker = new Worker(new URL('./desk.worker.ts', import.meta.url), { type: 'module' });
  return { desk: wrap<DeskWorker>(worker), stop: () => worker.terminate() };
}
