import { atValue, withValue } from '../colour/at-value';
import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { WARM_AXIS } from '../colour/temperature';
import { valueOfOklab } from '../colour/value';
import { hueAtPosition, PAINTERS_WHEEL, wheelPosition } from '../colour/wheel';

/** By how much a colour is moved along each of the ways a painter speaks of. */
export interface ColourMoves {
  /** Munsell steps lighter. */
  value: number;
  /** Warmer, in units of temperature (−3 to 3). */
  warmth: number;
  /** Stronger: OKLCH chroma. */
  chroma: number;
  /** Families onward round the painters' wheel. */
  turn: number;
}

export const NO_MOVES: ColourMoves = { value: 0, warmth: 0, chroma: 0, turn: 0 };

/** How far each goes either way, and a nudge: half a value step, a tenth of the way round a family. */
export const MOVES: Record<keyof ColourMoves, { most: number; nudge: number }> = {
  value: { most: 6, nudge: 0.5 },
  warmth: { most: 1.5, nudge: 0.1 },
  chroma: { most: 0.2, nudge: 0.01 },
  turn: { most: 6, nudge: 0.1 },
};

export const isMoved = (moves: ColourMoves): boolean =>
  Object.values(moves).some((amount) => amount !== 0);

/** A unit of temperature, along its axis in OKLab a, b. */
const PER_TEMPERATURE = 0.1;

/**
 * A colour moved, within sRGB. Value stays while hue, warmth or strength move, and hue while value or strength
 * do; where sRGB ends, chroma gives way.
 */
export function movedColour(colour: Oklab, moves: ColourMoves): Oklab {
  if (!isMoved(moves)) return colour;
  const { C, h } = oklchFromOklab(colour);
  const hue =
    moves.turn === 0
      ? h
      : hueAtPosition(wheelPosition(h, PAINTERS_WHEEL) + moves.turn, PAINTERS_WHEEL);
  const value = Math.min(10, Math.max(0, valueOfOklab(colour) + moves.value));
  const turned = atValue(value, hue, () => C + moves.chroma);
  if (moves.warmth === 0) return turned;
  const along = moves.warmth * PER_TEMPERATURE;
  return withValue(
    { L: turned.L, a: turned.a + along * WARM_AXIS[0], b: turned.b + along * WARM_AXIS[1] },
    value,
  );
}

/** The move of chroma at which sRGB ends, all else as moved. */
export function edgeOfChroma(colour: Oklab, moves: ColourMoves): number {
  const strongest = movedColour(colour, { ...moves, warmth: 0, chroma: 1 });
  return oklchFromOklab(strongest).C - oklchFromOklab(colour).C;
}
