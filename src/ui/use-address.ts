'use client';

import { usePathname } from 'next/navigation';
import { useEffect, useRef } from 'react';
import { readable } from './address';
import { useDebounced } from './use-debounced';

const ADDRESS_AFTER = 200;

/** Keeps the address bar in step with what is looked at, without a new page: a reload or a shared link comes back to it. */
export function useAddress(query: string): void {
  const path = usePathname();
  const { run } = useDebounced(ADDRESS_AFTER);
  // Writing the address would call off a page that a link has just asked for.
  const isLeaving = useRef(false);
  useEffect(() => {
    const click = ({ target }: MouseEvent) => {
      isLeaving.current = target instanceof Element && target.closest('a[href]') !== null;
    };
    const key = () => {
      isLeaving.current = false;
    };
    window.addEventListener('click', click, true);
    window.addEventListener('keydown', key, true);
    return () => {
      window.removeEventListener('click', click, true);
      window.removeEventListener('keydown', key, true);
    };
  }, []);
  useEffect(() => {
    const isWritten = () => query === readable(new URLSearchParams(window.location.search));
    const state = document.documentElement.dataset;
    state.address = isWritten() ? 'written' : 'pending';
    run(() => {
      state.address = 'written';
      // An address that is right already is left alone: a page may be on its way.
      if (isLeaving.current || isWritten()) return;
      window.history.replaceState(null, '', query ? `${path}?${query}` : path);
    });
  }, [run, query, path]);
  useEffect(() => () => void delete document.documentElement.dataset.address, []);
}
