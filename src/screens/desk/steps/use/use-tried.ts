'use client';

import type { QueryOf } from '@/contracts/desk-query/desk-query';
import type { MadeQuery } from '@/contracts/desk-query/transfer-queries';
import type { VariantMade } from '@/contracts/use';
import { triedNow, usedColours, type VariantKind } from '@/study/use-edits';
import { useSettings } from '@/ui/settings';
import { useDesk, useDocument, useStepView } from '../../desk-store';
import { madeQuery } from '../../made-query';
import { transferView, type UseTab } from './transfer-view';

/** What each tab makes; null for those that make nothing. */
export const KIND_OF: Readonly<Record<UseTab, VariantKind | null>> = {
  palette: 'transfer',
  moods: 'mood',
  'what-if': 'what if',
  key: 'key',
  belongs: null,
  kept: null,
};

/** What is tried in the open tab, and the query that draws it over the picture. */
export function useTried(): {
  kind: VariantKind | null;
  made: VariantMade | null;
  query: MadeQuery | QueryOf<'failing' | 'unreached'> | null;
} {
  const [{ tab, unreached }] = useStepView(transferView);
  const document = useDocument((all) => all);
  const quick = useDesk((state) => state.sliding);
  const { wheel } = useSettings().settings;
  const kind = KIND_OF[tab];
  if (tab === 'belongs') {
    const colours = usedColours(document).map(({ colour }) => colour);
    return {
      kind,
      made: null,
      query: colours.length > 0 ? { kind: 'failing', colours } : null,
    };
  }
  if (!kind) return { kind, made: null, query: null };
  const made = triedNow(document, kind);
  const query = madeQuery(made, document, wheel, quick ? 'half' : 'whole');
  if (unreached && query?.kind === 'transferred' && query.mode === 'strict') {
    const { size: _size, grey: _grey, ...transfer } = query;
    return { kind, made, query: { ...transfer, kind: 'unreached' } };
  }
  return { kind, made, query };
}

/** Whether a query makes a picture that can be looked at in other ways too. */
export const isMade = (query: { kind: string }): query is MadeQuery =>
  query.kind !== 'failing' && query.kind !== 'unreached';
