'use client';

import { hexFromOklab } from '@/core/colour/hex';
import { atValue } from '@/core/colour/at-value';
import type { Oklab } from '@/core/colour/oklab';
import { valueOfOklab } from '@/core/colour/value';
import type { Wheel } from '@/core/colour/wheel';
import { truthOf } from '@/core/drills/truth';
import type { Told } from './round-store';

/** What was right and what was answered, edge to edge; under an order and a value their greys. */
export function TruthView({ told, wheel }: { told: Told; wheel: Wheel }) {
  const { question, answer } = told;
  const { shown, form } = question;
  if (form.by === 'order' && shown.as === 'row')
    return <Strips colours={form.order.map((place) => shown.colours[place])} hasGreys />;
  const truth = truthOf(question, answer, wheel);
  if (!truth) return null;
  const { right, answered, isStrengthened } = truth;
  return (
    <figure className="flex h-full w-full max-w-2xl flex-col gap-1">
      <Strips
        colours={answered ? [right, answered] : [right]}
        hasGreys={form.by === 'value' && answered !== null}
      />
      <figcaption className="flex justify-between">
        <span>as it is{isStrengthened && ', strengthened'}</span>
        {answered && <span>{form.by === 'place' ? 'the other' : 'as you read it'}</span>}
      </figcaption>
    </figure>
  );
}

function Strips({ colours, hasGreys }: { colours: readonly Oklab[]; hasGreys: boolean }) {
  return (
    <div className="flex h-full min-h-28 w-full max-w-3xl grow">
      {colours.map((colour, i) => (
        <span key={i} className="flex grow basis-0 flex-col" data-testid="truth">
          <span className="block grow-[2]" style={{ background: hexFromOklab(colour) }} />
          {hasGreys && (
            <span
              className="block grow"
              style={{ background: hexFromOklab(atValue(valueOfOklab(colour), 0, () => 0)) }}
            />
          )}
        </span>
      ))}
    </div>
  );
}
