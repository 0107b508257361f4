import type { Wheel } from '@/core/colour/wheel';
import { STUDY_SORTS, valuesOf, type StudyFacet, type StudySearch } from '@/contracts/study-search';
import { addressCodec, oneOf, text, type AddressCodec } from '@/ui/address';

/** What the address holds of a search: each criterion under its own name. */
export function studySearchCodec(wheel: Wheel): AddressCodec<StudySearch> {
  const facet = (name: StudyFacet) => oneOf(name, ['', ...valuesOf(name, wheel)], '');
  return addressCodec<StudySearch>({
    text: text('text', 200),
    family: facet('family'),
    key: facet('key'),
    range: facet('range'),
    harmony: facet('harmony'),
    keyColour: facet('keyColour'),
    greys: facet('greys'),
    sort: oneOf('sort', STUDY_SORTS, 'newest'),
  });
}
