'use client';

import type { Oklab } from '@/core/colour/oklab';
import { MAX_CHOSEN_FROM } from '@/core/mixing/which-tubes';
import { ownedTubes } from '@/study/shelf';
import { Finding, Section } from '@/ui/panel-parts';
import { capital, count, list, several } from '@/ui/words';
import { useAnswer } from '../../use-answer';
import { InnerSetSection } from './inner-set-section';
import { lackSentence, OUT_OF_REACH } from './lack-sentence';
import { workerTube } from '../../media-queries';
import type { MixTabProps } from './use-mix';

const MOST = 8;
const FEWEST = 2;
/** One tube more that brings less than this is hardly worth its room: CIEDE2000. */
const WORTH = 0.5;

interface Farthest {
  name: string;
  colour: Oklab;
  miss: number;
}

/** Which few tubes of the shelf carry this palette, what each more one buys, and what the shelf lacks for it. */
export function TubesTab({ mix, shelf }: MixTabProps) {
  const { swatches, recipes } = mix;
  const owned = ownedTubes(shelf);
  const candidates = owned.slice(0, MAX_CHOSEN_FROM);
  const nameOf = (id: string) => owned.find((tube) => tube.id === id)?.name ?? '';
  const { value: choices, stale } = useAnswer(
    swatches.length > 0
      ? {
          kind: 'whichTubes',
          wanted: swatches.map(({ colour, share }) => ({ colour, share: share || 0.01 })),
          tubes: candidates.map(workerTube),
          most: Math.min(MOST, candidates.length),
        }
      : null,
  );
  const farthest = swatches
    .map((swatch, i) => ({ swatch, miss: recipes?.[i]?.[0]?.deltaE ?? 0 }))
    .reduce<Farthest | null>(
      (worst, { swatch, miss }) =>
        miss > (worst?.miss ?? OUT_OF_REACH)
          ? { name: swatch.name, colour: swatch.colour, miss }
          : worst,
      null,
    );
  const { value: missing } = useAnswer(
    farthest
      ? { kind: 'missingTube', colour: farthest.colour, tubes: owned.map(workerTube) }
      : null,
  );
  if (swatches.length === 0)
    return <Finding>No colours to choose tubes for yet: extract some, or pick them.</Finding>;
  if (!choices) return <Finding stale>Trying your tubes together …</Finding>;
  const enough = choices.findIndex(
    (choice, i) => i + 1 >= FEWEST && choice.miss - (choices[i + 1]?.miss ?? choice.miss) < WORTH,
  );
  const best = choices[Math.max(0, enough)];
  const most = Math.max(...choices.map(({ miss }) => miss), 1e-9);
  return (
    <>
      <Finding stale={stale}>
        {`${capital(several(best.tubes.length, 'tube'))} ${best.tubes.length === 1 ? 'carries' : 'carry'} this palette: ${list(best.tubes.map(nameOf))}.`}
      </Finding>
      <Section title="What each more tube buys" aside="how far colours are missed, ΔE">
        <ol>
          {choices.map((choice, i) => {
            const was = new Set(choices[i - 1]?.tubes ?? []);
            const added = choice.tubes.filter((id) => !was.has(id));
            const gone = [...was].filter((id) => !choice.tubes.includes(id));
            return (
              <li key={choice.tubes.length} className="border-b py-1.5 text-[15px] leading-snug">
                <span className="flex items-center gap-2">
                  <span className="w-5 font-serif italic">{choice.tubes.length}</span>
                  <span className="flex grow items-center">
                    <span
                      aria-hidden
                      className="block h-2.5 bg-ink"
                      style={{ width: `${(100 * choice.miss) / most}%` }}
                    />
                  </span>
                  <span className="w-9 text-right">{choice.miss.toFixed(1)}</span>
                </span>
                <span className="block pl-7 text-sm text-soft">
                  {`with ${list(added.map(nameOf))}${gone.length > 0 ? `, without ${list(gone.map(nameOf))}` : ''}`}
                </span>
              </li>
            );
          })}
        </ol>
      </Section>
      {owned.length > candidates.length && (
        <p className="mb-2 text-sm text-soft">
          {`Chosen from the ${count(candidates.length)} tubes that stand before others on the shelf.`}
        </p>
      )}
      <InnerSetSection
        swatches={swatches}
        tubes={owned.filter(({ id }) => best.tubes.includes(id))}
      />
      <Section title="What the shelf lacks">
        <p className="text-[15px] leading-snug" data-testid="lacking">
          {farthest ? lackSentence(farthest, missing) : 'Nothing: every colour is within reach.'}
        </p>
      </Section>
    </>
  );
}
