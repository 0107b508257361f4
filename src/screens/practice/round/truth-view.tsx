'use client';

import { hexFromOklab } from '@/core/colour/hex';
import { atValue } from '@/core/colour/at-value';
import type { Oklab } from '@/core/colour/oklab';
import { valueOfOklab } from '@/core/colour/value';
import type { Wheel } from '@/core/colour/wheel';
import type { Tube } from '@/core/mixing/tube';
import { truthOf } from '@/core/drills/truth';
import { Patch, ShownColours } from './shown-colours';
import type { Told } from './round-store';

const READ = ['as it is', 'as you read it'] as const;
const CAPTIONS = {
  pile: ['what is wanted', 'the nearest with yours'],
  place: ['the right one', 'another'],
  colour: ['the right one', 'yours'],
  match: ['as it is', 'yours'],
  ...{ word: READ, value: READ, order: READ },
} as const;

/** What was right and what was answered, edge to edge; under an order and a value their greys. */
export function TruthView({
  told,
  wheel,
  tubes,
}: {
  told: Told;
  wheel: Wheel;
  tubes: readonly Tube[];
}) {
  const { question, answer } = told;
  const { shown, form } = question;
  if (form.by === 'order' && shown.as === 'row')
    return <Strips colours={form.order.map((place) => shown.colours[place])} hasGreys />;
  if (shown.as === 'in a ground')
    return (
      <figure className="flex h-full w-full max-w-2xl flex-col gap-1">
        <div className="flex h-full min-h-28 grow gap-6">
          <ShownColours shown={shown} form={form} nameOf={String} />
          <Patch colour={shown.colour} className="grow basis-1/3" />
        </div>
        <figcaption className="flex justify-between">
          <span>in its ground</span>
          <span>the same grey by itself</span>
        </figcaption>
      </figure>
    );
  const truth = truthOf(question, answer, wheel, tubes);
  if (!truth) return null;
  const { right, answered, isStrengthened } = truth;
  const [rightWords, otherWords] = CAPTIONS[shown.as === 'pile' ? 'pile' : form.by];
  return (
    <figure className="flex h-full w-full max-w-2xl flex-col gap-1">
      <Strips
        colours={answered ? [right, answered] : [right]}
        hasGreys={form.by === 'value' && answered !== null}
      />
      <figcaption className="flex justify-between">
        <span>
          {rightWords}
          {isStrengthened && ', strengthened'}
        </span>
        {answered && <span>{otherWords}</span>}
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
