'use client';

import { useState } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import { colourName } from '@/core/colour/name';
import { oklabDistance, type Oklab } from '@/core/colour/oklab';
import { stepOf } from '@/core/colour/value-scale';
import { edgeOfChroma, MOVES, NO_MOVES, type ColourMoves } from '@/core/palette/colour-change';
import type { SwatchChange } from '@/contracts/palette';
import { Button } from './button';
import { typedColour } from './typed-colour';
import { TextField } from './field';
import { useSettings } from './settings';
import { Slider } from './slider';
import { changeWords } from './change-words';

interface Props {
  colour: Oklab;
  change: SwatchChange | null;
  onMove: (moves: ColourMoves) => void;
  onType: (colour: Oklab) => void;
  onBack: () => void;
}

const LABELS: Record<keyof ColourMoves, { label: string; said: string }> = {
  value: { label: 'Value', said: 'Lighter or darker' },
  warmth: { label: 'Warmth', said: 'Warmer or cooler' },
  chroma: { label: 'Strength', said: 'Stronger or duller' },
  turn: { label: 'Family', said: 'Toward the next family' },
};

/** Moves a colour by what a painter speaks of, or takes one that is typed; what it was stays beside it. */
export function ChangeColour({ colour, change, onMove, onType, onBack }: Props) {
  const { scale } = useSettings().settings;
  const moves = change?.moves ?? NO_MOVES;
  const from = change?.from ?? colour;
  const step = stepOf(scale);
  const shown: Record<keyof ColourMoves, string> = {
    value: signed(moves.value / step, 1),
    warmth: signed(moves.warmth, 1),
    chroma: signed(moves.chroma, 2),
    turn: signed(moves.turn, 1),
  };
  return (
    <div className="flex flex-col">
      <div className="flex items-stretch" aria-hidden>
        <span className="h-10 grow" style={{ background: hexFromOklab(change?.was ?? colour) }} />
        <span className="h-10 grow-2" style={{ background: hexFromOklab(colour) }} />
      </div>
      {(Object.keys(MOVES) as (keyof ColourMoves)[]).map((move) => (
        <Slider
          key={move}
          label={LABELS[move].label}
          said={LABELS[move].said}
          min={-MOVES[move].most}
          max={MOVES[move].most}
          step={MOVES[move].nudge}
          value={moves[move]}
          edge={move === 'chroma' ? edgeOfChroma(from, moves) : undefined}
          words={shown[move]}
          onChange={(amount) => onMove({ ...moves, [move]: amount })}
        />
      ))}
      <TypedColour colour={colour} onType={onType} />
      {change && (
        <div className="mt-2 flex items-center justify-between gap-2 text-[15px] leading-tight">
          <span data-testid="change">
            {`Was ${colourName(change.was)}${changeWords(change, scale)}`}
          </span>
          <Button className="shrink-0" onClick={onBack}>
            Back to it
          </Button>
        </div>
      )}
    </div>
  );
}

/** OKLab distance within which a colour is the one that was typed. */
const SAME = 1e-6;

/** A colour in any of the ways it can be written; nothing changes until it is one. */
function TypedColour({ colour, onType }: { colour: Oklab; onType: Props['onType'] }) {
  // The colour that typing began with: "1" on the way to "1.5" must not take the strength that black has no room for.
  const [typing, setTyping] = useState<{ text: string; before: Oklab } | null>(null);
  const typed = typing && typedColour(typing.text, typing.before);
  const isColour = !typing || typed !== null;
  // What was typed has been overtaken where the colour came from elsewhere since.
  const text = typing && (!typed || oklabDistance(typed, colour) < SAME) ? typing.text : null;
  return (
    <TextField
      label="Or type it: hex, oklch(), lab(), hsl(), a value …"
      value={text ?? hexFromOklab(colour)}
      error={isColour ? undefined : 'Not a colour yet: try #8a6f4d, oklch(0.6 0.05 70) or 6.5.'}
      onChange={(event) => {
        const before = typing?.before ?? colour;
        setTyping({ text: event.target.value, before });
        const next = typedColour(event.target.value, before);
        if (next) onType(next);
      }}
      onBlur={() => setTyping(null)}
    />
  );
}

function signed(amount: number, places: number): string {
  const text = Math.abs(amount).toFixed(places);
  return Number(text) === 0 ? '0' : `${amount > 0 ? '+' : '−'}${text}`;
}
