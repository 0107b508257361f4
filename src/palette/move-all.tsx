'use client';

import { MOVES, type ColourMoves } from '@/core/palette/colour-change';
import { moveColours, spreadInValue } from '@/study/colour-edits';
import type { PaletteEdit } from '@/study/has-palette';
import { Button } from '@/ui/button';
import { usePaletteHost } from './host';

/** A pair of nudges that undo each other, and how far one of them goes. */
interface Pair {
  less: string;
  more: string;
  edit: (ids: ReadonlySet<string>, sign: 1 | -1) => PaletteEdit;
}

const moves =
  (key: keyof ColourMoves, by = MOVES[key].nudge): Pair['edit'] =>
  (ids, sign) =>
  (document) =>
    moveColours(document, ids, { [key]: sign * by });

/** By how much distances in value grow at a nudge; back by the same. */
const SPREAD = 1.1;

const PAIRS: readonly Pair[] = [
  { less: 'Darker', more: 'Lighter', edit: moves('value') },
  { less: 'Cooler', more: 'Warmer', edit: moves('warmth') },
  { less: 'Duller', more: 'Stronger', edit: moves('chroma') },
  { less: 'Hue back', more: 'Hue on', edit: moves('turn', 0.5) },
  {
    less: 'Values closer',
    more: 'Values apart',
    edit: (ids, sign) => (document) => spreadInValue(document, ids, SPREAD ** sign),
  },
];

/** Moves swatches all at once, a nudge at a time; nudges of one kind in a row are one step to undo. */
export function MoveAll({ ids }: { ids: readonly string[] }) {
  const host = usePaletteHost();
  return (
    <div role="group" aria-label="Move them all" className="grid grid-cols-2 gap-1.5">
      {PAIRS.flatMap(({ less, more, edit }) =>
        ([-1, 1] as const).map((sign) => (
          <Button
            key={`${less} ${sign}`}
            onClick={() => host.change(edit(new Set(ids), sign), `all ${less} ${ids.join()}`)}
          >
            {sign < 0 ? less : more}
          </Button>
        )),
      )}
    </div>
  );
}
