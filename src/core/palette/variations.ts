import { withValue } from '../colour/at-value';
import { inGamut, toGamut } from '../colour/gamut';
import type { Oklab } from '../colour/oklab';
import { WARM_AXIS } from '../colour/temperature';
import { valueOfOklab } from '../colour/value';

export const MIN_VARIATIONS = 3;
export const MAX_VARIATIONS = 8;
/** What neighbours of a colour differ in. */
export const VARIED_BY = ['family', 'temperature', 'intensity', 'picture'] as const;
export type VariedBy = (typeof VARIED_BY)[number];

/** How far the outermost stand from the colour, in OKLab a, b; a family is followed by an eighth of a turn at most. */
const REACH = 0.035;
const MAX_TURN = Math.tan(Math.PI / 8);
/** A grey has no family to go along: its neighbours lie along the axis of temperature. */
const GREY = 0.004;
/** Shorter steps are tried while a neighbour is outside sRGB. */
const SHORTEN = 0.85;
const MAX_TRIES = 40;
/** A neighbour that keeps its a and b this well is within sRGB. */
const KEPT = 1e-4;

export interface VariedColour {
  colour: Oklab;
  share: number;
}

/**
 * Neighbours of a colour at its Munsell value (within 0.15), evenly spaced to both sides, whose mean in OKLab is the
 * colour itself: along its family, temperature or intensity, or as the colours of the place vary that it was taken
 * from (`parts`: their main axis in a and b). `count` is 3 to 8. Throws a RangeError for another count.
 */
export function variationsOf(
  colour: Oklab,
  by: VariedBy,
  count: number,
  parts: readonly VariedColour[] = [],
): Oklab[] {
  if (!Number.isInteger(count) || count < MIN_VARIATIONS || count > MAX_VARIATIONS)
    throw new RangeError(
      `${count} variations; there are ${MIN_VARIATIONS} to ${MAX_VARIATIONS} of a colour`,
    );
  const value = valueOfOklab(colour);
  const [axisA, axisB] = axisOf(colour, by, parts);
  for (let step = 1, tries = 0; tries < MAX_TRIES; step *= SHORTEN, tries++) {
    const wanted = Array.from({ length: count }, (_, i) => {
      const along = step * ((2 * i) / (count - 1) - 1);
      return { L: colour.L, a: colour.a + along * axisA, b: colour.b + along * axisB };
    });
    const found = wanted.map((one) => withValue(one, value));
    const lift = colour.L - found.reduce((sum, { L }) => sum + L, 0) / count;
    const lifted = found.map(({ L, a, b }) => ({ L: L + lift, a, b }));
    const isWithin = lifted.every(
      (one, i) => inGamut(one) && Math.hypot(one.a - wanted[i].a, one.b - wanted[i].b) < KEPT,
    );
    if (isWithin) return lifted;
  }
  // At the very edge of sRGB there is no room to either side.
  return Array.from({ length: count }, () => toGamut(colour));
}

/** The way in a and b that neighbours lie along, as long as the outermost reach. */
function axisOf(
  { a, b }: Oklab,
  by: VariedBy,
  parts: readonly VariedColour[],
): readonly [number, number] {
  const chroma = Math.hypot(a, b);
  const warm = [REACH * WARM_AXIS[0], REACH * WARM_AXIS[1]] as const;
  if (by === 'picture' && parts.length > 1) return mainAxis(parts);
  if (by === 'temperature' || by === 'picture' || chroma < GREY) return warm;
  const [towardA, towardB] = [a / chroma, b / chroma];
  const reach = Math.min(REACH, by === 'family' ? chroma * MAX_TURN : 0.8 * chroma);
  return by === 'family' ? [-reach * towardB, reach * towardA] : [reach * towardA, reach * towardB];
}

/** The first principal axis of some colours in a and b, one and a half deviations long. */
function mainAxis(parts: readonly VariedColour[]): readonly [number, number] {
  const all = parts.reduce((sum, { share }) => sum + share, 0);
  const mean = (of: (colour: Oklab) => number) =>
    parts.reduce((sum, { colour, share }) => sum + (share / all) * of(colour), 0);
  const a = mean((colour) => colour.a);
  const b = mean((colour) => colour.b);
  const aa = mean((colour) => (colour.a - a) ** 2);
  const bb = mean((colour) => (colour.b - b) ** 2);
  const ab = mean((colour) => (colour.a - a) * (colour.b - b));
  const angle = Math.atan2(2 * ab, aa - bb) / 2;
  const variance = (aa + bb) / 2 + Math.hypot((aa - bb) / 2, ab);
  const reach = 1.5 * Math.sqrt(variance);
  return [reach * Math.cos(angle), reach * Math.sin(angle)];
}
