/**
 * The scale a person reads values on. Schools differ in the number of steps and in which end is
 * light, so what is stored is always Munsell value and a scale is applied only to show it.
 */
export interface ValueScale {
  /** How many steps there are from black to white: 2 to 11. */
  steps: number;
  /** The number at the dark end: 0 or 1. */
  first: 0 | 1;
  /** Whether higher numbers are lighter or darker. */
  highIs: 'light' | 'dark';
}

export const MUNSELL_SCALE: ValueScale = { steps: 11, first: 0, highIs: 'light' };

/** The position of a Munsell value (0–10) on a scale, not rounded. */
export function onScale(value: number, scale: ValueScale): number {
  const fromDark = (Math.min(10, Math.max(0, value)) / 10) * (scale.steps - 1);
  return scale.highIs === 'light'
    ? scale.first + fromDark
    : scale.first + scale.steps - 1 - fromDark;
}

/** The Munsell value (0–10) at a position of a scale. */
export function fromScale(position: number, scale: ValueScale): number {
  const along = (position - scale.first) / (scale.steps - 1);
  return 10 * (scale.highIs === 'light' ? along : 1 - along);
}

/** One step of the person's scale, in Munsell steps. */
export function stepOf(scale: ValueScale): number {
  return 10 / (scale.steps - 1);
}

/** The whole-number marks of a scale from dark to light, each with its Munsell value. */
export function scaleMarks(scale: ValueScale): { mark: number; value: number }[] {
  const marks = Array.from({ length: scale.steps }, (_, i) => {
    const mark = scale.first + i;
    return { mark, value: fromScale(mark, scale) };
  });
  return scale.highIs === 'light' ? marks : marks.reverse();
}
