'use client';

import { useQuery } from '@tanstack/react-query';
import Link from 'next/link';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { queryFor } from './queries';

const EVERY = 10 * 60_000;

/** Says in every room that copies fail, until one is made again. */
export function CopyFailure() {
  const { data } = useQuery({
    ...queryFor(endpoints.getStoreState, {}),
    staleTime: EVERY,
    gcTime: EVERY,
    refetchInterval: EVERY,
    meta: { isQuiet: true },
  });
  if (!data?.failed) return null;
  return (
    <Link
      href="/drawers/keep"
      title={data.failed.why}
      className="flex min-h-10 items-center px-2 font-semibold whitespace-nowrap underline"
    >
      Copies fail
    </Link>
  );
}
