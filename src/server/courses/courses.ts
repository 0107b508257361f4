import { isDeepStrictEqual } from 'node:util';
import { and, inArray, isNull, sql } from 'drizzle-orm';
import {
  NO_COURSES,
  readCourses,
  storedCourses,
  withMissingCourses,
  type CoursesContent,
  type CoursesRevision,
  type NamedStudy,
} from '@/contracts/courses';
import { database } from '../db/client';
import { courses, coursesRevision } from '../db/courses-schema';
import { study } from '../db/schema';
import { revisionsIn } from '../documents/revisions';
import { singleDocument } from '../documents/single-document';

/** The courses of a store are one document. */
export const COURSES_ID = 'c0050000-0000-8000-8000-000000000001';

export const coursesRevisions = revisionsIn<CoursesContent>(coursesRevision, 'courses', {
  write: storedCourses,
  read: readCourses,
});

export const {
  get: getCourses,
  save: saveCourses,
  add: addCourses,
} = singleDocument<CoursesContent>({
  what: 'list of courses',
  id: COURSES_ID,
  table: courses,
  revisions: coursesRevisions,
  empty: NO_COURSES,
  read: readCourses,
  stored: storedCourses,
  withMissing: withMissingCourses,
});

/** What the courses were, the newest first. */
export async function listCoursesHistory(): Promise<CoursesRevision[]> {
  const states = await coursesRevisions.list(COURSES_ID);
  return states.map(({ revision, savedAt, document }, i) => ({
    revision,
    savedAt: savedAt.toISOString(),
    courses: document.courses.length,
    ...changesOf(document, states[i + 1]?.document ?? NO_COURSES),
  }));
}

/** The titles of the courses that were added, removed and changed. */
function changesOf(now: CoursesContent, before: CoursesContent) {
  const was = new Map(before.courses.map((course) => [course.id, course]));
  const is = new Set(now.courses.map(({ id }) => id));
  const titles = (found: CoursesContent['courses']) => found.map(({ title }) => title);
  return {
    added: titles(now.courses.filter(({ id }) => !was.has(id))),
    removed: titles(before.courses.filter(({ id }) => !is.has(id))),
    changed: titles(
      now.courses.filter(
        (course) => was.has(course.id) && !isDeepStrictEqual(was.get(course.id), course),
      ),
    ),
  };
}

/** Titles, makers and pictures of studies, in no order; those that were deleted are left out. */
export async function namedStudies(ids: readonly string[]): Promise<NamedStudy[]> {
  if (ids.length === 0) return [];
  const db = await database();
  return db
    .select({
      id: study.id,
      title: study.title,
      maker: sql<string>`coalesce(${study.document}->>'maker', '')`,
      pictureId: study.pictureId,
    })
    .from(study)
    .where(and(inArray(study.id, [...ids]), isNull(study.deletedAt)));
}
