'use client';

import { useQueries, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useMemo, useState } from 'react';
import type { Query } from './queries';
import { useDebounced } from './use-debounced';

const ASK_AFTER = 150;

interface Options<S, A, R> {
  /** What the page was opened with, and the first page of what answers it. */
  opened: S;
  firstPage: A;
  /** How many rows a page has. */
  size: number;
  pageOf: (search: S, offset: number) => Query<A>;
  rowsOf: (page: A) => readonly R[];
}

export interface PagedSearch<S, A, R> {
  search: S;
  setSearch: (search: S) => void;
  /** The search that is sent: as it is once typing or dragging rests. */
  query: S;
  /** What is shown, and the search that it answers, which may no longer be the current one. */
  shown: { to: S; page: A };
  /** As many as match; those that are not fetched yet are left open. */
  rows: readonly (R | undefined)[];
  /** Whether what is shown answers an earlier search. */
  asking: boolean;
  /** Says which rows are seen, so that they are fetched. */
  see: (from: number, to: number) => void;
}

/** A search whose results come page by page as they are seen. `pageOf` and `rowsOf` have to be stable. */
export function usePagedSearch<S extends object, A extends { total: number }, R>({
  opened,
  firstPage,
  size,
  pageOf,
  rowsOf,
}: Options<S, A, R>): PagedSearch<S, A, R> {
  const client = useQueryClient();
  const [search, setSearch] = useState(opened);
  const [query, setQuery] = useState(opened);
  const { run } = useDebounced(ASK_AFTER);

  const { queryFn, queryKey } = pageOf(query, 0);
  const first = useQuery({
    queryKey,
    queryFn,
    initialData: query === opened ? (firstPage as A & object) : undefined,
  });
  // While another search is on its way or not valid, what is shown answers the one before it.
  const [shown, setShown] = useState({ to: opened, page: firstPage });
  const { data } = first as { data: A | undefined };
  if (data && (shown.to !== query || shown.page !== data)) setShown({ to: query, page: data });

  const [seen, setSeen] = useState<{ of: S; offsets: readonly number[] }>({
    of: opened,
    offsets: [],
  });
  const offsets = seen.of === shown.to ? seen.offsets : [];
  const more = useQueries({ queries: offsets.map((offset) => pageOf(shown.to, offset)) });
  const fetched = JSON.stringify(more.map(({ dataUpdatedAt }) => dataUpdatedAt));
  const rows = useMemo(() => {
    const rows = new Array<R | undefined>(shown.page.total).fill(undefined);
    const place = (page: A, offset: number) =>
      rowsOf(page).forEach((row, i) => {
        if (offset + i < rows.length) rows[offset + i] = row;
      });
    place(shown.page, 0);
    more.forEach(({ data }, i) => {
      if (data) place(data as A, offsets[i]);
    });
    return rows;
    // The pages are new objects with every render; when they were fetched says whether they changed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [shown, fetched]);

  const see = useCallback(
    (from: number, to: number) => {
      const last = Math.min(to, shown.page.total - 1);
      const wanted: number[] = [];
      for (let at = Math.max(size, Math.floor(from / size) * size); at <= last; at += size)
        wanted.push(at);
      setSeen((was) => {
        const known = was.of === shown.to ? was.offsets : [];
        const fresh = wanted.filter((offset) => !known.includes(offset));
        return fresh.length === 0 && was.of === shown.to
          ? was
          : { of: shown.to, offsets: [...known, ...fresh] };
      });
    },
    [shown, size],
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
    query,
    shown,
    rows,
    asking: search !== query || first.isPending,
    see,
  };
}
