'use client';

import Link from 'next/link';
import { Finding } from '@/ui/panel-parts';

/** Where the palette has no tube: the way to the Bench. */
export function NoTubes() {
  return (
    <>
      <Finding>No tube lies on your palette yet.</Finding>
      <Link
        href="/bench"
        className="inline-flex min-h-10 items-center border border-ink bg-ink px-3 font-semibold text-sheet"
      >
        Put tubes on it, at the Bench
      </Link>
    </>
  );
}
