import { cutText } from '@/core/text';
import type { ValueScale } from '@/core/colour/value-scale';
import { leadingFits, type HarmonyFit } from '@/core/measure/harmony';
import { huesItIsIn } from '@/core/measure/hues';
import type { SideValues } from '@/core/measure/light-and-shadow';
import type { Verdict } from '@/core/measure/warm-cool';
import type { ComparedStudy } from '@/contracts/compare';
import { capital, list, percent, stepWords } from '@/ui/words';

/** Differences under these are not spoken of: value in Munsell steps, temperature, shares, chroma. */
const SAME_VALUE = 0.4;
const SAME_SPREAD = 0.8;
const SAME_TEMPERATURE = 0.15;
const SAME_SHARE = 0.1;
const SAME_CHROMA = 0.012;

/** How the second study differs from the first, in sentences that call them by name; the first says so when hardly at all. */
export function differences(one: ComparedStudy, other: ComparedStudy, scale: ValueScale): string[] {
  const [first, second] = namesOf(one.title, other.title);
  const pair: Pair = { one, other, first, second };
  const sentences = [
    valueDifference(pair, scale),
    rangeDifference(pair, scale),
    sidesDifference(pair, scale),
    hueDifference(pair),
    keyDifference(pair),
    lightDifference(pair),
    temperatureDifference(pair),
    chromaDifference(pair),
    greyDifference(pair),
    harmonyDifference(pair),
  ].filter((sentence) => sentence !== null);
  return sentences.length > 0
    ? sentences
    : ['They are alike in value, family, temperature, intensity and harmony.'];
}

const MAX_NAME = 32;

/** What two studies are called in a sentence: their titles as far as a comma, or by their order where that tells nothing. */
export function namesOf(one: string, other: string): [string, string] {
  const short = [one, other].map((title) => title.split(',')[0].trim());
  const named = short[0] === short[1] ? [one, other] : short;
  if (named[0] === named[1] || named.includes('')) return ['the first', 'the second'];
  return named.map((name) => `“${cutText(name, MAX_NAME)}”`) as [string, string];
}

interface Pair {
  one: ComparedStudy;
  other: ComparedStudy;
  /** What they are called. */
  first: string;
  second: string;
}
type Say = (pair: Pair) => string | null;
type SayOnScale = (pair: Pair, scale: ValueScale) => string | null;

const valueDifference: SayOnScale = ({ one, other, first, second }, scale) => {
  const by = other.values.median - one.values.median;
  if (Math.abs(by) < SAME_VALUE) return null;
  return `${capital(second)} is ${by > 0 ? 'lighter' : 'darker'} than ${first} by ${stepWords(by, scale)} in its middle value (a ${other.values.key} key beside a ${one.values.key} one).`;
};

const rangeDifference: SayOnScale = ({ one, other, second }, scale) => {
  const spread = ({ values }: ComparedStudy) => values.p95 - values.p5;
  const by = spread(other) - spread(one);
  if (Math.abs(by) < SAME_SPREAD) return null;
  return `The values of ${second} reach ${stepWords(by, scale)} ${by > 0 ? 'further' : 'less far'}.`;
};

const sidesDifference: SayOnScale = ({ one, other, first, second }, scale) => {
  const [before, after] = [one, other].map(({ colours }) => apart(colours.sideValues));
  if (before === null || after === null) return null;
  if (Math.abs(before - after) < SAME_SPREAD) return null;
  return `Light and shadow lie ${stepWords(before, scale)} apart in ${first}, ${stepWords(after, scale)} in ${second}.`;
};

/** Null where all is on one side. */
const apart = ({ light, shadow }: SideValues) =>
  light === null || shadow === null ? null : light - shadow;

const hueDifference: Say = ({ one, other, first, second }) => {
  const [before, after] = [one, other].map((study) => {
    const families = huesItIsIn(study.colours.hues).map(({ family }) => family);
    return Array.from(new Set(families));
  });
  const kept = before.filter((family) => after.includes(family));
  const gone = before.filter((family) => !after.includes(family));
  const come = after.filter((family) => !before.includes(family));
  if (gone.length + come.length === 0) return null;
  const parts = [
    kept.length > 0 && `both are in ${list(kept)}`,
    gone.length > 0 && `only ${first} in ${list(gone)}`,
    come.length > 0 && `only ${second} in ${list(come)}`,
  ].filter((part) => part !== false);
  return `${capital(parts.join('; '))}.`;
};

const keyDifference: Say = ({ one, other, first, second }) => {
  const [before, after] = [one, other].map(({ colours }) => colours.keyColour?.family);
  if (before === after) return null;
  if (!before) return `Only ${second} has a key colour, ${after}.`;
  if (!after) return `Only ${first} has a key colour, ${before}.`;
  return `The key is ${before} in ${first}, ${after} in ${second}.`;
};

const LIGHT_WORDS: Record<Verdict, string> = {
  warmer: 'warmer than the shadow',
  cooler: 'cooler than the shadow',
  alike: 'as warm as the shadow',
  mixed: 'warmer than the shadow in places and cooler in others',
};

const lightDifference: Say = ({ one, other, first, second }) => {
  const [before, after] = [one, other].map(({ colours }) => colours.temperature.verdict);
  if (before === null || after === null || before === after) return null;
  return `The light is ${LIGHT_WORDS[before]} in ${first}, ${LIGHT_WORDS[after]} in ${second}.`;
};

const temperatureDifference: Say = ({ one, other, second }) => {
  const by = other.colours.temperature.mean - one.colours.temperature.mean;
  if (Math.abs(by) < SAME_TEMPERATURE) return null;
  return `On the whole ${second} is ${by > 0 ? 'warmer' : 'cooler'} by ${Math.abs(by).toFixed(1)}.`;
};

const chromaDifference: Say = ({ one, other, second }) => {
  const [before, after] = [one, other].map(({ colours }) => colours.chroma.mean);
  if (Math.abs(before - after) < SAME_CHROMA) return null;
  return `${capital(second)} is ${after > before ? 'the more intense' : 'the duller'}: its mean chroma is ${after.toFixed(3)} against ${before.toFixed(3)}.`;
};

const greyDifference: Say = ({ one, other, first, second }) => {
  const [before, after] = [one, other].map(({ colours }) => colours.hues.neutral);
  if (Math.abs(before - after) < SAME_SHARE) return null;
  return `Neutrals are ${percent(before)} of ${first} and ${percent(after)} of ${second}.`;
};

/** The scheme that a picture is near; null where none is, or several are alike. */
function plainScheme(fits: readonly HarmonyFit[]): string | null {
  return fits.length > 0 && leadingFits(fits).length <= 2 ? fits[0].scheme : null;
}

const harmonyDifference: Say = ({ one, other, first, second }) => {
  const [before, after] = [one, other].map(({ colours }) => plainScheme(colours.harmony.fits));
  if (before === after) return null;
  if (!before) return `Only ${second} is near a scheme: ${after}.`;
  if (!after) return `Only ${first} is near a scheme: ${before}.`;
  return `${capital(first)} is nearest to ${before}, ${second} to ${after}.`;
};
