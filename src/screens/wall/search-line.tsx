'use client';

import Link from 'next/link';
import {
  ALL_STUDIES,
  isFiltering,
  NO_COLOUR,
  STUDY_FACETS,
  STUDY_SORTS,
  type StudyFacet,
  type StudySearch,
} from '@/contracts/study-search';
import { Button } from '@/ui/button';
import { Select } from '@/ui/select';
import type { StudyRoom } from './use-studies';

const ANY: Record<StudyFacet, string> = {
  family: 'any family',
  key: 'any key',
  range: 'any range',
  harmony: 'any harmony',
  keyColour: 'any key colour',
  greys: 'any greys',
};
const LABELS: Record<StudyFacet, string> = {
  family: 'Dominant family',
  key: 'Key',
  range: 'Range of values',
  harmony: 'Harmony',
  keyColour: 'Key colour',
  greys: 'Share of neutrals',
};

function titleOf(facet: StudyFacet, answer: string): string {
  switch (facet) {
    case 'family':
      return answer === NO_COLOUR ? 'in greys' : `in ${answer}`;
    case 'key':
      return `${answer} key`;
    case 'range':
      return `${answer} range`;
    case 'harmony':
      return answer === NO_COLOUR ? 'no scheme' : answer;
    case 'keyColour':
      return answer === NO_COLOUR ? 'no key colour' : `${answer} as key`;
    case 'greys':
      return { few: 'few greys', some: 'some greys', mostly: 'mostly grey' }[answer] ?? answer;
  }
}

interface Props {
  room: Pick<StudyRoom, 'search' | 'setSearch' | 'total' | 'overview' | 'asking'>;
}

/** What studies are found and hung by, each value with how many it leaves. */
export function SearchLine({ room }: Props) {
  const { search, setSearch, total, overview, asking } = room;
  const change = (part: Partial<StudySearch>) => setSearch({ ...search, ...part });
  return (
    <search aria-label="Studies" className="mb-5 flex flex-wrap items-center gap-2">
      {STUDY_FACETS.map((facet) => (
        <Select
          key={facet}
          label={LABELS[facet]}
          value={search[facet]}
          strong={search[facet] !== ''}
          options={[
            { value: '', title: ANY[facet] },
            ...withChosen(overview.counts[facet], search[facet]).map(({ of, count }) => ({
              value: of,
              title: `${titleOf(facet, of)} (${count})`,
            })),
          ]}
          onChange={(value) => change({ [facet]: value })}
        />
      ))}
      <span className="ml-auto flex items-center gap-2">
        {isFiltering(search) && (
          <>
            <span role="status" className={asking ? 'text-soft' : ''}>
              {total} of {overview.all}
            </span>
            <Button onClick={() => setSearch({ ...ALL_STUDIES, sort: search.sort })}>
              Show all
            </Button>
          </>
        )}
        <Link
          href="/series"
          className="flex min-h-10 items-center border border-ink bg-sheet px-3 text-[15px] font-semibold hover:bg-faint"
        >
          Series
        </Link>
        <Select
          label="Hang by"
          value={search.sort}
          options={STUDY_SORTS.map((sort) => ({ value: sort, title: `by ${sort}` }))}
          onChange={(sort) => change({ sort })}
        />
      </span>
    </search>
  );
}

/** The counts with the chosen value, which the counts of the search before may lack. */
function withChosen(counts: readonly { of: string; count: number }[], chosen: string) {
  if (chosen === '' || counts.some(({ of }) => of === chosen)) return counts;
  return [...counts, { of: chosen, count: 0 }];
}
