'use client';

import { hexFromOklab } from '@/core/colour/hex';
import { recipeWords } from '@/core/mixing/recipe-words';
import type { TraySwatch } from '@/contracts/study';
import type { MixingTube } from '@/study/shelf';
import { Section } from '@/ui/panel-parts';
import { capital, count, several } from '@/ui/words';
import { useAnswer } from '../../use-answer';
import { workerTube } from '../../media-queries';

const MAX_PILES = 3;

interface Props {
  swatches: readonly TraySwatch[];
  /** The strong tubes that it stands beside. */
  tubes: readonly MixingTube[];
}

/** Dull mixtures to make before the session: with white they carry the quiet colours. */
export function InnerSetSection({ swatches, tubes }: Props) {
  const { value } = useAnswer<'innerSet'>(
    swatches.length > 0 && tubes.length > 0
      ? {
          kind: 'innerSet',
          wanted: swatches.map(({ colour, share }) => ({ colour, share: share || 0.01 })),
          tubes: tubes.map(workerTube),
          most: MAX_PILES,
        }
      : null,
  );
  if (!value) return null;
  const nameOf = (id: string) => tubes.find((tube) => tube.id === id)?.name ?? '';
  const of = several(value.quiet.length, 'quiet colour');
  return (
    <Section
      title="An inner set for the quiet colours"
      aside={`missed by ΔE ${value.miss.toFixed(1)}`}
    >
      <p className="mb-1 text-sm leading-snug">
        {`${capital(count(value.piles.length))} dull ${value.piles.length === 1 ? 'mixture carries' : 'mixtures carry'} ${of} with white, and the strong tubes stay clean.`}
      </p>
      <ul aria-label="Inner set">
        {value.piles.map(({ parts, tint }) => {
          const words = recipeWords(
            parts.map(({ tube, parts: amount }) => ({ name: nameOf(tube), parts: amount })),
          );
          return (
            <li key={words} className="flex items-center gap-3 border-b py-1 text-[15px]">
              <span
                aria-hidden
                className="block h-8 w-8 shrink-0"
                style={{ background: hexFromOklab(tint) }}
              />
              {words}
            </li>
          );
        })}
      </ul>
    </Section>
  );
}
