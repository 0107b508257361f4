import type { PushRequest } from '@/contracts/push-request';
import { runPush } from '@/workers/server/pool';
import { madeAtFullSize, type OnStep } from './full-size';

/** A study's picture at the size it came in, framed, corrected and pushed; as `madeAtFullSize`. */
export const pushOriginal = (
  studyId: string,
  { settings, ...developed }: PushRequest,
  onStep: OnStep,
  signal?: AbortSignal,
) =>
  madeAtFullSize(
    studyId,
    developed,
    (full) => runPush({ ...full, settings }, (share) => onStep('making', share), signal),
    onStep,
    signal,
  );
