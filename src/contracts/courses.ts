import { z } from 'zod';
import { byId } from './documents/merge-policy';
import { COURSES_VERSION, coursesUpgrades } from './documents/courses-upgrades';
import { readDocument, type VersionedDocument } from './documents/versioned';
import { idSchema } from './palette';
import { MAX_LIMITS, SESSION_MINUTES } from './session';
import { MEDIA } from './study';
import { text } from './text';

export const MAX_COURSES = 60;
export const MAX_COURSE_STUDIES = 60;

const withOwnIds = (things: readonly { id: string }[]) =>
  new Set(things.map(({ id }) => id)).size === things.length;

/** A study that a course asks for. */
const courseStudySchema = z.object({
  id: idSchema,
  /** Null while no picture was chosen: `words` say what is wanted. */
  studyId: z.uuid().nullable(),
  words: text().max(200),
  /** The local day it is promised for. */
  promised: z.iso.date().nullable(),
  isLeftOut: z.boolean(),
});
export type CourseStudy = z.infer<typeof courseStudySchema>;

/** A row of studies with one aim, in the order they are to be painted. */
export const courseSchema = z.object({
  id: idSchema,
  title: text().trim().min(1, 'A course needs a title.').max(200),
  aim: text().trim().min(1, 'A course needs an aim.').max(120),
  minutes: z.number().min(SESSION_MINUTES.min).max(SESSION_MINUTES.max),
  medium: z.enum(MEDIA),
  /** What is allowed in its sessions, a line each. */
  allowed: text().max(MAX_LIMITS * 201),
  studies: byId(
    z
      .array(courseStudySchema)
      .max(MAX_COURSE_STUDIES)
      .refine(withOwnIds, 'two studies of a course have the same id'),
  ),
});
export type Course = z.infer<typeof courseSchema>;

export const coursesContentSchema = z.object({
  courses: byId(
    z.array(courseSchema).max(MAX_COURSES).refine(withOwnIds, 'two courses have the same id'),
  ),
});
export type CoursesContent = z.infer<typeof coursesContentSchema>;

export const NO_COURSES: CoursesContent = { courses: [] };

const storedCoursesSchema = coursesContentSchema.extend({ version: z.literal(COURSES_VERSION) });
export type StoredCourses = z.infer<typeof storedCoursesSchema>;

export const coursesDocuments: VersionedDocument<StoredCourses> = {
  schema: storedCoursesSchema,
  upgrades: coursesUpgrades,
};

/** Stored courses of whatever version. Throws a ZodError or a RangeError as `readDocument` does. */
export function readCourses(stored: unknown): CoursesContent {
  const { version: _, ...content } = readDocument(coursesDocuments, stored);
  return content;
}

export const storedCourses = (content: CoursesContent): StoredCourses => ({
  ...content,
  version: COURSES_VERSION,
});

export const coursesSchema = z.object({
  revision: z.number().int(),
  content: coursesContentSchema,
});
export type Courses = z.infer<typeof coursesSchema>;

export const saveCoursesSchema = z.object({
  basedOn: z
    .number()
    .int()
    .min(1)
    .max(2 ** 31 - 1),
  content: coursesContentSchema,
});

/** An earlier state of the courses, and what had changed since the one before it. */
export const coursesRevisionSchema = z.object({
  revision: z.number().int(),
  savedAt: z.string(),
  courses: z.number().int(),
  added: z.array(z.string()),
  removed: z.array(z.string()),
  changed: z.array(z.string()),
});
export type CoursesRevision = z.infer<typeof coursesRevisionSchema>;

/** The courses of both; what both have is as it is here. */
export function withMissingCourses(here: CoursesContent, other: CoursesContent): CoursesContent {
  const ids = new Set(here.courses.map(({ id }) => id));
  const missing = other.courses.filter(({ id }) => !ids.has(id));
  return { courses: [...here.courses, ...missing].slice(0, MAX_COURSES) };
}

/** What is said of a study that is known by its id alone. */
export const namedStudySchema = z.object({
  id: z.uuid(),
  title: z.string(),
  maker: z.string(),
  pictureId: z.uuid(),
});
export type NamedStudy = z.infer<typeof namedStudySchema>;

export const nameStudiesSchema = z.object({
  ids: z.array(z.uuid()).max(MAX_COURSES * MAX_COURSE_STUDIES),
});
