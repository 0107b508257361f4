import fc from 'fast-check';
import { PAINTERS_WHEEL as WHEEL } from '@/core/colour/wheel';
import {
  ALL_STUDIES,
  isFiltering,
  STUDY_FACETS,
  STUDY_SORTS,
  valuesOf,
  type StudySearch,
} from '@/contracts/study-search';
import { addressOf } from '@/ui/address';
import { studySearchCodec } from './search-address';

const codec = studySearchCodec(WHEEL);

describe('the address of the Wall', () => {
  it('holds a search, and one that makes no sense asks for nothing', () => {
    const facets = Object.fromEntries(
      STUDY_FACETS.map((facet) => [facet, fc.constantFrom('', ...valuesOf(facet, WHEEL))]),
    ) as Record<(typeof STUDY_FACETS)[number], fc.Arbitrary<string>>;
    const searches = fc.record({
      text: fc.string({ maxLength: 50 }).map((text) => text.trim()),
      ...facets,
      sort: fc.constantFrom(...STUDY_SORTS),
    });
    fc.assert(
      fc.property(searches, (search: StudySearch) => {
        expect(codec.read(new URLSearchParams(addressOf(codec, search)))).toEqual(search);
      }),
    );
    const nonsense = new URLSearchParams('family=beige&key=7&sort=luck');
    expect(codec.read(nonsense)).toEqual(ALL_STUDIES);
  });

  it('of a search that only orders filters nothing', () => {
    expect(isFiltering({ ...ALL_STUDIES, sort: 'title', text: ' ' })).toBe(false);
    expect(isFiltering({ ...ALL_STUDIES, key: 'low' })).toBe(true);
  });
});
