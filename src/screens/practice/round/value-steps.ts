import { scaleMarks, stepOf, type ValueScale } from '@/core/colour/value-scale';

/** Values aren't asked finer than this, in Munsell steps. */
const FINE = 0.5;

export interface ValueStep {
  value: number;
  /** Of a whole step; null between two. */
  mark: number | null;
}

/** What can be answered on a scale: its steps, and parts of them where they are coarse, from dark to light. */
export function valueSteps(scale: ValueScale): ValueStep[] {
  const marks = scaleMarks(scale);
  const parts = Math.max(1, Math.round(stepOf(scale) / FINE));
  return marks.flatMap(({ mark, value }, i) => {
    const next = marks.at(i + 1);
    return [
      { value, mark },
      ...(next
        ? Array.from({ length: parts - 1 }, (_, k) => ({
            value: value + ((next.value - value) * (k + 1)) / parts,
            mark: null,
          }))
        : []),
    ];
  });
}

/**
 * The step that a key stands for: a figure is that step of the scale (0 is ten where the scale has no 0), with Shift the next
 * finer one toward the light. Null for another key.
 */
export function stepOfKey(
  { code, shiftKey }: Pick<KeyboardEvent, 'code' | 'shiftKey'>,
  steps: readonly ValueStep[],
): ValueStep | null {
  const digit = /^(?:Digit|Numpad)(\d)$/.exec(code)?.[1];
  if (digit === undefined) return null;
  const hasZero = steps.some(({ mark }) => mark === 0);
  const mark = digit === '0' && !hasZero ? 10 : Number(digit);
  const at = steps.findIndex((step) => step.mark === mark);
  if (at < 0) return null;
  return steps.at(at + (shiftKey ? 1 : 0)) ?? null;
}
