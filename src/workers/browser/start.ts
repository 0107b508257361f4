import { wrap } from 'comlink';
import type { Development } from '@/core/picture/develop';
import type { Picture } from '@/core/picture/picture';
import type { DeskWorker } from './desk.worker';
import { queryQueue, type Ask } from './query-queue';

export interface StartedWorker {
  load: (url: string, quality: number | null) => Promise<void>;
  develop: (development: Development) => Promise<Picture>;
  ask: Ask;
  stop: () => void;
}

/** Starts a Desk worker in the browser. */
export function startDeskWorker(): StartedWorker {
  const worker = new Worker(new URL('./desk.worker.ts', import.meta.url), { type: 'module' });
  const desk = wrap<DeskWorker>(worker);
  return {
    load: (url, quality) => desk.load(url, quality),
    develop: (development) => desk.develop(development),
    ask: queryQueue((query) => desk.ask(query)),
    stop: () => worker.terminate(),
  };
}
