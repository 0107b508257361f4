import { hexFromOklab } from '../colour/hex';
import { oklabDistance, type Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import type { DrawingPaint } from './paints';

/** How a drawing's colours go to a palette's: dark to dark and light to light, or the largest to the largest. */
export const MAPPINGS = ['value', 'area'] as const;
export type Mapping = (typeof MAPPINGS)[number];

export interface PaletteColour {
  colour: Oklab;
  /** Of the picture it comes from, 0–1; null where that is not known. */
  share: number | null;
}

/** Munsell steps: paints that part by so much are to stay apart. */
const APART = 0.5;
/** What it costs, by the smaller area, when two that were apart become one colour. */
const TOGETHER = 10;
/** How much a difference of hue and chroma counts beside a step of value. */
const COLOUR = 1.5;

/**
 * For each colour of a drawing (`#rrggbb`) the palette's colour it becomes. By value the order from dark to light stays, and
 * what stood apart in value stays apart as far as the palette has the colours; by area the largest takes the colour with
 * the largest share, and so on round. Throws a RangeError without colours.
 */
export function mapPaints(
  paints: readonly DrawingPaint[],
  palette: readonly PaletteColour[],
  by: Mapping,
): Map<string, string> {
  if (palette.length === 0) throw new RangeError('there are no colours to map to');
  return by === 'value' ? byValue(paints, palette) : byArea(paints, palette);
}

function byArea(
  paints: readonly DrawingPaint[],
  palette: readonly PaletteColour[],
): Map<string, string> {
  const largest = [...paints].sort((one, other) => other.area - one.area || other.uses - one.uses);
  const first = palette
    .map(({ colour, share }, i) => ({ colour, share: share ?? 0, i }))
    .sort((one, other) => other.share - one.share || one.i - other.i);
  return new Map(largest.map(({ hex }, i) => [hex, hexFromOklab(first[i % first.length].colour)]));
}

/** The cheapest way from dark to dark up to light to light, by dynamic programming over both in their order. */
function byValue(
  paints: readonly DrawingPaint[],
  palette: readonly PaletteColour[],
): Map<string, string> {
  const from = [...paints].sort((one, other) => one.value - other.value);
  const to = palette
    .map(({ colour }) => ({ colour, value: valueOfOklab(colour) }))
    .sort((one, other) => one.value - other.value);
  const spread = (list: readonly { value: number }[]) => {
    const low = list[0]?.value ?? 0;
    const range = Math.max(1e-6, (list.at(-1)?.value ?? 0) - low);
    return (value: number) => (10 * (value - low)) / range;
  };
  const [placeFrom, placeTo] = [spread(from), spread(to)];
  const all = Math.max(
    1e-9,
    from.reduce((sum, { area }) => sum + area, 0),
  );
  // Every paint counts for something, however small: a line that vanishes is missed.
  const weights = from.map(({ area }) => 0.2 / from.length + area / all);
  const own = (i: number, c: number) =>
    weights[i] *
    (Math.abs(placeFrom(from[i].value) - placeTo(to[c].value)) +
      COLOUR * oklabDistance({ ...from[i].colour, L: 0 }, { ...to[c].colour, L: 0 }));
  const together = (i: number) =>
    from[i].value - from[i - 1].value >= APART
      ? TOGETHER * Math.min(weights[i], weights[i - 1])
      : 0;
  let costs = to.map((_, c) => (from.length > 0 ? own(0, c) : 0));
  const backs: number[][] = [];
  for (let i = 1; i < from.length; i++) {
    const next: number[] = [];
    const back: number[] = [];
    let [best, least] = [0, Infinity];
    for (let c = 0; c < to.length; c++) {
      const stays = costs[c] + together(i);
      // `best` is the cheapest of all darker colours.
      const [cost, source] = stays <= least ? [stays, c] : [least, best];
      next.push(cost + own(i, c));
      back.push(source);
      if (costs[c] < least) [least, best] = [costs[c], c];
    }
    costs = next;
    backs.push(back);
  }
  const chosen = new Map<string, string>();
  let at = costs.indexOf(Math.min(...costs));
  for (let i = from.length - 1; i >= 0; i--) {
    chosen.set(from[i].hex, hexFromOklab(to[at].colour));
    if (i > 0) at = backs[i - 1][at];
  }
  return chosen;
}

/** Pairs of colours that stood apart in value by half a step and now are one, or stand nearer than that. */
export function fallenTogether(
  paints: readonly DrawingPaint[],
  map: ReadonlyMap<string, string>,
  valueOf: (hex: string) => number,
): [string, string][] {
  const found: [string, string][] = [];
  paints.forEach((one, i) =>
    paints.slice(i + 1).forEach((other) => {
      if (Math.abs(one.value - other.value) < APART) return;
      const [a, b] = [one, other].map(({ hex }) => valueOf(map.get(hex) ?? hex));
      if (Math.abs(a - b) < APART) found.push([one.hex, other.hex]);
    }),
  );
  return found;
}
