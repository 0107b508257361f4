import type { Oklab } from '../colour/oklab';
import { oklchFromOklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { mixColour } from './mix-lab';
import type { Optics } from './pigment';
import { TITANIUM_WHITE } from './pigments/pigments';
import { tintOf } from './route';
import { kindOf, tubeOf, weightOf, type Tube } from './tube';

export const MIN_STRING = 3;
export const MAX_STRING = 13;

/** Whether the steps of a string are even in value or in the parts that are mixed. */
export type StringSpacing = 'value' | 'ratio';

/** A step of a string: shares (summing to 1) of what it begins with, goes by way of, and ends with. */
export interface StringStep {
  from: number;
  via: number;
  to: number;
  colour: Oklab;
}

/** Points between which values are interpolated. */
const SAMPLES = 256;

/**
 * Steps from one paint to another, straight or by way of a third, which is then the middle of the way. Even in value
 * means that each is at its own value as far as the mixtures rise or fall; shares are by volume. Throws a RangeError
 * for a number of steps that no string has.
 */
export function stringBetween(
  from: Optics,
  to: Optics,
  steps: number,
  spacing: StringSpacing,
  via: Optics | null = null,
): StringStep[] {
  if (!Number.isInteger(steps) || steps < MIN_STRING || steps > MAX_STRING)
    throw new RangeError(`A string has ${MIN_STRING} to ${MAX_STRING} steps`);
  const at = (along: number): StringStep => {
    const shares = via ? sharesVia(along) : { from: 1 - along, via: 0, to: along };
    return {
      ...shares,
      colour: mixColour(
        [from, to, ...(via ? [via] : [])],
        [shares.from, shares.to, ...(via ? [shares.via] : [])],
      ),
    };
  };
  if (spacing === 'ratio') return Array.from({ length: steps }, (_, i) => at(i / (steps - 1)));
  const samples = Array.from({ length: SAMPLES + 1 }, (_, i) =>
    valueOfOklab(at(i / SAMPLES).colour),
  );
  const [first, last] = [samples[0], samples[SAMPLES]];
  return Array.from({ length: steps }, (_, i) => {
    if (i === 0) return at(0);
    if (i === steps - 1) return at(1);
    return at(alongOf(samples, first + ((last - first) * i) / (steps - 1)));
  });
}

/** Through the middle: the first half goes from the beginning to what lies between, the second on to the end. */
function sharesVia(along: number): Omit<StringStep, 'colour'> {
  return along < 0.5
    ? { from: 1 - 2 * along, via: 2 * along, to: 0 }
    : { from: 0, via: 2 - 2 * along, to: 2 * along - 1 };
}

/** Where along some samples a value is met first. */
function alongOf(samples: readonly number[], value: number): number {
  const rises = samples[samples.length - 1] >= samples[0];
  const at = samples.findIndex((sample) => (rises ? sample >= value : sample <= value));
  if (at <= 0) return Math.max(0, at) / SAMPLES;
  const [low, high] = [samples[at - 1], samples[at]];
  const part = high === low ? 0 : (value - low) / (high - low);
  return (at - 1 + part) / SAMPLES;
}

/** How a green strikes a painter: like leaves and grass, or like nothing that grows. */
export type GreenCharacter = 'quiet' | 'natural' | 'garish';

export interface GreenMixture {
  blue: Tube;
  yellow: Tube;
  /** As both weigh alike in the mixture, and with two of white to one of that. */
  colour: Oklab;
  tint: Oklab;
  character: GreenCharacter;
}

const BLUES: readonly [number, number] = [165, 290];
const YELLOWS: readonly [number, number] = [62, 125];
/** OKLCH chroma up to which a green is quiet, and from which it is garish. */
const QUIET = 0.05;
const GARISH = 0.105;
const WHITE_TO_GREEN = 2;
/** What is greyer in white is no blue and no yellow to a painter: OKLCH chroma. */
const MIN_TINT_CHROMA = 0.055;

/** Every blue (and green) of some tubes with every yellow, each alone and in white. */
export function greensOf(tubes: readonly Tube[]): GreenMixture[] {
  const within = (tube: Tube, [low, high]: readonly [number, number]) => {
    const { C, h } = tintOf(tube);
    return C >= MIN_TINT_CHROMA && h >= low && h <= high;
  };
  const colours = tubes.filter((tube) => kindOf(tube) === 'colour' || kindOf(tube) === 'earth');
  const blues = colours.filter((tube) => within(tube, BLUES));
  const yellows = colours.filter((tube) => within(tube, YELLOWS));
  const white = tubeOf('white', [TITANIUM_WHITE]).optics;
  return blues.flatMap((blue) =>
    yellows.map((yellow): GreenMixture => {
      const paints = [blue.optics, yellow.optics];
      const weights = paints.map((optics) => 1 / weightOf(optics));
      const total = weights[0] + weights[1];
      const colour = mixColour(paints, weights);
      const tint = mixColour([...paints, white], [...weights, WHITE_TO_GREEN * total]);
      return { blue, yellow, colour, tint, character: characterOf(colour, tint) };
    }),
  );
}

function characterOf(colour: Oklab, tint: Oklab): GreenCharacter {
  const chroma = Math.max(oklchFromOklab(colour).C, oklchFromOklab(tint).C);
  if (chroma < QUIET) return 'quiet';
  return chroma < GARISH ? 'natural' : 'garish';
}
