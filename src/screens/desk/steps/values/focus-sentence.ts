import type { Balance } from '@/core/measure/balance';
import type { FocalPlace, QuietPlace } from '@/core/measure/focus';
import { placeWords } from '@/core/picture/place-words';
import { percent } from '@/ui/words';
import { against } from './separation-sentence';

/** Where the eye goes first and why, and where it rests. */
export function focusSentence(places: readonly FocalPlace[], quiet: readonly QuietPlace[]): string {
  const [first] = places;
  if (!first) return 'Nothing stands out; the picture is even all over.';
  const rests = quiet[0]
    ? ` It rests ${placeWords(quiet[0])}, over ${percent(quiet[0].share)} of the picture.`
    : ' It rests nowhere for long.';
  return `Contrast is strongest ${placeWords(first)}, by ${first.reason}: ${against(first.meets)}.${rests}`;
}

/** How far from the middle a centre of weight may lie and still count as in it. */
const MIDDLE = 0.015;

/** Where the weight lies. */
export function balanceSentence({ centre, left, upper }: Balance): string {
  const across = centre.x - 0.5;
  const down = centre.y - 0.5;
  const parts = [
    Math.abs(across) < MIDDLE
      ? ''
      : `${percent(Math.abs(across))} ${across < 0 ? 'left' : 'right'} of`,
    Math.abs(down) < MIDDLE ? '' : `${percent(Math.abs(down))} ${down < 0 ? 'above' : 'below'}`,
  ].filter(Boolean);
  const where = parts.length === 0 ? 'in the middle' : `${parts.join(' and ')} the middle`;
  return `The weight balances ${where}: ${percent(left)} of it is on the left, ${percent(upper)} in the upper half.`;
}
