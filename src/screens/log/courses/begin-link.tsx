import Link from 'next/link';
import type { CourseProgress } from '@/core/session/course';
import type { Course, CourseStudy } from '@/contracts/courses';

const WEIGHTS = {
  strong: 'border-ink bg-ink text-sheet font-semibold',
  plain: 'border-line hover:bg-faint',
};

/** The way to the easel for a study of a course: the session that is begun, else the form that begins one. */
export function BeginLink({
  course,
  study: { id, studyId },
  progress: { state, session },
  isStrong = false,
}: {
  course: Course;
  study: CourseStudy;
  progress: CourseProgress;
  isStrong?: boolean;
}) {
  if (!studyId) return null;
  const [href, words] =
    state === 'painted'
      ? [`/desk/${studyId}?step=check&session=${session ?? ''}`, 'Its check']
      : state === 'begun'
        ? [`/easel/${session ?? ''}`, 'Back to the easel']
        : [`/desk/${studyId}?step=check&course=${course.id}&entry=${id}`, 'To the easel …'];
  return (
    <Link
      href={href}
      className={`flex min-h-10 items-center border px-3 text-[15px] whitespace-nowrap ${WEIGHTS[isStrong ? 'strong' : 'plain']}`}
    >
      {words}
    </Link>
  );
}
