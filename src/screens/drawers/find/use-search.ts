'use client';

import { useQueries, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useMemo, useState } from 'react';
import type { Wheel } from '@/core/colour/wheel';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { Facets, FoundLibrary, LibrarySearch, SearchAnswer } from '@/contracts/library-search';
import { addressOf } from '@/ui/address';
import { keyOf, queryFor, useStored } from '@/ui/queries';
import { useAddress } from '@/ui/use-address';
import { useDebounced } from '@/ui/use-debounced';
import { searchCodec } from './search-address';

export const PAGE = 40;
const ASK_AFTER = 150;

export interface Found {
  /** The search that this answers, which may no longer be the current one. */
  to: LibrarySearch;
  total: number;
  /** Places not fetched yet are left open. */
  rows: (FoundLibrary | undefined)[];
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

/** The search of the Drawers, its results and the counts beside it; the address holds the search. */
export function useSearch(
  opened: LibrarySearch,
  firstPage: SearchAnswer,
  firstFacets: Facets,
  wheel: Wheel,
): SearchRoom {
  const client = useQueryClient();
  const [search, setSearch] = useState(opened);
  /** The search that is sent: as it is once typing or dragging rests. */
  const [query, setQuery] = useState(opened);
  const { run } = useDebounced(ASK_AFTER);
  useAddress(addressOf(searchCodec(wheel), query));
  useStored(
    endpoints.searchLibraries,
    { body: { search: opened, offset: 0, limit: PAGE } },
    firstPage,
  );
  useStored(endpoints.countFacets, { body: opened }, firstFacets);

  const { queryFn, ...first } = pageOf(query, 0);
  const page = useQuery({
    ...first,
    queryFn,
    initialData: query === opened ? firstPage : undefined,
  });
  const facets = useQuery({
    ...queryFor(endpoints.countFacets, { body: query }),
    initialData: query === opened ? firstFacets : undefined,
  });
  // While another search is on its way or not valid, what is shown answers the one before it.
  const [shown, setShown] = useState({ to: opened, page: firstPage });
  if (page.data && (shown.to !== query || shown.page !== page.data))
    setShown({ to: query, page: page.data });
  const [counted, setCounted] = useState(firstFacets);
  if (facets.data && facets.data !== counted) setCounted(facets.data);

  const [seen, setSeen] = useState<{ of: LibrarySearch; offsets: readonly number[] }>({
    of: opened,
    offsets: [],
  });
  const offsets = seen.of === shown.to ? seen.offsets : [];
  const more = useQueries({ queries: offsets.map((offset) => pageOf(shown.to, offset)) });
  const fetched = JSON.stringify(more.map(({ dataUpdatedAt }) => dataUpdatedAt));
  const found = useMemo((): Found => {
    const rows: Found['rows'] = Array.from({ length: shown.page.total }, () => undefined);
    rows.splice(0, shown.page.libraries.length, ...shown.page.libraries);
    more.forEach(({ data }, i) => {
      if (data) rows.splice(offsets[i], data.libraries.length, ...data.libraries);
    });
    return { to: shown.to, total: shown.page.total, rows };
    // The pages are new objects with every render; when they were fetched says whether they changed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [shown, fetched]);

  const see = useCallback(
    (from: number, to: number) => {
      const last = Math.min(to, shown.page.total - 1);
      const wanted: number[] = [];
      for (let at = Math.max(PAGE, Math.floor(from / PAGE) * PAGE); at <= last; at += PAGE)
        wanted.push(at);
      setSeen((was) => {
        const known = was.of === shown.to ? was.offsets : [];
        const fresh = wanted.filter((offset) => !known.includes(offset));
        return fresh.length === 0 && was.of === shown.to
          ? was
          : { of: shown.to, offsets: [...known, ...fresh] };
      });
    },
    [shown],
  );

  return {
    search,
    setSearch: (next) => {
      setSearch(next);
      run(() => {
        setQuery(next);
        // Asking the same again is the way to try again.
        void client.refetchQueries({ predicate: ({ state }) => state.status === 'error' });
      });
    },
    found,
    facets: counted,
    asking: search !== query || page.isPending,
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
