import type { Queued } from '@/core/session/course';
import type { Course, CourseStudy } from '@/contracts/courses';
import { BeginLink } from './begin-link';
import { courseStudyTitle, dayWords, progressWords } from './course-words';
import type { StudyNames } from './use-courses';

/** Whose palette is next in each course, the earliest promise first. */
export function Queue({
  queue,
  names,
  today,
}: {
  queue: readonly Queued<Course, CourseStudy>[];
  names: StudyNames | null;
  today: string;
}) {
  return (
    <section aria-label="Next" className="mb-5 border border-ink px-4 py-2">
      <h2 className="text-sm font-semibold">Next</h2>
      <ol>
        {queue.map(({ course, study, progress }) => (
          <li
            key={course.id}
            className="flex flex-wrap items-center gap-x-4 border-t py-1 first:border-t-0"
          >
            <span className="min-w-0 grow font-serif text-lg leading-snug">
              {courseStudyTitle(study, names)}
              <span className="block font-sans text-[15px] text-soft">
                {course.title} · {course.aim} ·{' '}
                {study.promised && `promised for ${dayWords(study.promised, today)}, `}
                {progressWords(progress, study.promised, today)}
              </span>
            </span>
            {names?.has(study.studyId ?? '') && (
              <BeginLink course={course} study={study} progress={progress} isStrong />
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}
