'use client';

import { ArrowDown, ArrowUp, EyeOff, Eye, X } from 'lucide-react';
import { useState } from 'react';
import { courseProgress, type CourseSitting } from '@/core/session/course';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { Course, CourseStudy } from '@/contracts/courses';
import { dropCourseStudy, editCourseStudy, moveCourseStudy } from '@/study/course-edits';
import { Button } from '@/ui/button';
import { AddStudy } from './add-study';
import { BeginLink } from './begin-link';
import { courseStudyTitle, progressWords } from './course-words';
import type { ChangeCourses, StudyNames } from './use-courses';

/** A day of a year that a calendar has. */
const DAY = /^\d{4}-\d\d-\d\d$/;

/** One study of a course: whose it is, the day it is promised for, and how far it has come. */
export function CourseRow({
  course,
  study,
  at,
  sittings,
  names,
  today,
  change,
}: {
  course: Course;
  study: CourseStudy;
  at: number;
  sittings: readonly CourseSitting[];
  names: StudyNames | null;
  today: string;
  change: ChangeCourses;
}) {
  const [isChoosing, setChoosing] = useState(false);
  const progress = courseProgress(study, sittings);
  const named = study.studyId ? names?.get(study.studyId) : undefined;
  const title = courseStudyTitle(study, names);
  // In the place of one that was deleted since another can be chosen.
  const isThere = study.studyId !== null && (names === null || named !== undefined);
  const edit = (part: Partial<CourseStudy>, key?: string) =>
    change((was) => editCourseStudy(was, course.id, study.id, part), key);
  const move = (by: -1 | 1) => change((was) => moveCourseStudy(was, course.id, study.id, by));
  const isOut = progress.state === 'left out';
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t py-1.5 print:break-inside-avoid">
      {named ? (
        <img
          src={hrefOf(endpoints.getPicture, { id: named.pictureId, rendition: 'thumbnail' })}
          alt=""
          loading="lazy"
          className="h-12 w-16 bg-faint object-cover"
        />
      ) : (
        <span aria-hidden className="h-12 w-16 border border-dashed border-line" />
      )}
      <div className="min-w-40 grow basis-0 max-lg:min-w-[70%]">
        <p className={`font-serif text-lg leading-snug ${isOut ? 'text-soft line-through' : ''}`}>
          {title}
        </p>
        <p className="text-[15px] text-soft">
          {progressWords(progress, study.promised, today)}
          {study.studyId && study.words && ` · ${study.words}`}
        </p>
      </div>
      <label className="flex items-center gap-2 text-sm text-soft">
        promised for
        <input
          type="date"
          aria-label={`${title}: promised for`}
          value={study.promised ?? ''}
          onChange={({ target }) =>
            edit({ promised: DAY.test(target.value) ? target.value : null }, `${study.id} promised`)
          }
          className="h-10 border border-line bg-sheet px-2 text-[15px] text-ink"
        />
      </label>
      <div className="flex items-center print:hidden">
        <div className="flex w-38 justify-end">
          {isThere ? (
            <BeginLink course={course} study={study} progress={progress} />
          ) : (
            <Button
              className="border-line! px-2 font-normal! whitespace-nowrap"
              onClick={() => setChoosing(true)}
            >
              Choose its picture …
            </Button>
          )}
        </div>
        <Button
          weight="quiet"
          aria-label={`${title} earlier`}
          disabled={at === 0}
          onClick={() => move(-1)}
        >
          <ArrowUp size={16} aria-hidden />
        </Button>
        <Button
          weight="quiet"
          aria-label={`${title} later`}
          disabled={at === course.studies.length - 1}
          onClick={() => move(1)}
        >
          <ArrowDown size={16} aria-hidden />
        </Button>
        <Button
          weight="quiet"
          aria-pressed={study.isLeftOut}
          aria-label={`Leave out ${title}`}
          title={study.isLeftOut ? 'Take back in' : 'Leave out'}
          disabled={progress.state === 'painted'}
          onClick={() => edit({ isLeftOut: !study.isLeftOut })}
        >
          {study.isLeftOut ? <Eye size={16} aria-hidden /> : <EyeOff size={16} aria-hidden />}
        </Button>
        <Button
          weight="quiet"
          aria-label={`Remove ${title} from the course`}
          title="Remove"
          onClick={() => change((was) => dropCourseStudy(was, course.id, study.id))}
        >
          <X size={16} aria-hidden />
        </Button>
      </div>
      <AddStudy
        open={isChoosing}
        onClose={() => setChoosing(false)}
        title={`The picture for “${title}”`}
        onAdd={({ studyId, words }) => {
          edit({ studyId, words: words || study.words });
          setChoosing(false);
        }}
      />
    </li>
  );
}
