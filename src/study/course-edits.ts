import {
  MAX_COURSE_STUDIES,
  MAX_COURSES,
  type Course,
  type CoursesContent,
  type CourseStudy,
} from '@/contracts/courses';

/** Edits of the courses as functions of them. Ids are the caller's, so that an edit can be made anew. */

export const newCourse = (id: string, title: string): Course => ({
  id,
  title,
  aim: 'values',
  minutes: 60,
  medium: 'paint',
  allowed: '',
  studies: [],
});

export const addCourse = (content: CoursesContent, course: Course): CoursesContent =>
  content.courses.length < MAX_COURSES
    ? { ...content, courses: [course, ...content.courses] }
    : content;

export const dropCourse = (content: CoursesContent, id: string): CoursesContent => ({
  ...content,
  courses: content.courses.filter((course) => course.id !== id),
});

/** Puts a course back at its place; one that is there already stays as it is. */
export const restoreCourse = (
  content: CoursesContent,
  course: Course,
  at: number,
): CoursesContent =>
  content.courses.some(({ id }) => id === course.id) || content.courses.length >= MAX_COURSES
    ? content
    : { ...content, courses: content.courses.toSpliced(at, 0, course) };

export const editCourse = (
  content: CoursesContent,
  id: string,
  part: Partial<Omit<Course, 'id'>>,
): CoursesContent => ({
  ...content,
  courses: content.courses.map((course) => (course.id === id ? { ...course, ...part } : course)),
});

const withStudies = (
  content: CoursesContent,
  id: string,
  edit: (studies: readonly CourseStudy[]) => CourseStudy[],
): CoursesContent => ({
  ...content,
  courses: content.courses.map((course) =>
    course.id === id
      ? { ...course, studies: edit(course.studies).slice(0, MAX_COURSE_STUDIES) }
      : course,
  ),
});

/** Adds a study at the end: one that is there, or in words what is wanted. */
export const addCourseStudy = (
  content: CoursesContent,
  id: string,
  study: Pick<CourseStudy, 'id' | 'studyId' | 'words'>,
): CoursesContent =>
  withStudies(content, id, (studies) => [
    ...studies,
    { ...study, promised: null, isLeftOut: false },
  ]);

export const editCourseStudy = (
  content: CoursesContent,
  id: string,
  study: string,
  part: Partial<Omit<CourseStudy, 'id'>>,
): CoursesContent =>
  withStudies(content, id, (studies) =>
    studies.map((one) => (one.id === study ? { ...one, ...part } : one)),
  );

export const dropCourseStudy = (
  content: CoursesContent,
  id: string,
  study: string,
): CoursesContent =>
  withStudies(content, id, (studies) => studies.filter((one) => one.id !== study));

/** Moves a study one place earlier (−1) or later (1) in its row. */
export const moveCourseStudy = (
  content: CoursesContent,
  id: string,
  study: string,
  by: -1 | 1,
): CoursesContent =>
  withStudies(content, id, (studies) => {
    const from = studies.findIndex((one) => one.id === study);
    const to = from + by;
    if (from < 0 || to < 0 || to >= studies.length) return [...studies];
    return studies.toSpliced(from, 1).toSpliced(to, 0, studies[from]);
  });
