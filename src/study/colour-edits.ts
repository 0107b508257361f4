import { paletteNames } from '@/core/colour/name';
import { toGamut } from '@/core/colour/gamut';
import type { Oklab } from '@/core/colour/oklab';
import { movedColour, NO_MOVES, type ColourMoves } from '@/core/palette/colour-change';
import { valueOfOklab } from '@/core/colour/value';
import type { SwatchChange } from '@/contracts/palette';
import type { TraySwatch } from '@/contracts/study';
import { withSwatches, type HasPalette } from './has-palette';
import { followed, sameColour, setKeyedBy, withKey } from './set-edits';

/**
 * Moves a swatch's colour from where its moves start; what follows it follows, the tones of a ladder or harmony that it is
 * the key of too. Else it follows nothing itself any more.
 */
export function moveColour<D extends HasPalette>(document: D, id: string, moves: ColourMoves): D {
  return changed(document, id, ({ colour, change }) => ({
    was: change?.was ?? colour,
    from: change?.from ?? colour,
    moves,
  }));
}

/** Puts a colour in the place of a swatch's, brought into sRGB; moves begin anew from it. */
export function typeColour<D extends HasPalette>(document: D, id: string, typed: Oklab): D {
  return changed(document, id, ({ colour, change }) => ({
    was: change?.was ?? colour,
    from: toGamut(typed),
    moves: NO_MOVES,
  }));
}

/** Back to what it was before a hand changed it, to the last digit. */
export function undoColourChange<D extends HasPalette>(document: D, id: string): D {
  return changed(document, id, () => null);
}

/**
 * Gives each changed swatch the colour that its change makes: where two windows' documents are merged, the colour
 * may be of one and the change of the other.
 */
export function withColoursOfChanges<D extends HasPalette>(document: D): D {
  const { swatches } = document.palette;
  const agreeing = swatches.map((swatch) => {
    if (!swatch.change) return swatch;
    const colour = movedColour(swatch.change.from, swatch.change.moves);
    return sameColour(colour, swatch.colour) ? swatch : { ...swatch, colour };
  });
  return agreeing.every((swatch, i) => swatch === swatches[i])
    ? document
    : followed(withSwatches(document, agreeing));
}

/** Moves some swatches alike, each from where it stands; what follows one of them by a rule follows it. */
export function moveColours<D extends HasPalette>(
  document: D,
  ids: ReadonlySet<string>,
  by: Partial<ColourMoves>,
): D {
  return changedAll(document, ids, ({ colour, change }) => ({
    was: change?.was ?? colour,
    from: change?.from ?? colour,
    moves: addedMoves(change?.moves ?? NO_MOVES, by),
  }));
}

/** Brings some swatches together in value, or apart: `factor` is of each one's distance from their mean. */
export function spreadInValue<D extends HasPalette>(
  document: D,
  ids: ReadonlySet<string>,
  factor: number,
): D {
  const values = document.palette.swatches
    .filter(({ id }) => ids.has(id))
    .map(({ colour }) => valueOfOklab(colour));
  const mean = values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);
  return changedAll(document, ids, ({ colour, change }) => ({
    was: change?.was ?? colour,
    from: change?.from ?? colour,
    moves: addedMoves(change?.moves ?? NO_MOVES, {
      value: (valueOfOklab(colour) - mean) * (factor - 1),
    }),
  }));
}

/** How far moves may add up; a turn goes on round the wheel. */
const MAX_MOVES = { value: 10, warmth: 3, chroma: 0.5 };

function addedMoves(were: ColourMoves, by: Partial<ColourMoves>): ColourMoves {
  const added = (key: keyof typeof MAX_MOVES) =>
    Math.min(MAX_MOVES[key], Math.max(-MAX_MOVES[key], were[key] + (by[key] ?? 0)));
  const turn = were.turn + (by.turn ?? 0);
  return {
    value: added('value'),
    warmth: added('warmth'),
    chroma: added('chroma'),
    turn: turn > 6 ? turn - 12 : turn < -6 ? turn + 12 : turn,
  };
}

/** A palette with more than this is not named anew when all of it is moved. */
const MAX_NAMED = 200;

function changedAll<D extends HasPalette>(
  document: D,
  ids: ReadonlySet<string>,
  changeOf: (swatch: TraySwatch) => SwatchChange,
): D {
  const { swatches } = document.palette;
  const isLed = ({ follows }: TraySwatch) => follows?.kind === 'rule' && ids.has(follows.from);
  const now = [...swatches];
  for (const [at, swatch] of swatches.entries()) {
    if (!ids.has(swatch.id) || isLed(swatch)) continue;
    const change = changeOf(swatch);
    const colour = movedColour(change.from, change.moves);
    const name = swatches.length > MAX_NAMED ? swatch.name : nameAfter(swatch, colour, now);
    now[at] = { ...swatch, colour, change, name, follows: null };
  }
  return followed(withSwatches(document, now));
}

function changed<D extends HasPalette>(
  document: D,
  id: string,
  changeOf: (swatch: TraySwatch) => SwatchChange | null,
): D {
  const { swatches } = document.palette;
  const swatch = swatches.find((one) => one.id === id);
  if (!swatch) return document;
  const change = changeOf(swatch);
  if (!change && !swatch.change) return document;
  const set = setKeyedBy(swatch, document.palette.sets);
  const colour = change
    ? movedColour(change.from, change.moves)
    : (swatch.change as SwatchChange).was;
  const next = {
    ...swatch,
    colour,
    change,
    name: nameAfter(swatch, colour, swatches),
    follows: change && !set ? null : swatch.follows,
  };
  const moved = withSwatches(
    document,
    swatches.map((one) => (one.id === id ? next : one)),
  );
  return followed(set ? withKey(moved, set.id, colour) : moved);
}

/** A name that the program gave follows the colour; one that a person gave stays. */
function nameAfter(swatch: TraySwatch, colour: Oklab, swatches: readonly TraySwatch[]): string {
  const others = swatches.filter(({ id }) => id !== swatch.id).map(({ name }) => name);
  const [given] = paletteNames([swatch.colour], others);
  return swatch.name === given ? paletteNames([colour], others)[0] : swatch.name;
}
