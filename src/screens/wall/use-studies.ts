'use client';

import type { Wheel } from '@/core/colour/wheel';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { StudyCard } from '@/contracts/study';
import { STUDIES_PAGE, type FoundStudies, type StudySearch } from '@/contracts/study-search';
import { addressOf } from '@/ui/address';
import { queryFor, useStored } from '@/ui/queries';
import { useAddress } from '@/ui/use-address';
import { usePagedSearch } from '@/ui/use-paged-search';
import { studySearchCodec } from './search-address';

export interface StudyRoom {
  search: StudySearch;
  setSearch: (search: StudySearch) => void;
  total: number;
  overview: NonNullable<FoundStudies['overview']>;
  /** As many as match; those that are not fetched yet are left open. */
  studies: readonly (StudyCard | undefined)[];
  /** Whether what is shown answers an earlier search. */
  asking: boolean;
  see: (from: number, to: number) => void;
}

const pageOf = (search: StudySearch, offset: number) =>
  queryFor(endpoints.searchStudies, { query: { ...search, offset } });
const studiesOf = (page: FoundStudies) => page.studies;
const NO_OVERVIEW: StudyRoom['overview'] = {
  all: 0,
  aspects: [],
  counts: { family: [], key: [], range: [], harmony: [], keyColour: [], greys: [] },
};

/** The search of the Wall and the studies that match, page by page; the address holds the search. */
export function useStudies(opened: StudySearch, firstPage: FoundStudies, wheel: Wheel): StudyRoom {
  useStored(endpoints.searchStudies, { query: { ...opened, offset: 0 } }, firstPage);
  const { search, setSearch, shown, rows, asking, see } = usePagedSearch({
    opened,
    firstPage,
    size: STUDIES_PAGE,
    pageOf,
    rowsOf: studiesOf,
  });
  useAddress(addressOf(studySearchCodec(wheel), search));
  const { total, overview } = shown.page;
  return {
    search,
    setSearch,
    total,
    overview: overview ?? NO_OVERVIEW,
    studies: rows,
    asking,
    see,
  };
}
