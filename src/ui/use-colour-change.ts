'use client';

import { useState } from 'react';
import type { Oklab } from '@/core/colour/oklab';
import { movedColour, NO_MOVES, type ColourMoves } from '@/core/palette/colour-change';
import type { SwatchChange } from '@/contracts/palette';

/** A colour that is moved or typed, beginning from another: what `ChangeColour` takes, kept nowhere else. */
export function useColourChange(start: Oklab) {
  const [change, setChange] = useState<SwatchChange | null>(null);
  return {
    colour: change ? movedColour(change.from, change.moves) : start,
    change,
    onMove: (moves: ColourMoves) =>
      setChange((was) => ({ was: start, from: was?.from ?? start, moves })),
    onType: (typed: Oklab) => setChange({ was: start, from: typed, moves: NO_MOVES }),
    onBack: () => setChange(null),
  };
}
