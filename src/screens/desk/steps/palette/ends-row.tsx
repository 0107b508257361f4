'use client';

import { hexFromOklab } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { ENDS, PAPER_WHITE, TRUE_BLACK, TRUE_WHITE, type End } from '@/core/palette/ends';
import { endId, toggleEnd } from '@/study/palette-edits';
import { Section } from '@/ui/panel-parts';
import { useDocument } from '../../desk-store';
import { useAnswer } from '../../use-answer';
import { usePalette } from '../../use-palette';

const DARKEST = { kind: 'darkest' as const };

/** Blacks and whites that stand at the ends of the palette, beside the colours that are counted. */
export function EndsRow() {
  const palette = usePalette();
  const swatches = useDocument((document) => document.palette.swatches);
  const darkest = useAnswer<'darkest'>(DARKEST).value;
  const colours: Record<End, Oklab | null> = {
    'true black': TRUE_BLACK,
    'true white': TRUE_WHITE,
    'paper white': PAPER_WHITE,
    'darkest dark': darkest,
  };
  return (
    <Section title="Ends" aside="beside the colours that are counted">
      <div className="grid grid-cols-4 gap-1.5">
        {ENDS.map((end) => {
          const colour = colours[end];
          const isThere = swatches.some(({ id }) => id === endId(end));
          return (
            <button
              key={end}
              type="button"
              aria-pressed={isThere}
              disabled={!colour}
              onClick={() =>
                colour && palette.change((document) => toggleEnd(document, end, colour))
              }
              className="flex min-h-14 flex-col border border-ink text-sm leading-tight hover:bg-faint aria-pressed:bg-ink aria-pressed:text-sheet"
            >
              <span
                className="h-6 w-full border-b border-ink"
                style={{ background: colour ? hexFromOklab(colour) : undefined }}
              />
              <span className="px-1 py-0.5">{end}</span>
            </button>
          );
        })}
      </div>
    </Section>
  );
}
