'use client';

import type { Wheel } from '@/core/colour/wheel';
import {
  NO_COLOUR,
  valuesOf,
  type FoundStudies,
  type StudyFacet,
  type StudySearch,
} from '@/contracts/study-search';
import { CountBars } from '@/ui/count-bars';
import { initials } from '@/ui/tide';
import { isDrawn, LookGlyph } from './look-glyphs';

/** How the criteria stand, each about as wide as it has values. */
const FACETS: readonly { facet: StudyFacet; title: string; wide: string }[] = [
  { facet: 'family', title: 'Dominant family', wide: 'col-span-13' },
  { facet: 'keyColour', title: 'Key colour', wide: 'col-span-13' },
  { facet: 'harmony', title: 'Harmony', wide: 'col-span-9' },
  { facet: 'key', title: 'Key', wide: 'col-span-4' },
  { facet: 'range', title: 'Range of values', wide: 'col-span-5' },
  { facet: 'greys', title: 'Share of neutrals', wide: 'col-span-5' },
];

/** A value of a facet in words. */
export function lookTitle(facet: StudyFacet, value: string): string {
  switch (facet) {
    case 'family':
      return value === NO_COLOUR ? 'in greys' : `in ${value}`;
    case 'key':
      return `${value} key`;
    case 'range':
      return `${value} range`;
    case 'harmony':
      return value === NO_COLOUR ? 'no scheme' : value;
    case 'keyColour':
      return value === NO_COLOUR ? 'no key colour' : `${value} as key`;
    case 'greys':
      return { few: 'few greys', some: 'some greys', mostly: 'mostly grey' }[value] ?? value;
  }
}

interface Props {
  search: StudySearch;
  counts: NonNullable<FoundStudies['overview']>['counts'];
  wheel: Wheel;
  onChange: (part: Partial<StudySearch>) => void;
}

/** Studies found by what they look like: counts as bars, a press takes one. */
export function LookStrip({ search, counts, wheel, onChange }: Props) {
  return (
    <div className="grid gap-x-5 gap-y-2 bg-panel px-3 py-2 text-ink sm:grid-cols-2 lg:grid-cols-[repeat(26,minmax(0,1fr))]">
      {FACETS.map(({ facet, title, wide }) => {
        const values = valuesOf(facet, wheel);
        return (
          <div key={facet} className={`max-lg:col-span-1! ${wide}`}>
            <h2 className="text-sm font-semibold">{title}</h2>
            <CountBars
              label={title}
              bars={values.map((value) => ({
                short: isDrawn(facet) ? (
                  <LookGlyph facet={facet} value={value} />
                ) : value === NO_COLOUR ? (
                  'grey'
                ) : (
                  initials(value)
                ),
                title: lookTitle(facet, value),
                count: counts[facet].find(({ of }) => of === value)?.count ?? 0,
                on: search[facet] === value,
              }))}
              onToggle={(at) =>
                onChange({ [facet]: search[facet] === values[at] ? '' : values[at] })
              }
            />
          </div>
        );
      })}
    </div>
  );
}
