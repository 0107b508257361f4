import { proxy, wrap } from 'comlink';
import type { WheelId } from '@/core/colour/wheel';
import type { Development } from '@/core/picture/develop';
import type { Picture } from '@/core/picture/picture';
import type { CheckStage, CheckWorker, HeldAgainst, Laid, Photograph } from './check.worker';

export interface StartedChecks {
  load: (url: string, development: Development) => Promise<void>;
  check: (
    photograph: Photograph,
    held: HeldAgainst,
    wheel: WheelId,
    onStage: (stage: CheckStage) => void,
    onLaid: (laid: Laid) => void,
  ) => ReturnType<CheckWorker['check']>;
  look: (picture: Picture, as: 'squint' | 'grey', radius: number) => Promise<Picture>;
  stop: () => void;
}

/** Starts a worker that holds studies against one model. */
export function startChecks(): StartedChecks {
  const worker = new Worker(new URL('./check.worker.ts', import.meta.url), { type: 'module' });
  const checks = wrap<CheckWorker>(worker);
  return {
    load: (url, development) => checks.load(url, development),
    check: (photograph, held, wheel, onStage, onLaid) =>
      checks.check(photograph, held, wheel, proxy(onStage), proxy(onLaid)),
    look: (picture, as, radius) => checks.look(picture, as, radius),
    stop: () => worker.terminate(),
  };
}
