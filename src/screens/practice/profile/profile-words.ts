import { isPlain, type PracticeReport } from '@/core/drills/report';
import type { Leaning, RegionAxis } from '@/core/drills/profile';
import type { Skill } from '@/core/drills/question';
import type { ValueScale } from '@/core/colour/value-scale';
import { capital, list, percent, several, stepWords } from '@/ui/words';

/** From so many answers on values the profile says which way they lean. */
const MIN_VALUES = 20;
/** Smaller leanings are within what anybody's eye does, in Munsell steps. */
const MIN_LEAN = 0.2;
const MAX_NAMED = 3;

export const SKILL_TITLES: Readonly<Record<Skill, string>> = {
  family: 'families',
  value: 'values',
  intensity: 'intensities',
  temperature: 'warmer and cooler',
  lean: 'where greys lean',
  match: 'matching',
  order: 'order by value',
  contrast: 'colours beside others',
  light: 'light, shadow and water',
  whole: 'key and scheme',
  hidden: 'hidden colours',
  mixing: 'which tube a pile lacks',
};

const THIRDS: Readonly<Record<string, string>> = {
  dark: 'darks',
  middle: 'middles',
  light: 'lights',
};

/** A part of the space of colours in the plural: "yellows", "darks", "greyed colours". */
export function partWords(axis: RegionAxis, is: string): string {
  if (axis === 'value') return THIRDS[is] ?? is;
  return axis === 'family' ? `${is}s` : is === 'neutral' ? 'neutrals' : `${is} colours`;
}

/** Leanings of value that are more than chance, the largest first: of families before what else says the same. */
const plainLeanings = (leanings: readonly Leaning[], bias: number): Leaning[] =>
  leanings
    .filter((leaning) => isPlain(leaning) && Math.abs(bias + leaning.bias) >= MIN_LEAN)
    .sort((one, other) => Math.abs(bias + other.bias) - Math.abs(bias + one.bias));

/** "You read yellows half a step too light and violets one step too dark." */
export function profileSentence({ count, value }: PracticeReport, scale: ValueScale): string {
  if (count === 0)
    return 'An eye is trained by guessing first and being told at once. A round takes five minutes.';
  if (!value || value.count < MIN_VALUES)
    return `${capital(several(count, 'answer'))} so far: too few to say how you read values.`;
  const lean = (by: number) => offWords('value', by, scale);
  const spread = `your readings spread by ${stepWords(value.spread, scale)}`;
  const isLeaning =
    Math.abs(value.bias) >= MIN_LEAN &&
    Math.abs(value.bias) >= (2 * value.spread) / Math.sqrt(value.count);
  const named = plainLeanings(value.leanings, value.bias)
    .slice(0, MAX_NAMED)
    .map(({ axis, is, bias }) => `${partWords(axis, is)} ${lean(value.bias + bias)}`);
  const parts = [...(isLeaning ? [`values ${lean(value.bias)} on the whole`] : []), ...named];
  return parts.length === 0
    ? `You read values without a leaning that is more than chance; ${spread}.`
    : `You read ${list(parts)}; ${spread}.`;
}

const MAX_LISTED = 5;

/** What to practise, and why: values that lean, then what is missed more often than the rest of its skill. */
export function practiseWords(
  { value, weak, skills }: PracticeReport,
  scale: ValueScale,
): string[] {
  const leaning =
    value && value.count >= MIN_VALUES ? plainLeanings(value.leanings, value.bias) : [];
  const rightOf = (skill: Skill) => skills.find((one) => one.skill === skill)?.right ?? 0;
  return [
    ...leaning.map(
      ({ axis, is, bias }) =>
        `Values of ${partWords(axis, is)}: you read them ${offWords('value', value!.bias + bias, scale)}.`,
    ),
    ...weak.map(
      ({ skill, leaning: { axis, is }, right }) =>
        `${capital(SKILL_TITLES[skill])} of ${partWords(axis, is)}: ${percent(Math.max(0, right))} right, ${percent(rightOf(skill))} on the whole.`,
    ),
  ].slice(0, MAX_LISTED);
}

/** What an eye is measured in. */
export type Subject = 'value' | 'intensity' | 'family';

/** An amount of it, either way: "0.4 of a step", "0.3 of a word", "1.2 families". */
export function amountWords(subject: Subject, by: number, scale: ValueScale): string {
  if (subject === 'value') return stepWords(by, scale);
  const amount = Math.abs(by);
  const [one, many] = subject === 'intensity' ? ['word', 'words'] : ['family', 'families'];
  if (amount < 0.05) return `no ${one}`;
  return amount < 0.95 ? `${amount.toFixed(1)} of a ${one}` : `${amount.toFixed(1)} ${many}`;
}

/** What something is read off: "0.4 of a step too light", "0.3 of a word too dull", "0.8 of a family off". */
export function offWords(subject: Subject, by: number, scale: ValueScale): string {
  const amount = amountWords(subject, by, scale);
  if (subject === 'family') return `${amount} off`;
  const [more, less] = subject === 'value' ? ['light', 'dark'] : ['strong', 'dull'];
  return `${amount} too ${by > 0 ? more : less}`;
}
