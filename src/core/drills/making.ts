import { atValue } from '../colour/at-value';
import { oklabFromOklch, oklchFromOklab, type Oklab } from '../colour/oklab';
import { toGamut } from '../colour/gamut';
import { valueOfOklab } from '../colour/value';
import { hueAtPosition, PAINTERS_WHEEL, wheelPosition, type Wheel } from '../colour/wheel';
import { oklchHueOn } from '../colour/wheel-hue';
import { isSeen } from './eyes';
import type { Making, ScreenLimits, Shown } from './question';
import { boundsOf, regionKey, regionOf } from './region';

/** From, to. */
type Range = readonly [number, number];

export const between = (random: () => number, from: number, to: number): number =>
  from + (to - from) * random();

export const oneOf = <T>(random: () => number, all: readonly T[]): T =>
  all[Math.min(all.length - 1, Math.floor(random() * all.length))];

/** In any order, each as likely. Source: R. Durstenfeld, "Algorithm 235", CACM 7(7), 1964. */
export function shuffled<T>(random: () => number, all: readonly T[]): T[] {
  const out = [...all];
  for (let i = out.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [out[i], out[j]] = [out[j], out[i]];
  }
  return out;
}

/** From what is asked of the easiest question to what is asked of the hardest. */
export const graded = (difficulty: number, easy: number, hard: number): number =>
  easy + (hard - easy) * difficulty;

export const chromaOf = ({ a, b }: Oklab): number => Math.hypot(a, b);

/** Values that a question may lie at, with room for what differs from it. */
export const valueRange = ({ darkest, lightest }: ScreenLimits, room = 0): Range => [
  darkest + room,
  lightest - room,
];

/** Whether a colour has its value where the screen shows it, with room for what differs from it. */
export function isShown(colour: Oklab, screen: ScreenLimits, room = 0): boolean {
  const [from, to] = valueRange(screen, room);
  const value = valueOfOklab(colour);
  return value >= from && value <= to;
}

/** A colour of a Munsell value and chroma at a place on the wheel, as strong as sRGB has it. */
export function colourAt(wheel: Wheel, position: number, value: number, chroma: number): Oklab {
  const hue = hueAtPosition(position, wheel);
  const alike = (h: number) => toGamut(oklabFromOklch({ L: 0.3 + value / 16, C: chroma, h }));
  return atValue(value, oklchHueOn(hue, wheel, alike), () => chroma);
}

/** The same with its value and chroma held and its place on the wheel moved by so many families. */
export const turnedBy = (wheel: Wheel, colour: Oklab, families: number): Oklab =>
  colourAt(
    wheel,
    wheelPosition(wheel.hueOf(colour), wheel) + families,
    valueOfOklab(colour),
    chromaOf(colour),
  );

/** A value and a chroma at which any place of the wheel shows whether it is seen. */
const PLAIN = { value: 5, chroma: 0.1 };

/** Any place on the wheel whose colours are seen. */
export function anyPosition({
  random,
  wheel,
  eyes = 'all hues',
}: Pick<Making, 'random' | 'wheel' | 'eyes'>): number {
  for (let i = 0; ; i++) {
    const position = between(random, 0, wheel.families.length);
    if (eyes === 'all hues' || i >= TRIES) return position;
    if (isSeen(colourAt(wheel, position, PLAIN.value, PLAIN.chroma), eyes)) return position;
  }
}

/** The share of colours of places that are asked about in their picture rather than by themselves. */
const IN_PICTURE = 0.6;

/** So often a made-up colour is tried before nothing is found to answer to what is wanted. */
const TRIES = 100;

/** What a colour of a question has to be. */
export interface Wanted {
  chroma: Range;
  /** How near the ends of what the screen shows it may come, in steps of value. */
  room?: number;
  suits?: (colour: Oklab) => boolean;
}

/**
 * One of the colours that were given which suits, else a made-up one; of the region that is wanted before any other. Null
 * where none does.
 */
export function wantedColour(making: Making, wanted: Wanted): Oklab | null {
  const { region } = making;
  if (!region) return anyWanted(making, wanted);
  const { suits = () => true } = wanted;
  const key = regionKey(region);
  const within = {
    ...wanted,
    suits: (one: Oklab) => regionKey(regionOf(one)) === key && suits(one),
  };
  return anyWanted(making, within) ?? anyWanted({ ...making, region: undefined }, wanted);
}

function anyWanted(
  { random, colours, screen, wheel, region, eyes = 'all hues', places = [] }: Making,
  { chroma: [least, most], room = 0, suits = () => true }: Wanted,
): Oklab | null {
  const isWanted = (colour: Oklab) =>
    chromaOf(colour) >= least &&
    chromaOf(colour) <= most &&
    isShown(colour, screen, room) &&
    isSeen(colour, eyes) &&
    suits(colour);
  const given = colours.filter(isWanted);
  const inPictures = given.filter((colour) => places.some((place) => place.colour === colour));
  // A colour is read otherwise among others than by itself: both are asked.
  if (inPictures.length > 0 && random() < IN_PICTURE) return oneOf(random, inPictures);
  if (given.length > 0) return oneOf(random, given);
  const bounds = region ? boundsOf(region) : null;
  const values = overlap(bounds?.value ?? [0, 10], valueRange(screen, room));
  const chromas = overlap(bounds?.chroma ?? [0, most], [least, most]);
  if (!values || !chromas) return null;
  for (let i = 0; i < TRIES; i++) {
    const position = between(random, ...(bounds?.position ?? [0, wheel.families.length]));
    const colour = colourAt(
      bounds ? PAINTERS_WHEEL : wheel,
      position,
      between(random, ...values),
      between(random, ...chromas),
    );
    if (isWanted(colour)) return colour;
  }
  return null;
}

const overlap = ([from, to]: Range, [other, end]: Range): Range | null => {
  const both: Range = [Math.max(from, other), Math.min(to, end)];
  return both[0] <= both[1] ? both : null;
};

/** At another chroma, its value and hue held. */
export const withChroma = (colour: Oklab, chroma: number): Oklab =>
  atValue(valueOfOklab(colour), oklchFromOklab(colour).h, () => chroma);

/** A colour by itself, or in its picture where it is the colour of a place. */
export function shownOf({ places = [] }: Making, colour: Oklab): Shown {
  const place = places.find((one) => one.colour === colour);
  return place ? { as: 'place', colour, place } : { as: 'patch', colour };
}
