import { familyOfHue, type Wheel } from '../colour/wheel';
import type { OwnReading } from '../compare/own-reading';

/** One study that was checked, and its model where there was one. */
export interface PaintedStudy {
  /** Milliseconds since 1970. */
  at: number;
  aim: string;
  study: OwnReading;
  model: OwnReading | null;
}

const KEYS = ['low', 'middle', 'high'] as const;
const RANGES = ['short', 'medium', 'full'] as const;

/** How often things are done: counts of own studies beside those of what was studied. */
export interface Habits {
  studies: number;
  models: number;
  keys: Record<(typeof KEYS)[number], readonly [own: number, models: number]>;
  ranges: Record<(typeof RANGES)[number], readonly [own: number, models: number]>;
  /** Means over the studies. */
  means: {
    name: 'darkest' | 'lightest' | 'chroma' | 'neutral';
    own: number;
    models: number | null;
  }[];
  /** For each family of the wheel the share of studies in which it takes more than a tenth of the coloured. */
  hues: { family: string; own: number; models: number }[];
  suggestions: Suggestion[];
}

export interface Suggestion {
  kind: 'key' | 'range' | 'hue' | 'aim';
  /** What was not tried: "high", "full", a family of hues, an aim. */
  what: string;
  /** When it was tried last; null for never. */
  last: number | null;
}

/** What was not done for so long is worth a try. */
const LONG_AGO = 60 * 864e5;
const MAX_SUGGESTIONS = 4;
/** From so many studies on a habit is one. */
const MIN_STUDIES = 5;

/** What one's own studies keep to, beside what was studied, and what was never or long not tried. */
export function habitsOf(
  painted: readonly PaintedStudy[],
  aims: readonly string[],
  now: number,
  wheel: Wheel,
): Habits {
  const models = painted.flatMap(({ model }) => (model ? [model] : []));
  const own = painted.map(({ study }) => study);
  const countOf = <T>(is: (reading: OwnReading) => T, what: T) =>
    [own, models].map(
      (list) => list.filter((one) => is(one) === what).length,
    ) as unknown as readonly [number, number];
  const mean = (list: readonly OwnReading[], of: (reading: OwnReading) => number) =>
    list.length === 0 ? null : list.reduce((sum, one) => sum + of(one), 0) / list.length;
  const names = ['darkest', 'lightest', 'chroma', 'neutral'] as const;
  return {
    studies: own.length,
    models: models.length,
    keys: Object.fromEntries(
      KEYS.map((key) => [key, countOf((one) => one.key, key)]),
    ) as Habits['keys'],
    ranges: Object.fromEntries(
      RANGES.map((range) => [range, countOf((one) => one.range, range)]),
    ) as Habits['ranges'],
    means: names.map((name) => ({
      name,
      own: mean(own, (one) => one[name]) ?? 0,
      models: mean(models, (one) => one[name]),
    })),
    hues: wheel.families.map((family) => ({
      family,
      own: shareWith(own, family, wheel),
      models: shareWith(models, family, wheel),
    })),
    suggestions: painted.length < MIN_STUDIES ? [] : suggestionsOf(painted, aims, now, wheel),
  };
}

const leansOn = ({ families }: OwnReading, family: string, wheel: Wheel) =>
  families.some(({ hue }) => familyOfHue(hue, wheel).name === family);

const shareWith = (list: readonly OwnReading[], family: string, wheel: Wheel) =>
  list.length === 0 ? 0 : list.filter((one) => leansOn(one, family, wheel)).length / list.length;

function suggestionsOf(
  painted: readonly PaintedStudy[],
  aims: readonly string[],
  now: number,
  wheel: Wheel,
): Suggestion[] {
  const last = (is: (one: PaintedStudy) => boolean) => {
    const times = painted.filter(is).map(({ at }) => at);
    return times.length === 0 ? null : Math.max(...times);
  };
  const all: Suggestion[] = [
    ...KEYS.map((key): Suggestion => ({
      kind: 'key',
      what: key,
      last: last(({ study }) => study.key === key),
    })),
    ...RANGES.map((range): Suggestion => ({
      kind: 'range',
      what: range,
      last: last(({ study }) => study.range === range),
    })),
    ...wheel.families.map((family): Suggestion => ({
      kind: 'hue',
      what: family,
      last: last(({ study }) => leansOn(study, family, wheel)),
    })),
    ...aims.map((aim): Suggestion => ({
      kind: 'aim',
      what: aim,
      last: last((one) => one.aim === aim),
    })),
  ];
  const old = all
    .filter(({ last: when }) => when === null || now - when > LONG_AGO)
    .sort((one, other) => (one.last ?? 0) - (other.last ?? 0));
  // One of each kind before a second of any.
  const rank = (suggestion: Suggestion) =>
    old.filter(({ kind }) => kind === suggestion.kind).indexOf(suggestion);
  return old.toSorted((one, other) => rank(one) - rank(other)).slice(0, MAX_SUGGESTIONS);
}
