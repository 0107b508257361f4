'use client';

import Link from 'next/link';
import type { Wheel } from '@/core/colour/wheel';
import type { StudyCard } from '@/contracts/study';
import { Button } from '@/ui/button';
import { Select } from '@/ui/select';
import {
  asksSomething,
  choices,
  FACETS,
  NO_COLOUR,
  NO_FINDING,
  SORTS,
  type Facet,
  type Finding,
} from './finding';

const ANY: Record<Facet, string> = {
  family: 'any family',
  key: 'any key',
  range: 'any range',
  harmony: 'any harmony',
  keyColour: 'any key colour',
  greys: 'any greys',
};
const LABELS: Record<Facet, string> = {
  family: 'Dominant family',
  key: 'Key',
  range: 'Range of values',
  harmony: 'Harmony',
  keyColour: 'Key colour',
  greys: 'Share of neutrals',
};

function titleOf(facet: Facet, answer: string): string {
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
  studies: readonly StudyCard[];
  shown: number;
  finding: Finding;
  wheel: Wheel;
  onChange: (finding: Finding) => void;
}

/** What studies are found and hung by, each answer with how many it leaves. */
export function FindingLine({ studies, shown, finding, wheel, onChange }: Props) {
  return (
    <search aria-label="Studies" className="mb-5 flex flex-wrap items-center gap-2">
      {FACETS.map((facet) => (
        <Select
          key={facet}
          label={LABELS[facet]}
          value={finding.facets[facet]}
          strong={finding.facets[facet] !== ''}
          options={[
            { value: '', title: ANY[facet] },
            ...choices(studies, finding, facet, wheel).map(({ answer, count }) => ({
              value: answer,
              title: `${titleOf(facet, answer)} (${count})`,
            })),
          ]}
          onChange={(answer) =>
            onChange({ ...finding, facets: { ...finding.facets, [facet]: answer } })
          }
        />
      ))}
      <span className="ml-auto flex items-center gap-2">
        {asksSomething(finding) && (
          <>
            <span role="status">
              {shown} of {studies.length}
            </span>
            <Button onClick={() => onChange({ ...NO_FINDING, sort: finding.sort })}>
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
          value={finding.sort}
          options={SORTS.map((sort) => ({ value: sort, title: `by ${sort}` }))}
          onChange={(sort) => onChange({ ...finding, sort })}
        />
      </span>
    </search>
  );
}
