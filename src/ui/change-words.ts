import type { ValueScale } from '@/core/colour/value-scale';
import type { SwatchChange } from '@/contracts/palette';
import { list, stepWords } from './words';

/** How a colour was changed, to follow what it was: "; then 2.0 steps lighter and cooler by 0.3". */
export function changeWords({ was, from, moves }: SwatchChange, scale: ValueScale): string {
  const isTyped = was.L !== from.L || was.a !== from.a || was.b !== from.b;
  const { value, warmth, chroma, turn } = moves;
  const words = [
    isTyped && 'typed',
    value !== 0 && `${stepWords(value, scale)} ${value > 0 ? 'lighter' : 'darker'}`,
    warmth !== 0 && `${warmth > 0 ? 'warmer' : 'cooler'} by ${Math.abs(warmth).toFixed(1)}`,
    chroma !== 0 && `${chroma > 0 ? 'stronger' : 'duller'} by ${Math.abs(chroma).toFixed(2)}`,
    turn !== 0 && `${Math.abs(turn).toFixed(1)} of a family ${turn > 0 ? 'onward' : 'back'}`,
  ].filter((word) => word !== false);
  return words.length > 0 ? `; then ${list(words)}` : '';
}
