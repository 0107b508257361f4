'use client';

import { MAX_LIGHTER, MAX_WIDER, type WayColour } from '@/core/pattern/way-colours';
import { moveOf, moveWayColour } from '@/study/pattern-edits';
import { Button } from '@/ui/button';
import { Slider } from '@/ui/slider';
import { useHand } from './hand';
import { useChange, useContent } from './use-pattern';

const signed = (n: number, unit: string) =>
  n === 0 ? 'as it is' : `${n > 0 ? '+' : '−'}${Math.abs(n)}${unit}`;

/** What is done with the colour in hand: lightened, turned, given more room, left out, or put on a paint. */
export function ColourInHand({ colours }: { colours: readonly WayColour[] }) {
  const hand = useHand();
  const change = useChange();
  const choice = useContent((content) => content.choice);
  const colour = colours.find(({ id }) => id === hand.colour);
  if (!colour)
    return (
      <p className="mb-2 text-[15px] leading-snug text-soft">
        Touch a block to take its colour in hand, or drag it to the drawing, to one of its colours
        below, or onto another block. Its right edge makes it wider or narrower.
      </p>
    );
  const { id, name } = colour;
  const move = moveOf(choice, id);
  const instead =
    move.instead && move.instead !== 'nearest'
      ? colours.find((one) => one.id === (move.instead as { id: string }).id)
      : null;
  return (
    <div className="mb-2 border-y py-2" role="group" aria-label="Colour in hand">
      <p className="text-[15px] leading-snug">
        <span className="font-semibold">{name}</span>
        {move.instead
          ? ` is left out: its shapes have ${instead ? instead.name : 'the nearest'}.`
          : '. Touch a place of the drawing, or one of its colours below, to put it there.'}
      </p>
      <Slider
        label="Lighter"
        said={`${name}, lighter`}
        value={move.lighter}
        min={-MAX_LIGHTER}
        max={MAX_LIGHTER}
        step={0.5}
        words={signed(move.lighter, '')}
        onChange={(lighter) => change(moveWayColour(id, { lighter }), `lighter ${id}`)}
      />
      <Slider
        label="Hue"
        said={`${name}, hue`}
        value={move.turn}
        min={-180}
        max={180}
        step={5}
        words={signed(move.turn, '°')}
        onChange={(turn) => change(moveWayColour(id, { turn }), `turn ${id}`)}
      />
      <Slider
        label="Room"
        said={`${name}, room`}
        value={move.wider}
        min={-MAX_WIDER}
        max={MAX_WIDER}
        step={0.5}
        words={move.wider === 0 ? 'as it is' : `× ${Number((2 ** move.wider).toPrecision(2))}`}
        onChange={(wider) => change(moveWayColour(id, { wider }), `wider ${id}`)}
      />
      <div className="flex gap-2">
        <Button
          onClick={() => change(moveWayColour(id, { instead: move.instead ? null : 'nearest' }))}
        >
          {move.instead ? 'Put it back' : 'Leave it out'}
        </Button>
        <Button weight="quiet" onClick={() => hand.take(null)}>
          Put it down
        </Button>
      </div>
    </div>
  );
}
