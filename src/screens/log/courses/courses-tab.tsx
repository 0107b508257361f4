'use client';

import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useStore } from 'zustand';
import type { CourseSitting, Queued } from '@/core/session/course';
import { MAX_COURSES, type Course, type CourseStudy } from '@/contracts/courses';
import { addCourse, dropCourse, newCourse, restoreCourse } from '@/study/course-edits';
import { newId } from '@/study/edits';
import { Button } from '@/ui/button';
import { offerUndo } from '@/ui/notices';
import { SavedAndUndo } from '@/ui/saved-and-undo';
import { CourseCard } from './course-card';
import { CoursesHistory } from './courses-history';
import { Queue } from './queue';
import type { CoursesStore, StudyNames } from './use-courses';

/** Rows of studies with one aim each: what is next, what was promised, and what was painted. */
export function CoursesTab({
  store,
  sittings,
  queue,
  names,
  today,
}: {
  store: CoursesStore;
  sittings: readonly CourseSitting[];
  queue: readonly Queued<Course, CourseStudy>[];
  names: StudyNames | null;
  today: string;
}) {
  const { history, saveState, undo, redo, change } = useStore(store);
  const { courses } = history.present;
  const [edited, setEdited] = useState('');
  const begin = () => {
    const id = newId();
    change((was) => addCourse(was, newCourse(id, 'A course')));
    setEdited(id);
  };
  const drop = (course: Course) => {
    const at = courses.indexOf(course);
    change((was) => dropCourse(was, course.id));
    // Not the last step: something else may have been changed by then.
    offerUndo(`“${course.title}” is gone from the courses; its sessions stay.`, () =>
      change((was) => restoreCourse(was, course, at)),
    );
  };
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-2 print:hidden">
        <Button weight="strong" disabled={courses.length >= MAX_COURSES} onClick={begin}>
          <Plus size={18} aria-hidden /> New course
        </Button>
        <CoursesHistory onRestore={(was) => change(() => was)} />
        <SavedAndUndo {...{ history, saveState, undo, redo }} />
      </div>
      {queue.length > 0 && <Queue queue={queue} names={names} today={today} />}
      {courses.map((course) => (
        <CourseCard
          key={course.id}
          course={course}
          sittings={sittings}
          names={names}
          today={today}
          change={change}
          isEdited={edited === course.id}
          onEdit={(isEdited) => setEdited(isEdited ? course.id : '')}
          onDrop={() => drop(course)}
        />
      ))}
    </>
  );
}
