import { PAINTERS_WHEEL } from '@/core/colour/wheel';
import { ALL_STUDIES, STUDY_FACETS, type StudySearch } from '@/contracts/study-search';
import { countValues, filterStudies, type StudyFacts } from './filter-studies';

const WHEEL = PAINTERS_WHEEL;

type Colours = NonNullable<NonNullable<StudyFacts['reading']>['colours']>;
const read = (median: number, colours: Partial<Colours> | null): StudyFacts['reading'] => ({
  key: median < 4 ? 'low' : 'middle',
  range: 'full',
  median,
  spread: median,
  colours: colours && {
    family: null,
    keyFamily: null,
    harmony: null,
    neutral: 0.3,
    temperature: 0,
    ...colours,
  },
});
const study = (title: string, reading: StudyFacts['reading'], ...said: string[]): StudyFacts => ({
  title,
  said,
  reading,
});

const dusk = study(
  'Dusk 10',
  read(2, { family: 'blue', keyFamily: 'blue', harmony: 'complement', temperature: -0.5 }),
  'Orla',
  'colour',
);
const hall = study(
  'Hall',
  read(6, { family: 'red-orange', harmony: 'triad', neutral: 0.1, temperature: 0.4 }),
);
const fog = study('Dusk 9, fog', read(7, { neutral: 0.95 }));
const unread = study('New', null);
const ALL = [dusk, hall, fog, unread];

const ask = (part: Partial<StudySearch>): StudySearch => ({ ...ALL_STUDIES, ...part });
const titles = (search: StudySearch) => filterStudies(ALL, search, WHEEL).map(({ title }) => title);

describe('a search over studies', () => {
  it('finds by every word of a title, maker or aim', () => {
    expect(titles(ask({ text: ' dusk  ORLA ' }))).toEqual(['Dusk 10']);
    expect(titles(ask({ text: 'colour' }))).toEqual(['Dusk 10']);
    expect(titles(ask({ text: 'nothing' }))).toEqual([]);
    expect(titles(ALL_STUDIES)).toEqual(ALL.map(({ title }) => title));
  });

  it('finds by family, key, harmony, key colour and neutrals, and greys by their having none', () => {
    expect(titles(ask({ family: 'blue' }))).toEqual(['Dusk 10']);
    expect(titles(ask({ family: 'none' }))).toEqual(['Dusk 9, fog']);
    expect(titles(ask({ key: 'middle' }))).toEqual(['Hall', 'Dusk 9, fog']);
    expect(titles(ask({ harmony: 'triad' }))).toEqual(['Hall']);
    expect(titles(ask({ keyColour: 'blue', key: 'middle' }))).toEqual([]);
    expect(titles(ask({ greys: 'mostly' }))).toEqual(['Dusk 9, fog']);
    expect(titles(ask({ greys: 'few' }))).toEqual(['Hall']);
  });

  it('orders by what is asked, what is unknown last, numbers in titles as numbers', () => {
    expect(titles(ask({ sort: 'title' }))).toEqual(['Dusk 9, fog', 'Dusk 10', 'Hall', 'New']);
    expect(titles(ask({ sort: 'lightest' }))[0]).toBe('Dusk 9, fog');
    expect(titles(ask({ sort: 'widest range' })).at(-1)).toBe('New');
    expect(titles(ask({ sort: 'family' }))).toEqual(['Hall', 'Dusk 10', 'Dusk 9, fog', 'New']);
    expect(titles(ask({ sort: 'most grey' }))[0]).toBe('Dusk 9, fog');
    expect(titles(ask({ sort: 'warmest' })).slice(0, 2)).toEqual(['Hall', 'Dusk 9, fog']);
  });

  it('counts how many each value would leave, the other criteria as they are', () => {
    const families = countValues(ALL, ask({ key: 'middle', family: 'blue' }), 'family', WHEEL);
    expect(families).toEqual([
      { of: 'red-orange', count: 1 },
      { of: 'blue', count: 0 },
      { of: 'none', count: 1 },
    ]);
    for (const facet of STUDY_FACETS)
      for (const { of, count } of countValues(ALL, ALL_STUDIES, facet, WHEEL))
        expect(titles(ask({ [facet]: of }))).toHaveLength(count);
  });
});
