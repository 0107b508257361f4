'use client';

import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { Wheel } from '@/core/colour/wheel';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { Facets, FoundLibrary, LibrarySearch, SearchAnswer } from '@/contracts/library-search';
import { addressOf } from '@/ui/address';
import { keyOf, queryFor, useStored } from '@/ui/queries';
import { useAddress } from '@/ui/use-address';
import { usePagedSearch } from '@/ui/use-paged-search';
import { searchCodec } from './search-address';

export const PAGE = 40;

export interface Found {
  /** The search that this answers, which may no longer be the current one. */
  to: LibrarySearch;
  total: number;
  /** Places not fetched yet are left open. */
  rows: readonly (FoundLibrary | undefined)[];
}

export interface SearchRoom {
  search: LibrarySearch;
  setSearch: (search: LibrarySearch) => void;
  found: Found;
  facets: Facets;
  /** Whether what is shown answers an earlier search. */
  asking: boolean;
  /** Says which rows are seen, so that they are fetched. */
  see: (from: number, to: number) => void;
  /** Changes a row that is shown, ahead of the store. */
  edit: (id: string, part: Partial<FoundLibrary>) => void;
}

const pageOf = (search: LibrarySearch, offset: number) =>
  queryFor(endpoints.searchLibraries, { body: { search, offset, limit: PAGE } });
const librariesOf = (page: SearchAnswer) => page.libraries;

/** The search of the Drawers, its results and the counts beside it; the address holds the search. */
export function useSearch(
  opened: LibrarySearch,
  firstPage: SearchAnswer,
  firstFacets: Facets,
  wheel: Wheel,
): SearchRoom {
  const client = useQueryClient();
  useStored(
    endpoints.searchLibraries,
    { body: { search: opened, offset: 0, limit: PAGE } },
    firstPage,
  );
  useStored(endpoints.countFacets, { body: opened }, firstFacets);
  const { search, setSearch, query, shown, rows, asking, see } = usePagedSearch({
    opened,
    firstPage,
    size: PAGE,
    pageOf,
    rowsOf: librariesOf,
  });
  useAddress(addressOf(searchCodec(wheel), query));

  const facets = useQuery({
    ...queryFor(endpoints.countFacets, { body: query }),
    initialData: query === opened ? firstFacets : undefined,
  });
  const [counted, setCounted] = useState(firstFacets);
  if (facets.data && facets.data !== counted) setCounted(facets.data);

  return {
    search,
    setSearch,
    found: { to: shown.to, total: shown.page.total, rows },
    facets: counted,
    asking,
    see,
    edit: (id, part) =>
      client.setQueriesData<SearchAnswer>(
        { queryKey: keyOf(endpoints.searchLibraries) },
        (answer) =>
          answer && {
            ...answer,
            libraries: answer.libraries.map((row) => (row.id === id ? { ...row, ...part } : row)),
          },
      ),
  };
}
