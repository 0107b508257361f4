import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { oklabFromRgb, type Oklab } from '../colour/oklab';
import { familyOf, PAINTERS_WHEEL, type Wheel } from '../colour/wheel';
import type { Place } from '../picture/framing';
import type { Departure } from './departures';
import type { LocalCast } from './local-cast';
import { pusher, type Push } from './push';
import type { Pushable } from './pushed';
import { regionPlace } from './region-place';

/** A quiet colour that the eye passes over. */
export interface HiddenColour {
  /** What it seems beside the rest: the family of its departure from the cast. */
  readsAs: string;
  /** What it is: the family of its own lean from neutral, or `NEUTRAL` where it has none to speak of. */
  is: string;
  /** Where it lies, in words. */
  place: string;
  /** The place deepest inside it, in fractions of the picture. */
  point: Place;
  /** Of the picture, 0–1. */
  share: number;
  /** As it is, and as it is pushed. */
  colour: Oklab;
  pushed: Oklab;
  /** From the cast, in OKLab a and b. */
  departure: number;
  /** How far it was pushed, CIEDE2000. */
  moved: number;
  /** 0–1: a half for one that only just departs enough, three quarters at twice that, and so on. */
  sureness: number;
}

export interface HiddenReading {
  /** OKLab a and b of the cast. */
  cast: readonly [number, number];
  colours: HiddenColour[];
  /** The hidden colour of each cell of the ground; −1 for none. */
  labels: Int16Array;
}

export const MAX_HIDDEN = 12;
/** Two of one family nearer than this, CIEDE2000, are one colour in two places: their rows could not be told apart. */
const ALIKE = 4;
/** What a colour without a lean is called. */
export const NEUTRAL = 'neutral';
/** Nearer to grey than this a colour has no lean: OKLCH chroma. */
const NO_LEAN = 0.004;

/**
 * The hidden colours of a picture, by sureness times share: regions that depart from the cast by more
 * than noise explains. `push` only says how each looks when pushed; it finds no others.
 */
export function readHidden(
  { ground, departures, local }: Pushable,
  push: Push,
  wheel: Wheel = PAINTERS_WHEEL,
): HiddenReading {
  const { grid, cast } = ground;
  let opaque = 0;
  for (const one of grid.mask) opaque += one;
  const found = withoutDuplicates(departures(), wheel)
    .map((region) => ({ region, sureness: surenessOf(region) }))
    .sort((x, y) => y.sureness * y.region.cells.length - x.sureness * x.region.cells.length)
    .slice(0, MAX_HIDDEN);
  const labels = new Int16Array(grid.mask.length).fill(-1);
  const colours = found.map(({ region, sureness }, i): HiddenColour => {
    for (const c of region.cells) labels[c] = i;
    const { point, words } = regionPlace(grid, region.cells);
    const colour = { L: region.L, a: region.a, b: region.b };
    const pushed = pushedColour(
      colour,
      push,
      push.cast === 'local' ? castAt(local(), point) : cast,
    );
    return {
      readsAs: familyName(region, wheel),
      is: leanOf(colour, wheel),
      place: words,
      point,
      share: region.cells.length / opaque,
      colour,
      pushed,
      departure: Math.hypot(...region.away),
      moved: ciede2000(labFromOklab(colour), labFromOklab(pushed)),
      sureness,
    };
  });
  return { cast, colours, labels };
}

function castAt(local: LocalCast, { x, y }: Place): [number, number] {
  const out = new Float64Array(2);
  local.write(x, y, out);
  return [out[0], out[1]];
}

/** One colour, pushed. */
export function pushedColour(
  { L, a, b }: Oklab,
  push: Push,
  [castA, castB]: readonly [number, number],
): Oklab {
  const out = new Float64Array(3);
  pusher(push)(L, L, a, b, castA, castB, out, 0);
  const [r, g, blue] = Array.from(out, (channel) => Math.min(1, Math.max(0, channel / 255)));
  return oklabFromRgb({ r, g, b: blue });
}

function surenessOf({ away, needed }: Departure): number {
  return 1 - 0.5 ** (Math.hypot(...away) / needed);
}

function leanOf(colour: Oklab, wheel: Wheel): string {
  return Math.hypot(colour.a, colour.b) < NO_LEAN ? NEUTRAL : familyOf(colour, wheel).name;
}

function familyName({ L, away }: Departure, wheel: Wheel): string {
  return familyOf({ L, a: away[0], b: away[1] }, wheel).name;
}

/** Regions of one colour put together, wherever they lie. */
function withoutDuplicates(regions: readonly Departure[], wheel: Wheel): Departure[] {
  const kept: Departure[] = [];
  for (const region of [...regions].sort((x, y) => y.cells.length - x.cells.length)) {
    const like = kept.findIndex(
      (one) =>
        familyName(one, wheel) === familyName(region, wheel) &&
        ciede2000(labFromOklab(one), labFromOklab(region)) < ALIKE,
    );
    if (like < 0) kept.push(region);
    else kept[like] = together(kept[like], region);
  }
  return kept;
}

function together(one: Departure, other: Departure): Departure {
  const cells = [...one.cells, ...other.cells];
  const mean = (x: number, y: number) =>
    (x * one.cells.length + y * other.cells.length) / cells.length;
  return {
    cells,
    L: mean(one.L, other.L),
    a: mean(one.a, other.a),
    b: mean(one.b, other.b),
    away: [mean(one.away[0], other.away[0]), mean(one.away[1], other.away[1])],
    needed: Math.min(one.needed, other.needed),
  };
}
