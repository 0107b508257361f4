import type { ClockEvent } from '@/core/session/clock';
import { stagesFor } from '@/core/session/stages';
import {
  MAX_CHECKS,
  MAX_NOTES,
  MAX_SNAPSHOTS,
  type Excuse,
  type SessionCheck,
  type SessionContent,
  type SessionSnapshot,
  type SessionStage,
} from '@/contracts/session';
import type { Medium } from '@/contracts/study';

/** Edits of a session as functions of it. Ids and times are the caller's, so that an edit can be made anew. */

export const MORE_MINUTES = 5;

export const withClock = (
  session: SessionContent,
  id: string,
  is: ClockEvent['is'],
  at: number,
): SessionContent => ({
  ...session,
  clock: [...session.clock, { id, at, is, ...(is === 'more' && { minutes: MORE_MINUTES }) }],
});

/** The stages of another medium, in place of the ones there are. */
export const withMedium = (session: SessionContent, medium: Medium): SessionContent => ({
  ...session,
  medium,
  stages: stagesFor(medium).map((stage, i) => ({ id: `stage-${i + 1}`, ...stage })),
});

export const editStage = (
  session: SessionContent,
  id: string,
  part: Partial<SessionStage>,
): SessionContent => ({
  ...session,
  stages: session.stages.map((stage) => (stage.id === id ? { ...stage, ...part } : stage)),
});

/** A stage one place earlier or later. */
export function moveStage(session: SessionContent, id: string, by: -1 | 1): SessionContent {
  const stages = [...session.stages];
  const from = stages.findIndex((stage) => stage.id === id);
  const to = from + by;
  if (from < 0 || to < 0 || to >= stages.length) return session;
  [stages[from], stages[to]] = [stages[to], stages[from]];
  return { ...session, stages };
}

/** Without a stage; the last one stays. */
export const dropStage = (session: SessionContent, id: string): SessionContent =>
  session.stages.length < 2
    ? session
    : { ...session, stages: session.stages.filter((stage) => stage.id !== id) };

export const addNote = (
  session: SessionContent,
  note: SessionContent['notes'][number],
): SessionContent =>
  session.notes.length >= MAX_NOTES ? session : { ...session, notes: [...session.notes, note] };

export const addSnapshot = (session: SessionContent, snapshot: SessionSnapshot): SessionContent =>
  session.snapshots.length >= MAX_SNAPSHOTS ||
  session.snapshots.some(({ id }) => id === snapshot.id)
    ? session
    : { ...session, snapshots: [...session.snapshots, snapshot] };

/** Without a snapshot and what was checked of it. */
export const dropSnapshot = (session: SessionContent, id: string): SessionContent => ({
  ...session,
  snapshots: session.snapshots.filter((snapshot) => snapshot.id !== id),
  checks: session.checks.filter(({ snapshot }) => snapshot !== id),
});

export const keepLimit = (
  session: SessionContent,
  id: string,
  kept: boolean | null,
): SessionContent => ({
  ...session,
  limits: session.limits.map((limit) => (limit.id === id ? { ...limit, kept } : limit)),
});

/** A new check of a snapshot, laid as its last one was. */
export function newCheck(
  session: SessionContent,
  id: string,
  snapshot: string,
  at: number,
): SessionCheck {
  const last = session.checks.findLast((check) => check.snapshot === snapshot);
  return {
    id,
    at,
    snapshot,
    against: { kind: 'model', id: null },
    corners: last?.corners ?? null,
    white: last?.white ?? null,
    isDigital: last?.isDigital ?? session.medium === 'screen',
    finding: null,
    excused: [],
    goal: null,
    next: '',
  };
}

/** With a check, the oldest dropped where there are too many. */
export const addCheck = (session: SessionContent, check: SessionCheck): SessionContent => ({
  ...session,
  checks: [...session.checks.slice(-(MAX_CHECKS - 1)), check],
});

export const editCheck = (
  session: SessionContent,
  id: string,
  part: Partial<SessionCheck>,
): SessionContent => ({
  ...session,
  checks: session.checks.map((check) => (check.id === id ? { ...check, ...part } : check)),
});

/** Leaves a finding out, or takes it in again. */
export const excuse = (check: SessionCheck, id: string, why: Excuse | null): SessionCheck => ({
  ...check,
  excused: [...check.excused.filter((one) => one.id !== id), ...(why ? [{ id, why }] : [])],
});

export const stageNamed = (session: SessionContent, id: string | null): string =>
  session.stages.find((stage) => stage.id === id)?.name ?? 'afterwards';
