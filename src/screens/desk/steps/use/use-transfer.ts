'use client';

import { useMemo } from 'react';
import type { SubjectMass } from '@/core/transfer/subject';
import type { QueryOf } from '@/contracts/desk-query/desk-query';
import type { ProposalAnswer } from '@/contracts/desk-query/transfer-queries';
import type { TransferChoice, UsedColour } from '@/contracts/use';
import { triedNow, usedColours } from '@/study/use-edits';
import { useDocument } from '../../desk-store';
import { useAnswer } from '../../use-answer';
import { madeQuery } from '../../made-query';

/** What the worker makes a transfer of. */
export type TransferQuery = Omit<QueryOf<'transferFigures'>, 'kind'>;
export type Held = TransferChoice['held'][number];

/** What is put on the picture as the study has it; the query is null while there are no colours. */
export function useTransferQuery(): { colours: UsedColour[]; query: TransferQuery | null } {
  const document = useDocument((all) => all);
  return useMemo(() => {
    const made = madeQuery(triedNow(document, 'transfer'), document, 'painters', 'whole');
    const colours = usedColours(document);
    if (made?.kind !== 'transferred') return { colours, query: null };
    const { size: _size, grey: _grey, kind: _kind, ...query } = made;
    return { colours, query };
  }, [document]);
}

export interface Transfer {
  colours: UsedColour[];
  query: TransferQuery | null;
  masses: readonly SubjectMass[];
  proposals: readonly ProposalAnswer[];
  /** For each mass the number of its colour, by the way that is wanted; null while that is looked for. */
  of: readonly number[] | null;
  /** For each mass the places that hold it. */
  heldOf: (mass: number) => Held[];
  isStale: boolean;
}

/** The masses, the ways to put the colours on them, and which of them are held. */
export function useTransfer(): Transfer {
  const { colours, query } = useTransferQuery();
  const squint = useDocument((document) => document.values.squint);
  const held = useDocument((document) => document.use.transfer.held);
  const subject = useAnswer<'subject'>({ kind: 'subject', squint });
  const found = useAnswer<'proposals'>(query && { kind: 'proposals', ...withoutWay(query) });
  const at = useAnswer<'massesAt'>(
    held.length > 0
      ? { kind: 'massesAt', squint, places: held.map(({ x, y }) => ({ x, y })) }
      : null,
  );
  const masses = subject.value ?? [];
  const proposals = found.value ?? [];
  const chosen = proposals.find(({ kind }) => kind === query?.way) ?? proposals[0];
  const fits =
    chosen && chosen.of.length === masses.length && Math.max(...chosen.of) < colours.length;
  return {
    colours,
    query,
    masses,
    proposals,
    of: fits ? chosen.of : null,
    heldOf: (mass) => held.filter((_, i) => at.value?.[i] === mass),
    isStale: subject.stale || found.stale || at.stale,
  };
}

/** What the proposals are asked by: which of them is wanted, and how it is made, changes nothing of them. */
export function withoutWay({
  colours,
  held,
  prominence,
  values,
  parts,
}: TransferQuery): Omit<QueryOf<'proposals'>, 'kind'> {
  return { colours, held, prominence, values, parts };
}
