import { atValue, withValue } from '../colour/at-value';
import { maxChroma } from '../colour/gamut';
import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';

/** A colour that a drawing can be given. */
export interface WayColour {
  id: string;
  name: string;
  colour: Oklab;
  /** Of what it comes from, 0–1; null where that is not known. */
  share: number | null;
}

/** Sets of colours made from a palette to start from. */
export const STARTS = ['high key', 'low key', 'greyed', 'strong'] as const;
export type Start = (typeof STARTS)[number];

/** How one colour of a palette is used otherwise than it comes. */
export interface ColourMove {
  /** The colour's id. */
  colour: string;
  /** Degrees of hue. */
  turn: number;
  /** Munsell steps. */
  lighter: number;
  /** Doublings of its share. */
  wider: number;
  /** What its shapes have instead: the nearest of the others, or the colour of an id; null where it stays. */
  instead: 'nearest' | { id: string } | null;
}

export const MAX_WIDER = 3;
export const MAX_LIGHTER = 4;

/** Munsell values that a high and a low key lie between. */
const KEYS = { 'high key': [6.4, 9.5], 'low key': [1.2, 4.4] } as const;
/** Of its chroma what a greyed colour keeps. */
const GREYED = 0.35;
/** A strong colour has so many times its chroma, up to this share of what sRGB has at its value. */
const STRONG = 1.8;
const STRONG_EDGE = 0.95;
/** What has less chroma than this is a grey: it has no hue to be made strong. */
const GREY = 0.02;

/** The colours as a colourway uses them: made over by a start, then turned together, then moved one by one. */
export function movedColours(
  colours: readonly WayColour[],
  start: Start | null,
  turn: number,
  moves: readonly ColourMove[],
): WayColour[] {
  const begun = start ? startedFrom(colours, start) : colours;
  const of = new Map(moves.map((move) => [move.colour, move]));
  const equal = 1 / Math.max(1, colours.length);
  const moved = begun.map((one) => {
    const move = of.get(one.id);
    const turned = turnedBy(one.colour, turn + (move?.turn ?? 0));
    const colour = move?.lighter
      ? withValue(turned, bounded(valueOfOklab(turned) + move.lighter))
      : turned;
    return { ...one, colour, share: (one.share ?? equal) * 2 ** (move?.wider ?? 0) };
  });
  const all = moved.reduce((sum, { share }) => sum + share, 0);
  return moved.map((one) => ({ ...one, share: all > 0 ? one.share / all : equal }));
}

function startedFrom(colours: readonly WayColour[], start: Start): WayColour[] {
  const values = colours.map(({ colour }) => valueOfOklab(colour));
  const low = Math.min(...values);
  const range = Math.max(...values) - low;
  return colours.map((one, i) => {
    if (start === 'high key' || start === 'low key') {
      const [from, to] = KEYS[start];
      // One value alone lies in the middle of the key.
      const along = range > 0 ? (values[i] - low) / range : 0.5;
      return { ...one, colour: withValue(one.colour, from + along * (to - from)) };
    }
    const { C, h } = oklchFromOklab(one.colour);
    if (start === 'greyed') return { ...one, colour: atValue(values[i], h, () => C * GREYED) };
    if (C < GREY) return one;
    const stronger = (L: number) =>
      Math.max(C, Math.min(C * STRONG, STRONG_EDGE * maxChroma(L, h)));
    return { ...one, colour: atValue(values[i], h, stronger) };
  });
}

/** Hue turned at the same value. */
function turnedBy(colour: Oklab, degrees: number): Oklab {
  if (degrees % 360 === 0) return colour;
  const { C, h } = oklchFromOklab(colour);
  return atValue(valueOfOklab(colour), (h + degrees + 720) % 360, () => C);
}

const bounded = (value: number) => Math.min(10, Math.max(0, value));
