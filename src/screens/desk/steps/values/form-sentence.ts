import { shortName } from '@/core/colour/name';
import type { ValueScale } from '@/core/colour/value-scale';
import type { FormStudy, MassForm } from '@/core/form/form-study';
import type { Gradient } from '@/core/form/gradients';
import type { ContourLine, Halo } from '@/core/form/halos';
import { reflectionChange } from '@/core/form/reflection-change';
import type { Reflection } from '@/core/form/reflections';
import type { ShadowForm } from '@/core/form/shadow-forms';
import type { Mass } from '@/core/measure/masses';
import { placeWords } from '@/core/picture/place-words';
import { capital, list, percent, stepWords } from '@/ui/words';

const SIDES = [
  'right',
  'upper right',
  'top',
  'upper left',
  'left',
  'lower left',
  'bottom',
  'lower right',
];

/** The side that a direction in degrees points to, and the one that it comes from. */
const sideTowards = (degrees: number) => SIDES[Math.round(degrees / 45) % SIDES.length];
const sideFrom = (degrees: number) => sideTowards((degrees + 180) % 360);

/** Two directions nearer than this are one, or one turned round. */
const ONE_WAY = 50;

function turnBetween(one: Gradient, other: Gradient): number {
  return Math.abs(((one.towards - other.towards + 540) % 360) - 180);
}

/** "a warm dark left to a cool light right", or each change by itself; null where nothing changes. */
export function gradientWords({
  value,
  temperature,
  chroma,
}: MassForm['gradients']): string | null {
  if (value && temperature) {
    const turn = turnBetween(value, temperature);
    const [first, last] = turn <= ONE_WAY ? ['cooler', 'warmer'] : ['warmer', 'cooler'];
    if (turn <= ONE_WAY || turn >= 180 - ONE_WAY)
      return `goes from a ${first} dark ${sideFrom(value.towards)} to a ${last} light ${sideTowards(value.towards)}`;
  }
  const sides = new Map<string, string[]>();
  const add = (word: string, gradient: Gradient | null) => {
    if (!gradient) return;
    const side = sideTowards(gradient.towards);
    sides.set(side, [...(sides.get(side) ?? []), word]);
  };
  add('lighter', value);
  add('warmer', temperature);
  add('more intense', chroma);
  const changes = [...sides].map(([side, words]) => `${list(words)} toward the ${side}`);
  return changes.length > 0 ? `grows ${list(changes)}` : null;
}

/** Whether a mass changes from side to side. */
export const turns = ({ gradients }: MassForm) => gradientWords(gradients) !== null;

/** Standard deviations of a, b at one value: below the first a mass is of one colour, from the second on it is broken. */
const EVEN = 0.008;
const BROKEN = 0.018;

export function varietyWord(variety: number): string {
  if (variety < EVEN) return 'even';
  return variety < BROKEN ? 'varied' : 'broken';
}

/** "light grey, at the top". */
export const massWords = ({ colour, place }: Pick<Mass, 'colour' | 'place'>) =>
  `${shortName(colour)} ${placeWords(place)}`;

/** What turns most, and the plainest of what was found besides. */
export function formSentence(form: FormStudy, scale: ValueScale): string {
  const turning = form.main.find(turns);
  const first = turning
    ? `The ${massWords(turning)} ${gradientWords(turning.gradients)}.`
    : 'The main masses are even: none changes from side to side.';
  const [reflection] = [...form.reflections].sort(
    (one, other) => Math.abs(other.value) - Math.abs(one.value),
  );
  if (reflection) return `${first} ${reflectionWords(reflection, form.masses, scale)}.`;
  const [shadow] = form.shadows;
  if (shadow) return `${first} Light comes back into a shadow ${placeWords(shadow.core.place)}.`;
  const [halo] = form.halos;
  if (halo) return `${first} A ${halo.tone} halo stands ${placeWords(halo.place)}.`;
  return first;
}

export function haloWords(
  { tone, mass, beside, step, along, place }: Halo,
  masses: readonly Mass[],
  scale: ValueScale,
): string {
  return (
    `A ${tone} halo in the ${shortName(masses[mass].colour)} beside the ${shortName(masses[beside].colour)}, ` +
    `${placeWords(place)}: ${stepWords(step, scale)}, along ${percent(along)} of their edge`
  );
}

export function contourWords(
  { tone, masses: [one, other], step, along, place }: ContourLine,
  masses: readonly Mass[],
  scale: ValueScale,
): string {
  return (
    `A ${tone} line between ${shortName(masses[one].colour)} and ${shortName(masses[other].colour)}, ` +
    `${placeWords(place)}: ${stepWords(step, scale)}, along ${percent(along)} of their edge`
  );
}

export function shadowWords(
  { light, core, reflected, cast }: ShadowForm,
  masses: readonly Mass[],
  scale: ValueScale,
): string {
  const thrower =
    reflected.from === null ? '' : `, likely thrown by the ${massWords(masses[reflected.from])}`;
  const falls = cast ? ` Its shadow falls on the ${massWords(masses[cast.on])}.` : '';
  return (
    `Lit from the ${sideTowards(light)}; darkest ${placeWords(core.place)}, and beyond it lighter again by ` +
    `${stepWords(reflected.step, scale)}${thrower}.${falls}`
  );
}

export function reflectionWords(
  reflection: Reflection,
  masses: readonly Mass[],
  scale: ValueScale,
): string {
  const thing = masses[reflection.above];
  const { value, chroma, isUsual } = reflectionChange(thing, reflection);
  const changes = [
    value === 'alike' ? 'of the same value' : `${value} by ${stepWords(reflection.value, scale)}`,
    chroma === 'alike' ? 'as intense' : chroma,
  ];
  const rule = isUsual ? '' : '; water would do the opposite';
  return `${capital(massWords(thing))} has its likeness below it, ${list(changes)}${rule}`;
}
