import { readClock } from '@/core/session/clock';
import type { Mistake } from '@/core/session/mistakes';
import type { LoggedSession, SessionCheck } from '@/contracts/session';
import { sessionMistakes } from '@/study/session-mistakes';

/** A session as the Log lists it. */
export interface LogEntry {
  session: LoggedSession;
  /** The title of the course that it was held for; empty without one. */
  course: string;
  /** When it began, else when it was made: milliseconds since 1970. */
  at: number;
  /** Milliseconds at the easel. */
  painted: number;
  /** Its newest check that found something out. */
  check: SessionCheck | null;
  /** What that found, without what was excused; null without a check against the model. */
  mistakes: readonly Mistake[] | null;
}

/** What each session of the Log says, the newest first. A clock that was never stopped stands where it was touched last. */
export function logEntries(
  sessions: readonly LoggedSession[],
  courses: readonly { id: string; title: string }[],
): LogEntry[] {
  const titles = new Map(courses.map(({ id, title }) => [id, title]));
  return sessions
    .map((session): LogEntry => {
      const { clock, stages, minutes, checks, snapshots } = session.content;
      const times = clock.map(({ at }) => at);
      const began = times.length > 0 ? Math.min(...times) : null;
      const last = Math.max(...times, ...snapshots.map(({ at }) => at), 0);
      const check = checks.findLast(({ finding }) => finding !== null) ?? null;
      return {
        session,
        course: titles.get(session.content.course?.id ?? '') ?? '',
        at: began ?? snapshots[0]?.at ?? Date.parse(session.createdAt),
        painted: clock.length > 0 ? readClock(clock, stages, minutes, last).painted : 0,
        check,
        mistakes: sessionMistakes(session.content),
      };
    })
    .sort((one, other) => other.at - one.at);
}

/** What the Log is narrowed down to; empty for all. */
export interface LogFilter {
  words: string;
  aim: string;
  medium: string;
  maker: string;
}

export const ALL_ENTRIES: LogFilter = { words: '', aim: '', medium: '', maker: '' };

/** Entries that have all the words somewhere, and the aim, medium and maker. */
export function filteredEntries(entries: readonly LogEntry[], filter: LogFilter): LogEntry[] {
  const words = filter.words.toLocaleLowerCase().split(/\s+/).filter(Boolean);
  return entries.filter(({ session: { content, study }, course, mistakes }) => {
    if (filter.aim && content.aim !== filter.aim) return false;
    if (filter.medium && content.medium !== filter.medium) return false;
    if (filter.maker && study.maker !== filter.maker) return false;
    const text = [
      content.title,
      content.aim,
      content.second,
      content.medium,
      content.ground,
      course,
      study.title,
      study.maker,
      ...content.limits.map((limit) => limit.text),
      ...content.notes.map((note) => note.words),
      ...content.checks.map(({ next }) => next),
      ...(mistakes ?? []).map(({ kind }) => kind),
    ]
      .join('\n')
      .toLocaleLowerCase();
    return words.every((word) => text.includes(word));
  });
}

/** What there is to narrow down by, in alphabetical order. */
export const choicesIn = (
  entries: readonly LogEntry[],
  of: (entry: LogEntry) => string,
): string[] => [...new Set(entries.map(of).filter(Boolean))].sort((a, b) => a.localeCompare(b));
