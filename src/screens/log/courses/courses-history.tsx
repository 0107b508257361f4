'use client';

import { useState } from 'react';
import type { CoursesContent, CoursesRevision } from '@/contracts/courses';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { Button } from '@/ui/button';
import { HistoryDialog } from '@/ui/history-dialog';
import { queryFor } from '@/ui/queries';
import { several } from '@/ui/words';

/** What the courses were before. */
export function CoursesHistory({ onRestore }: { onRestore: (content: CoursesContent) => void }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>History</Button>
      <HistoryDialog
        open={open}
        onClose={() => setOpen(false)}
        title="What the courses were"
        states={queryFor(endpoints.listCoursesHistory, {})}
        stateAt={(revision) =>
          queryFor(endpoints.getCoursesRevision, { revision: String(revision) })
        }
        words={changeWords}
        onRestore={onRestore}
      >
        {({ courses }) => (
          <ul>
            {courses.map(({ id, title, aim, studies }) => (
              <li key={id}>
                {title}: {aim}, {several(studies.length, 'study', 'studies')}
              </li>
            ))}
            {courses.length === 0 && <li>No course.</li>}
          </ul>
        )}
      </HistoryDialog>
    </>
  );
}

function changeWords(
  { courses, added, removed, changed }: CoursesRevision,
  first: boolean,
): string[] {
  if (first) return [courses === 0 ? 'begun, empty' : `begun, with ${several(courses, 'course')}`];
  const parts = [
    ...added.map((title) => `“${title}” added`),
    ...removed.map((title) => `“${title}” taken away`),
    ...changed.map((title) => `“${title}” changed`),
  ];
  return parts.length > 0 ? parts : ['saved again'];
}
