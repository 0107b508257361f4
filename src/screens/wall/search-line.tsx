'use client';

import { ChevronDown } from 'lucide-react';
import Link from 'next/link';
import { useState } from 'react';
import type { Wheel } from '@/core/colour/wheel';
import {
  ALL_STUDIES,
  isFiltering,
  STUDY_FACETS,
  STUDY_SORTS,
  type StudySearch,
} from '@/contracts/study-search';
import { Button } from '@/ui/button';
import { Select } from '@/ui/select';
import { capital, several } from '@/ui/words';
import { lookTitle, LookStrip } from './look-strip';
import type { StudyRoom } from './use-studies';

interface Props {
  room: Pick<StudyRoom, 'search' | 'setSearch' | 'total' | 'overview' | 'asking'>;
  wheel: Wheel;
}

/** How many hang, in what order, and the bars to find them by what they look like. */
export function SearchLine({ room, wheel }: Props) {
  const { search, setSearch, total, overview, asking } = room;
  const [open, setOpen] = useState(STUDY_FACETS.some((facet) => search[facet] !== ''));
  const change = (part: Partial<StudySearch>) => setSearch({ ...search, ...part });
  const facetsInUse = STUDY_FACETS.filter((facet) => search[facet] !== '');
  return (
    <search aria-label="Studies" className="mb-5 block">
      <div className="mb-2 flex flex-wrap items-center gap-2">
        <p role="status" className={`mr-1 font-serif text-xl ${asking ? 'text-soft' : ''}`}>
          {isFiltering(search)
            ? `${total} of ${overview.all}`
            : capital(several(overview.all, 'study', 'studies'))}
        </p>
        {facetsInUse.map((facet) => (
          <button
            key={facet}
            type="button"
            aria-label={`Not only ${lookTitle(facet, search[facet])}`}
            onClick={() => change({ [facet]: '' })}
            className="min-h-10 border border-ink bg-ink px-2.5 text-[15px] font-semibold text-sheet"
          >
            {lookTitle(facet, search[facet])} ×
          </button>
        ))}
        {isFiltering(search) && (
          <Button onClick={() => setSearch({ ...ALL_STUDIES, sort: search.sort })}>Show all</Button>
        )}
        <span className="ml-auto flex flex-wrap items-center gap-2">
          <Button aria-expanded={open} onClick={() => setOpen(!open)}>
            Find by look
            <ChevronDown size={18} aria-hidden className={open ? 'rotate-180' : ''} />
          </Button>
          <Link
            href="/series"
            className="flex min-h-10 items-center border border-ink bg-sheet px-3 text-[15px] font-semibold text-ink hover:bg-faint"
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
      </div>
      {open && (
        <LookStrip search={search} counts={overview.counts} wheel={wheel} onChange={change} />
      )}
    </search>
  );
}
