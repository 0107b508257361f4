'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Wheel } from '@/core/colour/wheel';
import {
  facetsSchema,
  searchAnswerSchema,
  type Facets,
  type FoundLibrary,
  type LibrarySearch,
  type SearchAnswer,
} from '@/contracts/library-search';
import { call } from '@/ui/api';
import { showError } from '@/ui/notices';
import { queryOf } from './asked';

export const PAGE = 40;
const ASK_AFTER = 150;

export interface Found {
  /** What this answers, which may no longer be what is asked. */
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
  /** Whether what is shown still answers what was asked before. */
  asking: boolean;
  /** Says which rows are seen, so that they are fetched. */
  see: (from: number, to: number) => void;
  /** Changes a row that is shown, ahead of the store. */
  edit: (id: string, part: Partial<FoundLibrary>) => void;
}

/** What is asked of the Drawers, what answers, and the counts beside it; the address bar holds the question. */
export function useSearch(
  asked: LibrarySearch,
  first: SearchAnswer,
  firstFacets: Facets,
  wheel: Wheel,
): SearchRoom {
  const [search, setSearch] = useState(asked);
  const [found, setFound] = useState<Found>(() => foundOf(asked, first));
  const [facets, setFacets] = useState(firstFacets);
  const [asking, setAsking] = useState(false);
  // The page was asked for anew, for something has changed in the store.
  const [given, setGiven] = useState(first);
  if (given !== first) {
    setGiven(first);
    if (JSON.stringify(asked) === JSON.stringify(search)) {
      setFound(foundOf(asked, first));
      setFacets(firstFacets);
    }
  }
  const turn = useRef(0);
  const fetching = useRef(new Set<number>());

  const ask = useCallback(async (next: LibrarySearch) => {
    const own = ++turn.current;
    fetching.current.clear();
    try {
      const answer = await fetchPage(next, 0);
      if (own !== turn.current) return;
      setFound(foundOf(next, answer));
      const counts = await call('POST', '/api/drawers/facets', facetsSchema, next);
      if (own === turn.current) setFacets(counts);
    } catch (error) {
      if (own === turn.current) showError(error);
    } finally {
      if (own === turn.current) setAsking(false);
    }
  }, []);

  const waiting = useRef<ReturnType<typeof setTimeout>>(undefined);
  const change = (next: LibrarySearch) => {
    setSearch(next);
    setAsking(true);
    clearTimeout(waiting.current);
    waiting.current = setTimeout(() => {
      const query = queryOf(next, wheel);
      window.history.replaceState(null, '', query ? `/drawers?${query}` : '/drawers');
      void ask(next);
    }, ASK_AFTER);
  };
  useEffect(() => () => clearTimeout(waiting.current), []);

  const see = useCallback(
    (from: number, to: number) => {
      for (let at = Math.floor(from / PAGE) * PAGE; at <= to; at += PAGE) {
        if (at >= found.total || found.rows[at] || fetching.current.has(at)) continue;
        fetching.current.add(at);
        const own = turn.current;
        // Of what is shown, though something else may be asked already.
        fetchPage(found.to, at)
          .then((answer) => {
            if (own !== turn.current) return;
            setFound((was) => ({
              to: was.to,
              total: answer.total,
              rows: was.rows.toSpliced(at, answer.libraries.length, ...answer.libraries),
            }));
          }, showError)
          .finally(() => own === turn.current && fetching.current.delete(at));
      }
    },
    [found],
  );

  return {
    search,
    setSearch: change,
    found,
    facets,
    asking,
    see,
    edit: (id, part) =>
      setFound((was) => ({
        ...was,
        rows: was.rows.map((row) => (row?.id === id ? { ...row, ...part } : row)),
      })),
  };
}

function foundOf(to: LibrarySearch, { total, libraries }: SearchAnswer): Found {
  const rows: Found['rows'] = Array.from({ length: total }, () => undefined);
  rows.splice(0, libraries.length, ...libraries);
  return { to, total, rows };
}

function fetchPage(search: LibrarySearch, offset: number): Promise<SearchAnswer> {
  return call('POST', '/api/drawers/search', searchAnswerSchema, { search, offset, limit: PAGE });
}
