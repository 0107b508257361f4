'use client';

import { useState } from 'react';
import {
  coursesContentSchema,
  coursesSchema,
  readCourses,
  type Courses,
  type CoursesContent,
  type NamedStudy,
} from '@/contracts/courses';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { call } from '@/ui/api';
import { useFetched } from '@/ui/queries';
import { mergeOf } from '@/ui/sync/merge';
import { savedOf, useSavedDocument, type SavedDocumentStore } from '@/ui/sync/use-saved-document';

export type CoursesStore = SavedDocumentStore<CoursesContent>;

/** Changes the courses: a step to undo, or with the same key as the last a part of that step. */
export type ChangeCourses = (edit: (was: CoursesContent) => CoursesContent, key?: string) => void;

const merge = mergeOf(coursesContentSchema);

/** The courses as a document that saves itself. */
export const useCourses = (opened: Courses): CoursesStore =>
  useSavedDocument<CoursesContent>(opened, {
    name: 'courses',
    save: (basedOn, content, options) =>
      call(endpoints.saveCourses, { body: { basedOn, content } }, options),
    fetch: async () => savedOf(await call(endpoints.getCourses, {})),
    schema: coursesContentSchema,
    read: readCourses,
    merge,
    newer: coursesSchema.transform((courses) => savedOf(courses)),
  });

export type StudyNames = ReadonlyMap<string, NamedStudy>;

/** What the studies of all courses are called; null until it was fetched. One that was deleted has no name. */
export function useStudyNames({ courses }: CoursesContent): StudyNames | null {
  const ids = [
    ...new Set(courses.flatMap(({ studies }) => studies.flatMap(({ studyId }) => studyId ?? []))),
  ].sort();
  const { data } = useFetched(endpoints.nameStudies, { body: { ids } });
  // While names are fetched for one more study, those that are known stay.
  const [known, setKnown] = useState(data);
  if (data && data !== known) setKnown(data);
  return known ? new Map(known.map((study) => [study.id, study])) : null;
}
