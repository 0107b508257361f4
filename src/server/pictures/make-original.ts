import type { MadeRequest } from '@/contracts/made-request';
import { runMade } from '@/workers/server/pool';
import { madeAtFullSize, type OnStep } from './full-size';

/** A study's picture at the size it came in, in other colours, another mood or one key; as `madeAtFullSize`. */
export const makeOriginal = (
  studyId: string,
  { query, ...developed }: MadeRequest,
  onStep: OnStep,
  signal?: AbortSignal,
) =>
  madeAtFullSize(studyId, developed, (full) => runMade({ ...full, query }, signal), onStep, signal);
