'use client';

import { usePathname } from 'next/navigation';
import { useEffect } from 'react';
import { readable } from './address';
import { useDebounced } from './use-debounced';

const ADDRESS_AFTER = 200;

/** Keeps the address bar in step with what is looked at, without a new page: a reload or a shared link comes back to it. */
export function useAddress(query: string): void {
  const path = usePathname();
  const { run } = useDebounced(ADDRESS_AFTER);
  useEffect(
    () =>
      run(() => {
        // An address that is right already is left alone: a page may be on its way.
        if (query === readable(new URLSearchParams(window.location.search))) return;
        window.history.replaceState(null, '', query ? `${path}?${query}` : path);
      }),
    [run, query, path],
  );
}
