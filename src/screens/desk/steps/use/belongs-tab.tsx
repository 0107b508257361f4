'use client';

import { hexFromOklab } from '@/core/colour/hex';
import { placeWords } from '@/core/picture/place-words';
import { Finding, Section } from '@/ui/panel-parts';
import { percent } from '@/ui/words';
import { useDeskStore } from '../../desk-store';
import { useAnswer } from '../../use-answer';
import { BelongsFile } from './belongs-file';
import { ColoursFrom } from './colours-from';
import { belongsSentence } from './use-sentences';
import { useTransferQuery } from './use-transfer';

/** How the picture keeps to the palette: what lies near which colour, and what crept in. */
export function BelongsTab() {
  const { colours } = useTransferQuery();
  const { set } = useDeskStore().getState();
  const { value, stale } = useAnswer<'belonging'>(
    colours.length > 0 ? { kind: 'belonging', colours: colours.map(({ colour }) => colour) } : null,
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
      {found && found.strays.length > 0 && (
        <Section title="Crept in" aside="on the picture, what belongs is dimmed">
          <ul aria-label="Crept in">
            {found.strays.map(({ colour, share, point }, i) => (
              <li key={i} className="border-b">
                <button
                  type="button"
                  className="flex min-h-12 w-full items-center gap-3 py-1 text-left hover:bg-faint"
                  onClick={() =>
                    point && set({ pinned: { kind: 'place', ...point, radius: 0.03 } })
                  }
                >
                  <span
                    aria-hidden
                    className="block h-9 w-9 shrink-0"
                    style={{ background: hexFromOklab(colour) }}
                  />
                  <span className="text-[15px]">
                    {percent(share)}
                    {point && `, most of it ${placeWords(point)}`}
                  </span>
                </button>
              </li>
            ))}
          </ul>
        </Section>
      )}
      {found && (
        <Section title="Within 6 of a colour" aside="CIEDE2000">
          <ul aria-label="What belongs">
            {colours.map(({ id, name, colour }, i) => (
              <li key={id} className="flex min-h-10 items-center gap-3 border-b py-1">
                <span
                  aria-hidden
                  className="block h-7 w-9 shrink-0"
                  style={{ background: hexFromOklab(colour) }}
                />
                <span className="min-w-0 grow truncate text-[15px]">{name}</span>
                <span className="shrink-0 text-[15px] tabular-nums">
                  {percent(found.shares[i])}
                </span>
              </li>
            ))}
          </ul>
        </Section>
      )}
      <BelongsFile colours={colours} />
    </>
  );
}
