import type { Wheel } from '@/core/colour/wheel';
import type { StudyCard } from '@/contracts/study';
import {
  NO_COLOUR,
  STUDY_FACETS,
  valuesOf,
  type StudyFacet,
  type StudySearch,
  type StudySort,
} from '@/contracts/study-search';

const SOME = 0.2;
const MOSTLY = 0.6;

/** What a study is found and ordered by. */
export interface StudyFacts {
  title: string;
  /** Maker, source, aims and the names of its swatches. */
  said: readonly string[];
  reading: StudyCard['reading'];
}

/** A study's value of a facet; null while it is not known. */
function valueOf({ reading }: StudyFacts, facet: StudyFacet): string | null {
  if (!reading) return null;
  if (facet === 'key' || facet === 'range') return reading[facet];
  const { colours } = reading;
  if (!colours) return null;
  if (facet === 'greys')
    return colours.neutral >= MOSTLY ? 'mostly' : colours.neutral >= SOME ? 'some' : 'few';
  const values = {
    family: colours.family,
    harmony: colours.harmony,
    keyColour: colours.keyFamily,
  };
  return values[facet] ?? NO_COLOUR;
}

/** Whether every word of the text is in the title or in what else is said of a study. */
function says({ title, said }: StudyFacts, text: string): boolean {
  if (text === '') return true;
  const whole = [title, ...said].join('\n').toLowerCase();
  return text
    .toLowerCase()
    .split(/\s+/)
    .every((word) => whole.includes(word));
}

function fits(study: StudyFacts, search: StudySearch, but?: StudyFacet): boolean {
  return (
    STUDY_FACETS.every(
      (facet) => facet === but || search[facet] === '' || valueOf(study, facet) === search[facet],
    ) && says(study, search.text.trim())
  );
}

/** The studies that match, in the chosen order; those without a value to order by come last. */
export function filterStudies<T extends StudyFacts>(
  studies: readonly T[],
  search: StudySearch,
  wheel: Wheel,
): T[] {
  const place = placeIn(search.sort, wheel);
  return studies
    .filter((study) => fits(study, search))
    .map((study) => ({ study, at: place(study) }))
    .sort((one, other) => compare(one.at, other.at))
    .map(({ study }) => study);
}

type Place = number | string | null;

function placeIn(sort: StudySort, wheel: Wheel): (study: StudyFacts) => Place {
  switch (sort) {
    case 'newest':
      // As they come.
      return () => 0;
    case 'title':
      return ({ title }) => title;
    case 'lightest':
      return ({ reading }) => reading && -reading.median;
    case 'widest range':
      return ({ reading }) => reading && -reading.spread;
    case 'family':
      return ({ reading }) => {
        const family = reading?.colours?.family;
        return family ? wheel.families.indexOf(family) : null;
      };
    case 'most grey':
      return ({ reading }) => (reading?.colours ? -reading.colours.neutral : null);
    case 'warmest':
      return ({ reading }) => (reading?.colours ? -reading.colours.temperature : null);
  }
}

const byTitle = new Intl.Collator(undefined, { numeric: true });

function compare(one: Place, other: Place): number {
  if (one === null || other === null) return Number(one === null) - Number(other === null);
  if (typeof one === 'string' || typeof other === 'string')
    return byTitle.compare(String(one), String(other));
  return one - other;
}

/**
 * The values of a facet and how many studies would match each, the other criteria as they are; what
 * none would match is left out unless it is what is asked.
 */
export function countValues(
  studies: readonly StudyFacts[],
  search: StudySearch,
  facet: StudyFacet,
  wheel: Wheel,
): { of: string; count: number }[] {
  const counts = new Map<string | null, number>();
  for (const study of studies)
    if (fits(study, search, facet)) {
      const value = valueOf(study, facet);
      counts.set(value, (counts.get(value) ?? 0) + 1);
    }
  return valuesOf(facet, wheel)
    .map((of) => ({ of, count: counts.get(of) ?? 0 }))
    .filter(({ of, count }) => count > 0 || of === search[facet]);
}
