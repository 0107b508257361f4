import type { Course, CoursesContent } from '@/contracts/courses';

/** A course with a study that is promised and one in words. */
export const someCourse = (id: string, part: Partial<Course> = {}): Course => ({
  id,
  title: `Course ${id}`,
  aim: 'values',
  minutes: 40,
  medium: 'paint',
  allowed: 'one brush',
  studies: [
    { id: `${id} first`, studyId: null, words: '', promised: '2026-10-05', isLeftOut: false },
    { id: `${id} second`, studyId: null, words: 'a winter', promised: null, isLeftOut: true },
  ],
  ...part,
});

export const someCourses = (...ids: string[]): CoursesContent => ({
  courses: ids.map((id) => someCourse(id)),
});
