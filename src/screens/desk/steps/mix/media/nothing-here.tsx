'use client';

import Link from 'next/link';
import type { ItemKind } from '@/contracts/shelf';
import { ITEM_NOUN } from '@/study/shelf-items';
import { Finding } from '@/ui/panel-parts';

/** Where nothing of a kind lies to hand: the way to the Bench. */
export function NothingHere({ kind, need }: { kind: ItemKind; need?: string }) {
  return (
    <>
      <Finding>{need ?? `No ${ITEM_NOUN[kind]} lies to hand.`}</Finding>
      <Link
        href={`/bench?tab=${kind}`}
        className="inline-flex min-h-10 items-center border border-ink bg-ink px-3 font-semibold text-sheet"
      >
        Bring a set in, at the Bench
      </Link>
    </>
  );
}
