import {
  COURSES_ID,
  coursesRevisions,
  getCourses,
  listCoursesHistory,
  namedStudies,
  saveCourses,
} from '../courses/courses';
import type { Handlers } from './handler';

export const coursesHandlers = {
  getCourses: () => getCourses(),
  saveCourses: ({ body }) => saveCourses(body.basedOn, body.content),
  listCoursesHistory: () => listCoursesHistory(),
  getCoursesRevision: ({ params }) => coursesRevisions.get(COURSES_ID, params.revision),
  nameStudies: ({ body }) => namedStudies(body.ids),
} satisfies Partial<Handlers>;
