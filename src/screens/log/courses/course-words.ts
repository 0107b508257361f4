import { format, parseISO } from 'date-fns';
import {
  courseProgress,
  daysBetween,
  promisesOf,
  type CourseProgress,
  type CourseSitting,
  type Queued,
} from '@/core/session/course';
import type { Course, CourseStudy } from '@/contracts/courses';
import { capital, count, list, several } from '@/ui/words';
import type { StudyNames } from './use-courses';

const YEAR = 365;

/** A local day in words: the year only where it isn't this one. */
export function dayWords(day: string, today: string): string {
  if (day === today) return 'today';
  const isNear = Math.abs(daysBetween(today, day)) < YEAR / 2;
  return format(parseISO(day), isNear ? 'EEEE, d MMMM' : 'd MMMM yyyy');
}

const days = (n: number) => (n === 1 ? 'a day' : several(n, 'day'));

/** How far a study has come: "painted on Monday, 5 October, two days late". */
export function progressWords(
  { state, painted, late }: CourseProgress,
  promised: string | null,
  today: string,
): string {
  if (painted) {
    const on = painted === today ? 'today' : `on ${dayWords(painted, today)}`;
    const how =
      late === null
        ? ''
        : late > 0
          ? `, ${days(late)} late`
          : late < 0
            ? `, ${days(-late)} early`
            : ', on the day';
    return `painted ${on}${how}`;
  }
  if (state === 'left out') return 'left out';
  const past = promised ? daysBetween(promised, today) : 0;
  const due = past > 0 ? `, ${days(past)} past its day` : '';
  return `${state === 'begun' ? 'begun' : 'to be painted'}${due}`;
}

/** What a study of a course is called: its maker first, whose palette it is. */
export function courseStudyTitle(
  { studyId, words }: Pick<CourseStudy, 'studyId' | 'words'>,
  names: StudyNames | null,
): string {
  if (!studyId) return words.trim() || 'not chosen yet';
  const study = names?.get(studyId);
  if (!study) return names ? 'a study that is gone' : '…';
  return study.maker ? `${study.maker}, “${study.title}”` : `“${study.title}”`;
}

/** What the courses say first. */
export function coursesSentence(
  courses: readonly Course[],
  sittings: readonly CourseSitting[],
  queue: readonly Queued<Course, CourseStudy>[],
  names: StudyNames | null,
  today: string,
): string {
  if (courses.length === 0)
    return 'No course yet. A course is a row of studies with one aim: one maker, one light, one key.';
  const studies = courses.flatMap((course) => course.studies);
  const states = studies.map((study) => courseProgress(study, sittings).state);
  const painted = states.filter((state) => state === 'painted').length;
  const counted = states.filter((state) => state !== 'left out').length;
  const head = `${capital(several(courses.length, 'course'))}, ${painted === 0 ? 'none' : count(painted)} of ${several(counted, 'study', 'studies')} painted.`;
  const next = queue.at(0);
  const whose = next
    ? ` Next: ${courseStudyTitle(next.study, names)}${next.study.promised ? `, promised for ${dayWords(next.study.promised, today)}` : ''}.`
    : '';
  return `${head}${whose}${promiseWords(studies, sittings, today)}`;
}

function promiseWords(
  studies: readonly CourseStudy[],
  sittings: readonly CourseSitting[],
  today: string,
): string {
  const { made, kept, late, overdue } = promisesOf(studies, sittings, today);
  const said = [
    ...(kept > 0 ? [`${count(kept)} kept`] : []),
    ...(late > 0 ? [`${count(late)} late`] : []),
    ...(overdue > 0 ? [`${count(overdue)} past ${overdue === 1 ? 'its' : 'their'} day`] : []),
  ];
  return said.length > 0 ? ` Of ${several(made, 'promise')}, ${list(said)}.` : '';
}
