/** A study that a course plans. Days are local, as `2026-11-30`. */
export interface PlannedStudy {
  id: string;
  /** The day it is promised for, if any. */
  promised: string | null;
  /** Taken out on purpose: it is neither waited for nor counted. */
  isLeftOut: boolean;
}

/** A sitting that was held for a study of a course. */
export interface CourseSitting {
  /** The `id` of the study in its course. */
  entry: string;
  session: string;
  /** The day that its clock was stopped on; null while it runs or before it was started. */
  ended: string | null;
}

export type CourseState = 'waiting' | 'begun' | 'painted' | 'left out';

/** How far a study of a course has come. */
export interface CourseProgress {
  state: CourseState;
  /** The sitting that it was first painted in, else the one that is begun. */
  session: string | null;
  /** The day that it was first painted on. */
  painted: string | null;
  /** Days from the promise to that day, negative before it; null without either. */
  late: number | null;
}

const DAY = 86_400_000;

/** Whole days from one local day to another. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(to) - Date.parse(from)) / DAY);

/** How far a study has come by the sittings held for it, whatever their order. */
export function courseProgress(
  study: PlannedStudy,
  sittings: readonly CourseSitting[],
): CourseProgress {
  const own = sittings.filter(({ entry }) => entry === study.id);
  const first = own
    .filter(({ ended }) => ended !== null)
    .sort((one, other) => (one.ended as string).localeCompare(other.ended as string))
    .at(0);
  const painted = first?.ended ?? null;
  const state = painted
    ? 'painted'
    : study.isLeftOut
      ? 'left out'
      : own.length
        ? 'begun'
        : 'waiting';
  return {
    state,
    session: (first ?? own.at(0))?.session ?? null,
    painted,
    late: painted && study.promised ? daysBetween(study.promised, painted) : null,
  };
}

interface PlannedCourse<S extends PlannedStudy> {
  id: string;
  studies: readonly S[];
}

/** A study that is next in its course. */
export interface Queued<C, S> {
  course: C;
  study: S;
  progress: CourseProgress;
}

/** The next study of each course that has one left: what is promised for the earliest day first, then what has no day. */
export function queueOf<S extends PlannedStudy, C extends PlannedCourse<S>>(
  courses: readonly (C & PlannedCourse<S>)[],
  sittings: readonly CourseSitting[],
): Queued<C, S>[] {
  return courses
    .flatMap((course) => {
      for (const study of course.studies) {
        const progress = courseProgress(study, sittings);
        if (progress.state === 'waiting' || progress.state === 'begun')
          return [{ course, study, progress }];
      }
      return [];
    })
    .sort((one, other) =>
      (one.study.promised ?? LAST_DAY).localeCompare(other.study.promised ?? LAST_DAY),
    );
}

/** Sorts after every day. */
const LAST_DAY = '9999-12-31';

/** What became of the promises that were made, as counts of studies. */
export interface Promises {
  /** With a day, and not left out before it was painted. */
  made: number;
  /** Painted on the day or before it, and after it. */
  kept: number;
  late: number;
  /** Not painted, and its day is past. */
  overdue: number;
}

export function promisesOf(
  studies: readonly PlannedStudy[],
  sittings: readonly CourseSitting[],
  today: string,
): Promises {
  const counts: Promises = { made: 0, kept: 0, late: 0, overdue: 0 };
  for (const study of studies) {
    const { state, late } = courseProgress(study, sittings);
    if (!study.promised || state === 'left out') continue;
    counts.made++;
    if (late !== null) counts[late > 0 ? 'late' : 'kept']++;
    else if (daysBetween(study.promised, today) > 0) counts.overdue++;
  }
  return counts;
}
