import { colourName, shortName } from '@/core/colour/name';
import type { Oklab } from '@/core/colour/oklab';
import type { Merging, Separation } from '@/core/measure/separation';
import { placeWords } from '@/core/picture/place-words';
import type { ValueScale } from '@/core/colour/value-scale';
import { stepOf } from '@/core/colour/value-scale';
import { capital, several, stepWords } from '@/ui/words';

/** From this CIEDE2000 on two colours are plainly two. */
const CLEAR_DIFFERENCE = 5;

/** What would merge in black and white. */
export function mergingSentence(merging: readonly Merging[], masses: number): string {
  if (masses < 2) return 'It is all one mass; nothing stands beside anything.';
  if (merging.length === 0)
    return 'Where the main masses differ in colour they hold apart in value as well; it reads in black and white.';
  const [{ one, other, place }] = merging;
  const pairs =
    merging.length === 1
      ? 'One pair of neighbours merges'
      : `${capital(several(merging.length, 'pair'))} of neighbours merge`;
  return (
    `${pairs} in black and white` +
    `${merging.length > 1 ? ', above all' : ':'} ${shortName(one.colour)} and ${shortName(other.colour)}, ${placeWords(place)}.`
  );
}

/** Whether two colours part, by how many steps, and whether they would in grey. */
export function separationSentence(
  { steps, difference, inGrey }: Separation,
  scale: ValueScale,
): string {
  const half = stepOf(scale) / 2;
  if (difference < CLEAR_DIFFERENCE)
    return `They hardly part at all: ${stepWords(steps, scale)} of value, and nearly one colour.`;
  if (steps >= half) return `They part by ${stepWords(steps, scale)}, in grey as well.`;
  return inGrey >= CLEAR_DIFFERENCE
    ? `They part by colour; their values are ${stepWords(steps, scale)} apart, in grey only just.`
    : `They part by colour alone: ${stepWords(steps, scale)} of value. In grey they would be one.`;
}

/** "dull dark blue against moderate light orange"; where both have one name, how the second differs. */
export function against([one, other]: readonly [Oklab, Oklab]): string {
  const [name, second] = [shortName(one), shortName(other)];
  if (name !== second) return `${name} against ${second}`;
  const lighter = other.L - one.L;
  if (Math.abs(lighter) < 0.03) return `${colourName(one)} against ${colourName(other)}`;
  return `${name} against a ${lighter > 0 ? 'lighter' : 'darker'} one`;
}
