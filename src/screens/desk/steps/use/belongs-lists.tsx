'use client';

import { hexFromOklab } from '@/core/colour/hex';
import { placeWords } from '@/core/picture/place-words';
import type { Place } from '@/core/picture/framing';
import type { Fit } from '@/core/palette/missing';
import type { UsedColour } from '@/contracts/use';
import { Section } from '@/ui/panel-parts';
import { percent } from '@/ui/words';

interface Props {
  found: Fit;
  colours: readonly UsedColour[];
  /** Shows a place of the open picture; left out for one that is not on the Desk. */
  onPlace?: (place: Place) => void;
}

/** What crept in, each with its place, and how much lies near each colour of the palette. */
export function BelongsLists({ found, colours, onPlace }: Props) {
  return (
    <>
      {found.missing.length > 0 && (
        <Section title="Crept in" aside={onPlace && 'on the picture, what belongs is dimmed'}>
          <ul aria-label="Crept in">
            {found.missing.map(({ colour, share, point }, i) => (
              <li key={i} className="border-b">
                <button
                  type="button"
                  disabled={!onPlace || !point}
                  className="flex min-h-12 w-full items-center gap-3 py-1 text-left enabled:hover:bg-faint"
                  onClick={() => point && onPlace?.(point)}
                >
                  <Chip hex={hexFromOklab(colour)} />
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
      <Section title="Within 6 of a colour" aside="CIEDE2000">
        <ul aria-label="What belongs">
          {colours.map(({ id, name, colour }, i) => (
            <li key={id} className="flex min-h-10 items-center gap-3 border-b py-1">
              <Chip hex={hexFromOklab(colour)} />
              <span className="min-w-0 grow truncate text-[15px]">{name}</span>
              <span className="shrink-0 text-[15px] tabular-nums">{percent(found.shares[i])}</span>
            </li>
          ))}
        </ul>
      </Section>
    </>
  );
}

function Chip({ hex }: { hex: string }) {
  return <span aria-hidden className="block h-8 w-9 shrink-0" style={{ background: hex }} />;
}
