import type { ValueScale } from '@/core/colour/value-scale';
import { huesItIsIn } from '@/core/measure/hues';
import type { ComparedStudy } from '@/contracts/compare';
import { capital, list, percent, stepWords } from '@/ui/words';

/** Differences under these are not spoken of: value in Munsell steps, temperature, shares, chroma. */
const SAME_VALUE = 0.4;
const SAME_SPREAD = 0.8;
const SAME_TEMPERATURE = 0.15;
const SAME_SHARE = 0.1;
const SAME_CHROMA = 0.012;

/** How the second study differs from the first, in sentences; the first says so when hardly at all. */
export function differences(one: ComparedStudy, other: ComparedStudy, scale: ValueScale): string[] {
  const sentences = [
    valueDifference(one, other, scale),
    rangeDifference(one, other, scale),
    hueDifference(one, other),
    keyDifference(one, other),
    lightDifference(one, other),
    temperatureDifference(one, other),
    chromaDifference(one, other),
    greyDifference(one, other),
    harmonyDifference(one, other),
  ].filter((sentence) => sentence !== null);
  return sentences.length > 0
    ? sentences
    : ['They are alike in value, family, temperature, intensity and harmony.'];
}

type Say = (one: ComparedStudy, other: ComparedStudy) => string | null;
type SayOnScale = (one: ComparedStudy, other: ComparedStudy, scale: ValueScale) => string | null;

const valueDifference: SayOnScale = (one, other, scale) => {
  const by = other.values.median - one.values.median;
  if (Math.abs(by) < SAME_VALUE) return null;
  return `The second is ${by > 0 ? 'lighter' : 'darker'} by ${stepWords(by, scale)} in its middle value (${one.values.key} key, then ${other.values.key} key).`;
};

const rangeDifference: SayOnScale = (one, other, scale) => {
  const spread = ({ values }: ComparedStudy) => values.p95 - values.p5;
  const by = spread(other) - spread(one);
  if (Math.abs(by) < SAME_SPREAD) return null;
  return `Its values reach ${stepWords(by, scale)} ${by > 0 ? 'further' : 'less far'}.`;
};

const hueDifference: Say = (one, other) => {
  const [first, second] = [one, other].map((study) => {
    const families = huesItIsIn(study.colours.hues).map(({ family }) => family);
    return Array.from(new Set(families));
  });
  const kept = first.filter((family) => second.includes(family));
  const gone = first.filter((family) => !second.includes(family));
  const come = second.filter((family) => !first.includes(family));
  if (gone.length + come.length === 0) return null;
  const parts = [
    kept.length > 0 && `both are in ${list(kept)}`,
    gone.length > 0 && `only the first in ${list(gone)}`,
    come.length > 0 && `only the second in ${list(come)}`,
  ].filter((part) => part !== false);
  return `${capital(parts.join('; '))}.`;
};

const keyDifference: Say = (one, other) => {
  const [first, second] = [one, other].map(({ colours }) => colours.keyColour?.family);
  if (first === second) return null;
  if (!first) return `Only the second has a key colour, ${second}.`;
  if (!second) return `Only the first has a key colour, ${first}.`;
  return `The key is ${first} in the first, ${second} in the second.`;
};

const lightDifference: Say = (one, other) => {
  const parts = ({ colours: { temperature } }: ComparedStudy) =>
    temperature.light === null || temperature.shadow === null
      ? null
      : temperature.light - temperature.shadow;
  const [first, second] = [parts(one), parts(other)];
  if (first === null || second === null || Math.abs(first - second) < SAME_TEMPERATURE) return null;
  const words = (by: number) =>
    Math.abs(by) < SAME_TEMPERATURE / 2
      ? 'as warm as the shadow'
      : `${by > 0 ? 'warmer' : 'cooler'} than the shadow by ${Math.abs(by).toFixed(1)}`;
  return `The light is ${words(first)} in the first, ${words(second)} in the second.`;
};

const temperatureDifference: Say = (one, other) => {
  const by = other.colours.temperature.mean - one.colours.temperature.mean;
  if (Math.abs(by) < SAME_TEMPERATURE) return null;
  return `On the whole the second is ${by > 0 ? 'warmer' : 'cooler'} by ${Math.abs(by).toFixed(1)}.`;
};

const chromaDifference: Say = (one, other) => {
  const [first, second] = [one, other].map(({ colours }) => colours.chroma.mean);
  if (Math.abs(first - second) < SAME_CHROMA) return null;
  return `It is ${second > first ? 'the more intense' : 'the duller'}: mean chroma ${first.toFixed(3)} against ${second.toFixed(3)}.`;
};

const greyDifference: Say = (one, other) => {
  const [first, second] = [one, other].map(({ colours }) => colours.hues.neutral);
  if (Math.abs(first - second) < SAME_SHARE) return null;
  return `Neutrals are ${percent(first)} of the first and ${percent(second)} of the second.`;
};

const harmonyDifference: Say = (one, other) => {
  const [first, second] = [one, other].map(({ colours }) => colours.harmony.fits[0]?.scheme);
  if (first === second) return null;
  if (!first) return `Only the second is near a scheme: ${second}.`;
  if (!second) return `Only the first is near a scheme: ${first}.`;
  return `The first is nearest to ${first}, the second to ${second}.`;
};
