'use client';

import { placeWords } from '@/core/picture/place-words';
import { useSettings } from '@/ui/settings';
import { stepOf } from '@/core/colour/value-scale';
import { capital, percent } from '@/ui/words';
import type { FocalPlace } from '@/core/measure/focus';
import { useDocument } from '../../desk-store';
import type { Focus } from '../../extension-points';
import { useAnswer } from '../../use-answer';
import { Finding, Section } from '../../panel/panel-parts';
import { balanceSentence, focusSentence } from './focus-sentence';
import { LensChoice } from './lens-choice';
import { against } from './separation-sentence';
import { Pointing } from '../../panel/pointing';

function spotOf({ x, y, radius }: FocalPlace): Focus {
  return { kind: 'place', x, y, radius: radius * 1.6 };
}

/** How wide the clear place is that a quiet or balancing place is shown with, as a share of the diagonal. */
const SHOWN = 0.09;

/** Where contrast is strongest, where it rests, which edges are lost, and where the weight lies. */
export function FocusTab() {
  const squint = useDocument((document) => document.values.squint);
  const { settings } = useSettings();
  const steps = stepOf(settings.scale) / 2;
  const { value: reading, stale } = useAnswer<'focus'>({ kind: 'focus' });
  const { value: separation } = useAnswer<'separation'>({ kind: 'separation', squint, steps });
  if (!reading) return <Finding>Looking where the eye goes …</Finding>;
  const { places, quiet, balance } = reading;
  return (
    <>
      <Finding stale={stale} focus={places[0] ? spotOf(places[0]) : null}>
        {focusSentence(places, quiet)}
      </Finding>
      <LensChoice />
      {places.length > 0 && (
        <Section title="Strongest contrast" aside="against the strongest">
          {places.map((place, i) => (
            <Pointing
              key={i}
              focus={spotOf(place)}
              className="flex items-center gap-2 border-b py-1 text-[15px] leading-tight"
            >
              <span className="w-4 shrink-0 font-semibold">{i + 1}</span>
              <span className="grow">
                By {place.reason}, {placeWords(place)}: {against(place.meets)}
              </span>
              <span className="shrink-0">{percent(place.strength)}</span>
            </Pointing>
          ))}
        </Section>
      )}
      <Section title="Where it rests" aside="share">
        {quiet.length === 0 && <p className="py-2 text-soft">No quiet place takes 3 % of it.</p>}
        {quiet.map(({ x, y, share }, i) => (
          <Pointing
            key={i}
            focus={{ kind: 'place', x, y, radius: SHOWN }}
            className="flex items-center justify-between border-b text-[15px]"
          >
            <span>{capital(placeWords({ x, y }))}</span>
            <span>{percent(share)}</span>
          </Pointing>
        ))}
      </Section>
      {separation && separation.masses > 1 && (
        <Section title="Edges between masses" aside="share of their length">
          <dl className="flex text-[15px]">
            {(['found', 'soft', 'lost'] as const).map((edge) => (
              <div key={edge} className="grow border-l pl-2 first:border-0 first:pl-0">
                <dt className="text-soft">{edge}</dt>
                <dd>{percent(separation.edges[edge])}</dd>
              </div>
            ))}
          </dl>
        </Section>
      )}
      <Section title="Weight">
        <Pointing
          focus={{ kind: 'place', ...balance.centre, radius: SHOWN }}
          className="py-1 text-[15px] leading-snug"
        >
          {balanceSentence(balance)}
        </Pointing>
      </Section>
    </>
  );
}
