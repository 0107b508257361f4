import { MISTAKE_KINDS, type Mistake, type MistakeKind } from './mistakes';

/** The mistakes of one checked study. */
export interface CheckedStudy {
  id: string;
  /** Milliseconds since 1970. */
  at: number;
  mistakes: readonly Mistake[];
}

export type Trend = 'fades' | 'stays' | 'grows' | 'too few';

export interface RecurringMistake {
  kind: MistakeKind;
  /** In how many of the studies it was seen. */
  count: number;
  trend: Trend;
  /** How much it weighs now: recent ones count more. */
  weight: number;
  /** Its size in every study from the first to the last, 0 where it wasn't there. */
  points: { id: string; at: number; size: number }[];
}

/** After so many studies a mistake counts half. */
const HALF_LIFE = 4;
/** From so many studies on a trend is told, and a mistake that was there in so many of them comes back. */
const MIN_STUDIES = 6;
export const MIN_COUNT = 2;
/** Sizes have to differ by this for a trend. */
const MIN_CHANGE = 0.3;

/** Mistakes that come back, what weighs most now first; those that were there once come last. */
export function recurringMistakes(studies: readonly CheckedStudy[]): RecurringMistake[] {
  const inOrder = studies.toSorted((one, other) => one.at - other.at);
  return MISTAKE_KINDS.flatMap((kind) => {
    const points = inOrder.map(({ id, at, mistakes }) => ({
      id,
      at,
      size: mistakes.find((mistake) => mistake.kind === kind)?.size ?? 0,
    }));
    const count = points.filter(({ size }) => size > 0).length;
    if (count === 0) return [];
    const weight = points.reduce(
      (sum, { size }, i) => sum + size * 0.5 ** ((points.length - 1 - i) / HALF_LIFE),
      0,
    );
    return [{ kind, count, weight, trend: trendOf(points.map(({ size }) => size)), points }];
  }).sort(
    (one, other) =>
      Number(other.count >= MIN_COUNT) - Number(one.count >= MIN_COUNT) ||
      other.weight - one.weight,
  );
}

/** The mean of the last third against that of the first. */
function trendOf(sizes: readonly number[]): Trend {
  if (sizes.length < MIN_STUDIES) return 'too few';
  const third = Math.floor(sizes.length / 3);
  const mean = (some: readonly number[]) => some.reduce((sum, n) => sum + n, 0) / some.length;
  const change = mean(sizes.slice(-third)) - mean(sizes.slice(0, third));
  return change < -MIN_CHANGE ? 'fades' : change > MIN_CHANGE ? 'grows' : 'stays';
}

/** What to try against each mistake, one thing at a time. */
const TRY: Readonly<Record<MistakeKind, string>> = {
  'whole too light': 'Lay the darkest dark first and hold every mass against it.',
  'whole too dark': 'Leave the paper for the lightest light and come down to it, not up.',
  'range too short': 'Put the darkest and the lightest down in the first ten minutes.',
  'range too wide': 'Mix the two ends first and let nothing pass them.',
  'whole too strong': 'Grey every pile once before it touches the canvas.',
  'whole too dull': 'Mix the strongest colour of the picture first, and tune the others to it.',
  'whole turned': 'Mix one grey by the picture’s own grey before any colour.',
  'darks too light': 'Squint until the darks join, and paint them as one.',
  'darks too dark': 'Look into the darks last, and lift what you can still see into.',
  'middles too light': 'Hold the middle mass against the dark, not against the white of the paper.',
  'middles too dark': 'Hold the middle mass against the lightest light.',
  'lights too light': 'Keep white off the palette until the last stage.',
  'lights too dark': 'Mix the lights by looking at the paper beside them.',
  'masses too strong': 'Name the intensity aloud before each mix; start from its grey.',
  'masses too dull': 'Lay the strong accent early, so that the greys stay greys by it.',
  'hues off': 'Ask warmer or cooler of every neighbour before asking which colour.',
  'edges lost': 'Find three hard edges before painting, and put them down last.',
  'edges too hard': 'Drag one edge in three while both sides are wet.',
  'turns flattened': 'Mix three steps for every mass that turns, before touching it.',
  'proportions off': 'Plan two values on a thumbnail, and count how much is dark.',
};

/** One thing to try next, from what weighs most. */
export const nextThing = (kind: MistakeKind): string => TRY[kind];
