import { format } from 'date-fns';
import type { CourseSitting } from '@/core/session/course';
import { readClock } from '@/core/session/clock';
import type { SessionContent } from '@/contracts/session';
import type { LogEntry } from '../log-entries';

export const dayOf = (at: number) => format(at, 'yyyy-MM-dd');

/** When a session was over: its clock stopped, or ran out, or without a clock its last picture; null before that. */
export function sessionEnd(
  { clock, stages, minutes, snapshots }: SessionContent,
  now: number,
): number | null {
  if (clock.length === 0) return snapshots.at(-1)?.at ?? null;
  const times = clock.map(({ at }) => at);
  // What was pressed after the page was opened counts too.
  const last = Math.max(now, ...times);
  const { phase, left } = readClock(clock, stages, minutes, last);
  if (phase === 'ended') {
    const start = Math.min(...clock.filter(({ is }) => is === 'start').map(({ at }) => at));
    return Math.min(
      ...clock.filter(({ is, at }) => is === 'end' && at >= start).map(({ at }) => at),
    );
  }
  return phase === 'running' && left <= 0 ? last + left : null;
}

/** The sessions that were held for courses. */
export const courseSittings = (entries: readonly LogEntry[], now: number): CourseSitting[] =>
  entries.flatMap(({ session: { id, content } }) => {
    if (!content.course) return [];
    const end = sessionEnd(content, now);
    return [{ entry: content.course.study, session: id, ended: end === null ? null : dayOf(end) }];
  });
