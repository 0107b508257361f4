import { oklabDistance } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import type { DrawingPaint } from './paints';
import type { WayColour } from './way-colours';

/** How a drawing's colours go to a palette's: dark to dark and light to light, or the largest to the largest. */
export const MAPPINGS = ['value', 'area'] as const;
export type Mapping = (typeof MAPPINGS)[number];

/** Whether the darkest and the lightest have to take the palette's darkest and lightest. */
export const ENDS_HELD = ['free', 'fixed'] as const;
export type EndsHeld = (typeof ENDS_HELD)[number];

export interface MappingOptions {
  by: Mapping;
  ends?: EndsHeld;
  /** For a colour's id how much more room than it would take it is to have, in doublings. */
  wider?: ReadonlyMap<string, number>;
  /** Which paints touch, each pair once: they are not given the same colour by area where that can be helped. */
  touching?: readonly (readonly [string, string])[];
}

/** Munsell steps: paints that part by so much are to stay apart. */
export const APART = 0.5;
/** What it costs, by the smaller area, when two that were apart become one colour. */
const TOGETHER = 10;
/** What it costs when they come nearer than they may without becoming one. */
const NEARER = 5;
/** How much a difference of hue and chroma counts beside a step of value. */
const COLOUR = 1.5;
/** What a doubling of its room is worth, in steps of value. */
const WIDER = 1.2;

/**
 * For each colour of a drawing (`#rrggbb`) the palette's colour it becomes. By value the order from dark to light stays, and
 * what stood apart in value stays apart as far as the palette has the colours; by area the largest take the colours with the
 * largest shares, and the rest whatever lacks most of its share. Throws a RangeError without colours.
 */
export function mapPaints(
  paints: readonly DrawingPaint[],
  palette: readonly WayColour[],
  options: MappingOptions,
): Map<string, WayColour> {
  if (palette.length === 0) throw new RangeError('there are no colours to map to');
  return options.by === 'value'
    ? byValue(paints, palette, options)
    : byArea(paints, palette, options);
}

function byArea(
  paints: readonly DrawingPaint[],
  palette: readonly WayColour[],
  { touching = [] }: MappingOptions,
): Map<string, WayColour> {
  const neighbours = new Map<string, string[]>();
  for (const [one, other] of touching) {
    neighbours.set(one, [...(neighbours.get(one) ?? []), other]);
    neighbours.set(other, [...(neighbours.get(other) ?? []), one]);
  }
  const largest = [...paints].sort((one, other) => other.area - one.area || other.uses - one.uses);
  const all = palette.reduce((sum, { share }) => sum + (share ?? 0), 0);
  const left = palette
    .map((colour, i) => ({
      colour,
      room: all > 0 ? (colour.share ?? 0) / all : 1 / palette.length,
      isUsed: false,
      i,
    }))
    .sort((one, other) => other.room - one.room || one.i - other.i);
  const given = new Map<string, WayColour>();
  for (const { hex, area } of largest) {
    const beside = new Set((neighbours.get(hex) ?? []).map((other) => given.get(other)?.id));
    // Each colour comes in once before any comes again.
    const fresh = left.filter(({ isUsed }) => !isUsed);
    const free = left.filter(({ colour }) => !beside.has(colour.id));
    const among = fresh.length > 0 ? fresh : free.length > 0 ? free : left;
    const taken = among.reduce((most, one) => (one.room > most.room + 1e-12 ? one : most));
    taken.isUsed = true;
    taken.room -= area;
    given.set(hex, taken.colour);
  }
  return given;
}

/** The cheapest way from dark to dark up to light to light, by dynamic programming over both in their order. */
function byValue(
  paints: readonly DrawingPaint[],
  palette: readonly WayColour[],
  { ends = 'free', wider }: MappingOptions,
): Map<string, WayColour> {
  const from = [...paints].sort((one, other) => one.value - other.value);
  const to = palette
    .map((one) => ({ one, value: valueOfOklab(one.colour) }))
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
  const isHeld = (i: number, c: number) =>
    ends === 'free' ||
    from.length < 2 ||
    ((i > 0 || c === 0) && (i < from.length - 1 || c === to.length - 1));
  const own = (i: number, c: number) =>
    isHeld(i, c)
      ? weights[i] *
        (Math.abs(placeFrom(from[i].value) - placeTo(to[c].value)) +
          COLOUR * oklabDistance({ ...from[i].colour, L: 0 }, { ...to[c].one.colour, L: 0 }) -
          WIDER * (wider?.get(to[c].one.id) ?? 0))
      : Infinity;
  /** What it costs that a paint and the one below it come nearer than they may: no less where they become one colour. */
  const together = (i: number, isOne: boolean) =>
    from[i].value - from[i - 1].value >= APART
      ? (isOne ? TOGETHER : NEARER) * Math.min(weights[i], weights[i - 1])
      : 0;
  let costs = to.map((_, c) => (from.length > 0 ? own(0, c) : 0));
  const backs: number[][] = [];
  for (let i = 1; i < from.length; i++) {
    const next: number[] = [];
    const back: number[] = [];
    const nearer = together(i, false);
    // `best` is the cheapest of all colours that are darker by what paints are to stay apart.
    let [best, least] = [0, Infinity];
    let far = 0;
    for (let c = 0; c < to.length; c++) {
      for (; far < c && to[c].value - to[far].value >= APART; far++)
        if (costs[far] < least) [least, best] = [costs[far], far];
      let [cost, source] = [least, best];
      const consider = (other: number, more: number) => {
        if (costs[other] + more < cost) [cost, source] = [costs[other] + more, other];
      };
      for (let near = far; near < c; near++) consider(near, nearer);
      consider(c, together(i, true));
      next.push(cost + own(i, c));
      back.push(source);
    }
    costs = next;
    backs.push(back);
  }
  const chosen = new Map<string, WayColour>();
  let at = costs.indexOf(Math.min(...costs));
  for (let i = from.length - 1; i >= 0; i--) {
    chosen.set(from[i].hex, to[at].one);
    if (i > 0) at = backs[i - 1][at];
  }
  return chosen;
}

/** Pairs of colours that stood apart in value by half a step and now are one, or stand nearer than that. */
export function fallenTogether(
  paints: readonly DrawingPaint[],
  valueNow: (hex: string) => number,
): [string, string][] {
  const found: [string, string][] = [];
  const now = new Map(paints.map(({ hex }) => [hex, valueNow(hex)]));
  paints.forEach((one, i) =>
    paints.slice(i + 1).forEach((other) => {
      if (Math.abs(one.value - other.value) < APART) return;
      if (Math.abs(now.get(one.hex)! - now.get(other.hex)!) < APART)
        found.push([one.hex, other.hex]);
    }),
  );
  return found;
}
