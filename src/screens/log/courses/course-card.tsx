'use client';

import { Pencil, Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { courseProgress, type CourseSitting } from '@/core/session/course';
import { MAX_COURSE_STUDIES, type Course } from '@/contracts/courses';
import { addCourseStudy } from '@/study/course-edits';
import { newId } from '@/study/edits';
import { Button } from '@/ui/button';
import { AddStudy } from './add-study';
import { CourseFields } from './course-fields';
import { CourseRow } from './course-row';
import type { ChangeCourses, StudyNames } from './use-courses';

/** One course: what it aims at, and its studies in their order. */
export function CourseCard({
  course,
  sittings,
  names,
  today,
  change,
  isEdited,
  onEdit,
  onDrop,
}: {
  course: Course;
  sittings: readonly CourseSitting[];
  names: StudyNames | null;
  today: string;
  change: ChangeCourses;
  isEdited: boolean;
  onEdit: (isEdited: boolean) => void;
  onDrop: () => void;
}) {
  const { id, title, aim, minutes, medium, allowed, studies } = course;
  const [isAdding, setAdding] = useState(false);
  const rules = allowed
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean);
  const states = studies.map((study) => courseProgress(study, sittings).state);
  const painted = states.filter((state) => state === 'painted').length;
  const counted = states.filter((state) => state !== 'left out').length;
  return (
    <section aria-label={title} className="mb-6 border-t border-ink pt-2">
      <div className="flex items-start gap-2">
        <div className="min-w-0 grow">
          <h2 className="font-serif text-2xl leading-tight break-words">{title}</h2>
          <p className="text-[15px] text-soft">
            {aim} · {minutes} min · {medium}
            {rules.length > 0 && ` · ${rules.join(', ')}`}
            {counted > 0 && ` · ${painted} of ${counted} painted`}
          </p>
        </div>
        <Button
          weight="quiet"
          className="print:hidden"
          aria-expanded={isEdited}
          onClick={() => onEdit(!isEdited)}
        >
          <Pencil size={16} aria-hidden /> {isEdited ? 'Done' : 'Edit'}
        </Button>
        <Button
          weight="quiet"
          className="print:hidden"
          aria-label={`Delete the course “${title}”`}
          title="Delete"
          onClick={onDrop}
        >
          <Trash2 size={18} aria-hidden />
        </Button>
      </div>
      {isEdited && <CourseFields course={course} change={change} />}
      <ol aria-label={`Studies of ${title}`}>
        {studies.map((study, i) => (
          <CourseRow
            key={study.id}
            course={course}
            study={study}
            at={i}
            sittings={sittings}
            names={names}
            today={today}
            change={change}
          />
        ))}
      </ol>
      {studies.length === 0 && (
        <p className="border-t py-2 text-soft">
          No study yet: add those you mean to paint, or say what is wanted.
        </p>
      )}
      <Button
        className="mt-1 print:hidden"
        disabled={studies.length >= MAX_COURSE_STUDIES}
        onClick={() => setAdding(true)}
      >
        <Plus size={18} aria-hidden /> Add a study …
      </Button>
      <AddStudy
        open={isAdding}
        onClose={() => setAdding(false)}
        title={`Add a study to “${title}”`}
        onAdd={(study) => {
          const entry = newId();
          change((was) => addCourseStudy(was, id, { id: entry, ...study }));
          setAdding(false);
        }}
      />
    </section>
  );
}
