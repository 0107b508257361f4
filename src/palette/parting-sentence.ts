import { ciede2000 } from '@/core/colour/ciede2000';
import { labFromOklab } from '@/core/colour/cielab';
import { valueOfOklab } from '@/core/colour/value';
import { stepOf, type ValueScale } from '@/core/colour/value-scale';
import type { TraySwatch } from '@/contracts/study';
import { list, stepWords } from '@/ui/words';

type Named = Pick<TraySwatch, 'name' | 'colour'>;

/** Values that differ by less than this part of a step of the scale are one to the eye. */
const SAME = 0.15;

/**
 * How far some candidates stand from a ground in value, the farthest first, and which of several parts from it best: in
 * value, or by colour where they stand alike.
 */
export function partingSentence(
  candidates: readonly Named[],
  ground: Named,
  scale: ValueScale,
): string {
  const isSame = (difference: number) => Math.abs(difference) / stepOf(scale) < SAME;
  const apart = candidates
    .map(({ name, colour }) => ({
      name,
      value: valueOfOklab(colour) - valueOfOklab(ground.colour),
      colour: ciede2000(labFromOklab(colour), labFromOklab(ground.colour)),
    }))
    .sort((one, other) => Math.abs(other.value) - Math.abs(one.value));
  if (apart.length === 0) return '';
  const words = apart.map(({ name, value }, i) => {
    const it = i === 0 ? `“${ground.name}”` : 'it';
    if (isSame(value)) return `“${name}” is one with ${it} in value`;
    return `“${name}” stands ${stepWords(value, scale)} ${value > 0 ? 'above' : 'below'} ${it}`;
  });
  const [best, second] = apart;
  if (!second) return `${words[0]}; in colour they are ${best.colour.toFixed(0)} apart.`;
  if (!isSame(Math.abs(best.value) - Math.abs(second.value)))
    return `${list(words)}: “${best.name}” parts best.`;
  const strongest = apart.reduce((one, other) => (other.colour > one.colour ? other : one));
  return `${list(words)}. In value two part alike; by colour “${strongest.name}” parts best.`;
}
