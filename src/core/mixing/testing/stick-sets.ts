import { atValue } from '../../colour/at-value';
import type { Stick } from '../sticks';

/** A made-up set: so many hues, each at several values and two strengths, and greys. */
export function stickSet(hues: number, values: readonly number[]): Stick[] {
  const coloured = Array.from({ length: hues }, (_, i) => (360 * i) / hues).flatMap((hue) =>
    values.flatMap((value) =>
      [0.05, 0.11].map((chroma) => ({
        id: `${Math.round(hue)} ${value} ${chroma}`,
        colour: atValue(value, hue, () => chroma),
      })),
    ),
  );
  const greys = values.map((value) => ({
    id: `grey ${value}`,
    colour: atValue(value, 0, () => 0),
  }));
  return [...coloured, ...greys];
}
