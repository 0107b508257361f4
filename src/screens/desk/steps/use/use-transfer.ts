'use client';

import type { SubjectMass } from '@/core/transfer/subject';
import type { ProposalAnswer } from '@/contracts/desk-query/transfer-queries';
import type { QueryOf } from '@/contracts/desk-query/desk-query';
import { useDocument, useStepView } from '../../desk-store';
import { useAnswer } from '../../use-answer';
import { useTransferSource, type SourceColour } from './transfer-source';
import { transferView } from './transfer-view';

export interface Transfer {
  colours: SourceColour[];
  state: 'ready' | 'loading' | 'gone';
  masses: readonly SubjectMass[];
  proposals: readonly ProposalAnswer[];
  /** What the worker makes the picture of; null until there is a proposal. */
  made: Omit<QueryOf<'transferFigures'>, 'kind'> | null;
  isStale: boolean;
}

/** The masses, the proposals around what was locked by hand, and the one that is chosen. */
export function useTransfer(): Transfer {
  const [{ mode, proposal, locks }] = useStepView(transferView);
  const values = useDocument((document) => document.values);
  const { colours, state } = useTransferSource();
  const { squint } = values;
  const subject = useAnswer<'subject'>({ kind: 'subject', squint });
  const masses = subject.value ?? [];
  const found = useAnswer<'proposals'>(
    masses.length > 0 && colours.length > 0
      ? {
          kind: 'proposals',
          squint,
          colours: colours.map(({ colour, share, height }) => ({ colour, share, height })),
          locks: masses.map((_, mass) => lockOf(locks, mass, colours.length)),
        }
      : null,
  );
  const proposals = found.value ?? [];
  const chosen = proposals.find(({ kind }) => kind === proposal) ?? proposals[0];
  return {
    colours,
    state,
    masses,
    proposals,
    made:
      chosen && chosen.of.length === masses.length && Math.max(...chosen.of) < colours.length
        ? { colours: colours.map(({ colour }) => colour), of: chosen.of, mode, values }
        : null,
    isStale: subject.stale || found.stale,
  };
}

/** A lock of a palette that is not there any more is none. */
function lockOf(locks: Readonly<Record<number, number>>, mass: number, count: number): number {
  const lock = locks[mass] ?? -1;
  return lock < count ? lock : -1;
}
