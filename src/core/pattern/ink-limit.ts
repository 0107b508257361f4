import { oklabDistance, type Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { MAX_INKS, MIN_INKS, overprints } from '../mixing/inks';
import type { WayColour } from './way-colours';

/** A palette that a few inks print. */
export interface InkSet {
  /** The palette's lightest colour stands for the paper: no ink. */
  paper: WayColour;
  /** In the order they are printed: the lightest first. */
  inks: WayColour[];
  /** Every colour there is: the paper, the inks, and where they overprint what lies under two and more. */
  colours: WayColour[];
  /** For each of these, by id, the numbers of its inks. */
  inksOf: Map<string, number[]>;
}

/** More colours than these are not tried as inks, the least first. */
const MAX_CANDIDATES = 14;

/**
 * So many inks of a palette that what is wanted comes nearest: `wanted` are colours with their weights. With `overprint` inks
 * are clear films, and two over each other are a colour more. From the best set without, single inks are exchanged while
 * that helps. Throws a RangeError for fewer than two inks or more than five.
 */
export function limitInks(
  palette: readonly WayColour[],
  wanted: readonly { colour: Oklab; weight: number }[],
  count: number,
  overprint: boolean,
): InkSet {
  if (!Number.isInteger(count) || count < MIN_INKS || count > MAX_INKS)
    throw new RangeError(`${MIN_INKS} to ${MAX_INKS} inks can be printed together`);
  const lightest = palette.reduce((light, one) => (one.colour.L > light.colour.L ? one : light));
  const candidates = palette
    .filter((one) => one !== lightest)
    .map((one) => ({ one, use: useOf(one, palette, wanted) }))
    .sort((one, other) => other.use - one.use)
    .slice(0, MAX_CANDIDATES)
    .map(({ one }) => one);
  const setOf = (inks: readonly WayColour[]) => inkSet(lightest, inks, overprint);
  const costOf = (set: InkSet) =>
    wanted.reduce(
      (sum, { colour, weight }) =>
        sum + weight * Math.min(...set.colours.map((one) => oklabDistance(colour, one.colour))),
      0,
    );
  let best = setOf(candidates.slice(0, count));
  let least = costOf(best);
  if (candidates.length <= count) return best;
  // Bounded: each exchange lowers the cost.
  for (let round = 0; round < 2 * count; round++) {
    let better: InkSet | null = null;
    for (const out of best.inks)
      for (const candidate of candidates) {
        if (best.inks.includes(candidate)) continue;
        const set = setOf(best.inks.map((ink) => (ink === out ? candidate : ink)));
        const cost = costOf(set);
        if (cost < least - 1e-9) [better, least] = [set, cost];
      }
    if (!better) break;
    best = better;
  }
  return best;
}

/** How much of what is wanted is nearest to a colour. */
const useOf = (
  one: WayColour,
  palette: readonly WayColour[],
  wanted: readonly { colour: Oklab; weight: number }[],
) =>
  wanted
    .filter(({ colour }) =>
      palette.every(
        (other) => oklabDistance(colour, one.colour) <= oklabDistance(colour, other.colour),
      ),
    )
    .reduce((sum, { weight }) => sum + weight, 0);

function inkSet(paper: WayColour, some: readonly WayColour[], overprint: boolean): InkSet {
  const inks = [...some].sort(
    (one, other) => valueOfOklab(other.colour) - valueOfOklab(one.colour),
  );
  const colours = [paper, ...inks];
  const inksOf = new Map<string, number[]>([
    [paper.id, []],
    ...inks.map((ink, i): [string, number[]] => [ink.id, [i]]),
  ]);
  if (overprint && inks.length >= MIN_INKS)
    for (const print of overprints({
      paper: paper.colour,
      inks: inks.map(({ colour }) => colour),
    })) {
      if (print.inks.length < 2) continue;
      const id = print.inks.map((i) => inks[i].id).join('+');
      colours.push({
        id,
        name: print.inks.map((i) => inks[i].name).join(' over '),
        colour: print.colour,
        share: null,
      });
      inksOf.set(id, print.inks);
    }
  return { paper, inks, colours, inksOf };
}
