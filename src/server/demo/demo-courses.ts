import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { z } from 'zod';
import { courseSchema, type CoursesContent } from '@/contracts/courses';
import type { SessionContent } from '@/contracts/session';
import { getCourses, saveCourses } from '../courses/courses';
import { ServiceError } from '../errors';
import { demoFolder, demoId } from './story';

const course = courseSchema.shape;
const storyCourseSchema = z.object({
  title: course.title,
  aim: course.aim,
  minutes: course.minutes,
  medium: course.medium,
  allowed: course.allowed,
  studies: z.array(
    z.object({
      picture: z.string().optional(),
      words: z.string().default(''),
      promised: z.iso.date().nullable().default(null),
      isLeftOut: z.boolean().default(false),
      /** The sitting that was held for it. */
      sitting: z.string().optional(),
    }),
  ),
});

interface DemoCourses {
  content: CoursesContent;
  /** The course and the study in it that a sitting was held for. */
  ofSitting: ReadonlyMap<string, NonNullable<SessionContent['course']>>;
}

export async function readDemoCourses(): Promise<DemoCourses> {
  const file = path.join(/*turbopackIgnore: true*/ demoFolder(), 'courses.json');
  const story = z.array(storyCourseSchema).parse(JSON.parse(await readFile(file, 'utf8')));
  const ofSitting = new Map<string, NonNullable<SessionContent['course']>>();
  const courses = story.map(({ studies, ...said }) => {
    const id = demoId('course', said.title);
    return {
      ...said,
      id,
      studies: studies.map(({ picture, sitting, ...planned }, i) => {
        const study = demoId('course study', `${said.title} ${i}`);
        if (sitting) ofSitting.set(sitting, { id, study });
        return { ...planned, id: study, studyId: picture ? demoId('study', picture) : null };
      }),
    };
  });
  return { content: { courses }, ofSitting };
}

/** Puts the demo's courses back as they were, and leaves others as they are. */
export async function seedCourses(): Promise<void> {
  const { courses } = (await readDemoCourses()).content;
  const { revision, content } = await getCourses();
  const others = content.courses.filter(({ id }) => courses.every((one) => one.id !== id));
  try {
    await saveCourses(revision, { courses: [...courses, ...others] });
  } catch (error) {
    // Somebody has just changed them: what they did stands, and the demo can be started again.
    if (!(error instanceof ServiceError) || error.code !== 'newer') throw error;
  }
}
