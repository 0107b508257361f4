import { atValue } from '../colour/at-value';
import {
  INTENSITY_LIMITS,
  INTENSITY_WORDS,
  intensityWord,
  NEUTRAL_CHROMA,
  type IntensityWord,
} from '../colour/intensity';
import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { familyOf, hueAtPosition, PAINTERS_WHEEL } from '../colour/wheel';
import { once } from '../once';

export const VALUE_THIRDS = ['dark', 'middle', 'light'] as const;
export type ValueThird = (typeof VALUE_THIRDS)[number];
/** Where the thirds part, in Munsell value. */
const THIRD_LIMITS = [10 / 3, 20 / 3];
/** The strongest that is made up. */
const MAX_CHROMA = 0.28;

/**
 * A part of the space of colours that an eye is trained in: a third of the values, a family of the painters' wheel and an
 * intensity. A neutral has no family. The wheel is always that one, so that what was learnt outlasts a change of settings.
 */
export interface ColourRegion {
  value: ValueThird;
  family: string | null;
  intensity: IntensityWord;
}

export function regionOf(colour: Oklab): ColourRegion {
  const { C } = oklchFromOklab(colour);
  const value = valueOfOklab(colour);
  return {
    value: VALUE_THIRDS[THIRD_LIMITS.filter((limit) => value >= limit).length],
    family: C < NEUTRAL_CHROMA ? null : familyOf(colour, PAINTERS_WHEEL).name,
    intensity: intensityWord(C),
  };
}

/** A region as a key: "middle yellow dull". */
export const regionKey = ({ value, family, intensity }: ColourRegion): string =>
  [value, family ?? 'grey', intensity].join(' ');

/** Where a region's colours lie: Munsell values, OKLCH chromas, and places on the painters' wheel. */
export function boundsOf({ value, family, intensity }: ColourRegion): {
  value: readonly [number, number];
  chroma: readonly [number, number];
  position: readonly [number, number];
} {
  const third = VALUE_THIRDS.indexOf(value);
  const word = INTENSITY_WORDS.indexOf(intensity);
  const at = family === null ? 0 : PAINTERS_WHEEL.families.indexOf(family);
  const half = family === null ? PAINTERS_WHEEL.families.length / 2 : 0.5;
  return {
    value: [[0, ...THIRD_LIMITS][third], [...THIRD_LIMITS, 10][third]],
    chroma: [[0, ...INTENSITY_LIMITS][word], [...INTENSITY_LIMITS, MAX_CHROMA][word]],
    position: [at - half, at + half],
  };
}

/** The regions that sRGB has colours in, by the middle of each. */
export const allRegions = once((): ColourRegion[] => {
  const greys = VALUE_THIRDS.map((value): ColourRegion => ({
    value,
    family: null,
    intensity: 'neutral',
  }));
  const coloured = VALUE_THIRDS.flatMap((value) =>
    PAINTERS_WHEEL.families.flatMap((family) =>
      INTENSITY_WORDS.slice(1).map((intensity): ColourRegion => ({ value, family, intensity })),
    ),
  );
  return [...greys, ...coloured.filter(isInside)];
});

function isInside(region: ColourRegion): boolean {
  const { value, chroma, position } = boundsOf(region);
  const hue = hueAtPosition((position[0] + position[1]) / 2, PAINTERS_WHEEL);
  const middle = atValue((value[0] + value[1]) / 2, hue, () => (chroma[0] + chroma[1]) / 2);
  return regionKey(regionOf(middle)) === regionKey(region);
}
