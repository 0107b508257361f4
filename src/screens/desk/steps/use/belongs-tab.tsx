'use client';

import { Finding } from '@/ui/panel-parts';
import { useDeskStore } from '../../desk-store';
import { useAnswer } from '../../use-answer';
import { BelongsFile } from './belongs-file';
import { BelongsLists } from './belongs-lists';
import { ColoursFrom } from './colours-from';
import { belongsSentence } from './use-sentences';
import { useTransferQuery } from './use-transfer';

/** How the picture keeps to the palette: what lies near which colour, and what crept in. */
export function BelongsTab() {
  const { colours } = useTransferQuery();
  const { set } = useDeskStore().getState();
  const { value, stale } = useAnswer<'fit'>(
    colours.length > 0 ? { kind: 'fit', colours: colours.map(({ colour }) => colour) } : null,
  );
  const found = value?.shares.length === colours.length ? value : null;
  return (
    <>
      <Finding stale={colours.length > 0 && (stale || !found)}>
        {colours.length === 0
          ? 'No palette to hold it against yet: choose whose, or extract some.'
          : found
            ? belongsSentence(found)
            : 'Holding the picture against the palette …'}
      </Finding>
      <ColoursFrom />
      {found && (
        <BelongsLists
          found={found}
          colours={colours}
          onPlace={(place) => set({ pinned: { kind: 'place', ...place, radius: 0.03 } })}
        />
      )}
      {colours.length > 0 && <BelongsFile colours={colours} />}
    </>
  );
}
