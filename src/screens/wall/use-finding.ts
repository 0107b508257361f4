'use client';

import { useSearchParams } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { Wheel } from '@/core/colour/wheel';
import { findingFrom, queryOf, type Finding } from './finding';

const ADDRESS_AFTER = 200;

/** What is asked of the Wall; the address bar holds it, so that a reload or a shared link comes back to it. */
export function useFinding(wheel: Wheel): [Finding, (finding: Finding) => void] {
  const query = useSearchParams();
  const [finding, setFinding] = useState(() => findingFrom(new URLSearchParams(query), wheel));
  useEffect(() => {
    const waiting = setTimeout(() => {
      const next = queryOf(finding);
      // An address that is right already is left alone: a page may be on its way.
      if (next === new URLSearchParams(window.location.search).toString()) return;
      window.history.replaceState(null, '', next ? `/?${next}` : '/');
    }, ADDRESS_AFTER);
    return () => clearTimeout(waiting);
  }, [finding]);
  return [finding, setFinding];
}
