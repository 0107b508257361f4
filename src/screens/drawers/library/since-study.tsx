'use client';

import { useQuery } from '@tanstack/react-query';
import Link from 'next/link';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { Swatch } from '@/contracts/library';
import { differencesFromStudy, type StudyDifferences } from '@/study/library';
import { queryFor } from '@/ui/queries';
import { capital, list } from '@/ui/words';

/** The study that a library was made in, what is no longer as it is there, and the way to try it on its picture. */
export function SinceStudy({
  studyId,
  libraryId,
  swatches,
}: {
  studyId: string;
  libraryId: string;
  swatches: readonly Swatch[];
}) {
  // A study that was deleted is said here, and no error.
  const { data, error } = useQuery({
    ...queryFor(endpoints.getStudy, { id: studyId }),
    meta: { isQuiet: true },
  });
  return (
    <section aria-label="The study it was made in" className="text-[15px]">
      <p data-testid="since-study">
        {error
          ? 'The study it was made in is not on the Wall.'
          : data
            ? sinceWords(differencesFromStudy(swatches, data.document.palette.swatches))
            : 'Looking at the study …'}
      </p>
      {data && (
        <div className="flex flex-wrap gap-x-5">
          <Link
            href={`/desk/${studyId}?step=palette`}
            className="flex min-h-10 items-center underline"
          >
            The study it was made in
          </Link>
          <Link
            href={`/desk/${studyId}?step=palette&tab=test&of=${libraryId}`}
            className="flex min-h-10 items-center underline"
          >
            Try it on its picture
          </Link>
        </div>
      )}
    </section>
  );
}

const MAX_NAMES = 4;

function sinceWords(since: StudyDifferences): string {
  const { recoloured, renamed, otherRole, onlyHere, onlyThere } = since;
  const parts = [
    part(recoloured, 'another colour than in the study'),
    part(renamed, 'another name'),
    part(otherRole, 'another role'),
    part(onlyHere, 'only here'),
    part(onlyThere, 'only in the study'),
  ].filter(Boolean);
  if (parts.length === 0) return 'It is as it is in the study that it was made in.';
  return `${parts.map(capital).join('. ')}.`;
}

function part(names: readonly string[], what: string): string {
  if (names.length === 0) return '';
  const shown = names.slice(0, MAX_NAMES).map((name) => `“${name}”`);
  const rest = names.length - shown.length;
  return `${what}: ${list(rest > 0 ? [...shown, `${rest} more`] : shown)}`;
}
