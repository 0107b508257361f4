import { wholeShares } from './stages';

/**
 * What was done with the clock and when, in milliseconds since 1970. The clock is these events and nothing else: it is
 * the same after a reload, a closed lid or a server that was killed.
 */
export interface ClockEvent {
  at: number;
  is: 'start' | 'pause' | 'resume' | 'next' | 'more' | 'end';
  /** Of `more`: by how much the stage is longer. */
  minutes?: number;
}

export interface ClockReading {
  phase: 'ready' | 'running' | 'paused' | 'ended';
  /** The stage that is on; the last one once all are over. */
  stage: number;
  /** Milliseconds painted, pauses apart; of each stage likewise. */
  painted: number;
  paintedIn: number[];
  /** Milliseconds left in the stage; below zero once the last one is over. */
  left: number;
  /** How long the stage is with what was added to it. */
  length: number;
  /** When this stage and those after it end if nothing more is done; none unless it runs. */
  ends: { stage: number; at: number }[];
}

/** Painted time in one stage: a stage is over once it is used up, or was left early. */
interface Progress {
  stage: number;
  inStage: number;
  paintedIn: number[];
  lengths: number[];
}

/**
 * Reads the clock of a session. Each stage lasts its share of `minutes`; the next begins by itself when it is over, the
 * last goes on until `end`. Events may come in any order; what makes no sense where it stands (a pause while it is
 * paused) counts for nothing.
 */
export function readClock(
  events: readonly ClockEvent[],
  stages: readonly { share: number }[],
  minutes: number,
  now: number,
): ClockReading {
  const lengths = wholeShares(stages).map(({ share }) => share * minutes * 60_000);
  const progress: Progress = {
    stage: 0,
    inStage: 0,
    paintedIn: lengths.map(() => 0),
    lengths,
  };
  let phase: ClockReading['phase'] = 'ready';
  let since = 0;
  // A clock that was set back must not take time away.
  const paintUntil = (at: number) => {
    if (phase === 'running') paint(progress, Math.max(0, at - since));
    since = Math.max(since, at);
  };
  for (const event of [...events].sort((one, other) => one.at - other.at)) {
    if (event.at > now || phase === 'ended') continue;
    paintUntil(event.at);
    if (event.is === 'start' && phase === 'ready') phase = 'running';
    else if (event.is === 'pause' && phase === 'running') phase = 'paused';
    else if (event.is === 'resume' && phase === 'paused') phase = 'running';
    else if (event.is === 'end' && phase !== 'ready') phase = 'ended';
    else if (phase === 'running' || phase === 'paused') {
      if (event.is === 'next') goOn(progress);
      else if (event.is === 'more') lengthen(progress, event.minutes ?? 0);
    }
  }
  paintUntil(now);
  const { stage, inStage, paintedIn } = progress;
  const left = lengths[stage] - inStage;
  return {
    phase,
    stage,
    painted: paintedIn.reduce((sum, part) => sum + part, 0),
    paintedIn,
    left,
    length: lengths[stage],
    ends: phase === 'running' ? endsFrom(stage, now + left, lengths, now) : [],
  };
}

function paint(progress: Progress, time: number): void {
  let rest = time;
  const last = progress.lengths.length - 1;
  while (rest > 0) {
    const room = progress.lengths[progress.stage] - progress.inStage;
    const here = progress.stage < last ? Math.min(rest, Math.max(0, room)) : rest;
    progress.inStage += here;
    progress.paintedIn[progress.stage] += here;
    rest -= here;
    if (progress.stage === last || progress.inStage < progress.lengths[progress.stage]) continue;
    progress.stage++;
    progress.inStage = 0;
  }
}

/** Leaves the stage for the next one; what it would have had left is not painted. */
function goOn(progress: Progress): void {
  if (progress.stage === progress.lengths.length - 1) return;
  progress.stage++;
  progress.inStage = 0;
}

/** More time for the stage: from now on once the last one is over. */
function lengthen(progress: Progress, minutes: number): void {
  const { stage, inStage, lengths } = progress;
  lengths[stage] = Math.max(lengths[stage], inStage) + minutes * 60_000;
}

function endsFrom(
  first: number,
  at: number,
  lengths: readonly number[],
  now: number,
): ClockReading['ends'] {
  const ends = [{ stage: first, at }];
  for (let stage = first + 1; stage < lengths.length; stage++)
    ends.push({ stage, at: ends[ends.length - 1].at + lengths[stage] });
  return ends.filter((end) => end.at > now);
}
