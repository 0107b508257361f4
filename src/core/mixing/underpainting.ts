import { atValue } from '../colour/at-value';
import { oklabFromLinear, oklchFromOklab, type Oklab } from '../colour/oklab';
import { LINEAR_OF_BYTE, type Rgb } from '../colour/srgb';
import { temperature, type TemperatureWord } from '../colour/temperature';
import { valueOfOklab } from '../colour/value';
import { OPAQUE, type Picture } from '../picture/picture';
import { kMeans } from '../raster/k-means';
import { overlaid } from './sticks';

/** A part of a picture: its colour as it is, and as it is once what hides in it is brought up. */
export interface CoveredPart {
  own: Oklab;
  strong: Oklab;
}

/** A colour that is laid first and that something else will cover. */
export interface FirstColour {
  colour: Oklab;
  lean: Exclude<TemperatureWord, 'between'>;
  /** What will cover it: the mean of the picture there. */
  cover: Oklab;
  /** Of the picture, 0–1. */
  share: number;
  /** What comes of a cover that leaves a quarter of it to be seen. */
  shows: Oklab;
  /** Whether its hue hides in the picture there; otherwise it is the opposite of what hides there. */
  hides: boolean;
}

export const MAX_FIRST_COLOURS = 6;
/** What a cover leaves to be seen of what lies under it. */
export const UNDER_SHOWING = 0.25;
/** Munsell values that first colours lie between, and how much of the picture's own range of value they keep. */
const MIDDLE = 5;
const KEPT_RANGE = 0.35;
const REACH = 1;
/** OKLCH chroma of a first colour: strong enough to be seen through what covers it. */
const CHROMA = 0.1;
/** Cells along the longer side of a picture. */
const CELLS = 64;
/** Lightness counts so much in telling parts apart: hue is what an underpainting is chosen by. */
const LIGHTNESS = 0.35;
const ROUNDS = 20;
/** Of the picture, what a part has at least. */
const MIN_SHARE = 0.03;
/** Hues of what hides nothing at all: a warm and a cool one. */
const WARM = 55;
const COOL = 235;
const NOTHING_HIDES = 0.01;

/** A picture and the same with its quiet colours brought up, in cells; transparent ones are left out. */
export function coveredParts(own: Picture, strong: Picture): CoveredPart[] {
  const step = Math.max(1, Math.ceil(Math.max(own.width, own.height) / CELLS));
  const parts: CoveredPart[] = [];
  for (let y = 0; y < own.height; y += step)
    for (let x = 0; x < own.width; x += step) {
      const [as, pushed] = [own, strong].map((picture) => meanLight(picture, x, y, step));
      if (as && pushed) parts.push({ own: oklabFromLinear(as), strong: oklabFromLinear(pushed) });
    }
  return parts;
}

function meanLight(
  { width, height, data }: Picture,
  x: number,
  y: number,
  side: number,
): Rgb | null {
  const sum = { r: 0, g: 0, b: 0 };
  let count = 0;
  for (let v = y; v < Math.min(height, y + side); v++)
    for (let u = x; u < Math.min(width, x + side); u++) {
      const at = (v * width + u) * 4;
      if (data[at + 3] < OPAQUE) continue;
      sum.r += LINEAR_OF_BYTE[data[at]];
      sum.g += LINEAR_OF_BYTE[data[at + 1]];
      sum.b += LINEAR_OF_BYTE[data[at + 2]];
      count++;
    }
  return count > 0 ? { r: sum.r / count, g: sum.g / count, b: sum.b / count } : null;
}

/**
 * A few first colours for a picture, the largest first: its parts by the hues that hide in them (k-means in OKLab), each
 * with one colour of middle value that leans against what covers it. That is the hue that hides there where this is the
 * warmer (or the cooler) of the two, and its opposite otherwise. None for a picture that is transparent.
 */
export function underpainting(parts: readonly CoveredPart[], count: number): FirstColour[] {
  if (parts.length === 0) return [];
  const points = new Float64Array(parts.length * 3);
  parts.forEach(({ strong }, i) => points.set([strong.L * LIGHTNESS, strong.a, strong.b], i * 3));
  const { owner } = kMeans(points, seedsOf(points, Math.min(count, parts.length)), ROUNDS);
  return Array.from({ length: count }, (_, c) => parts.filter((_part, i) => owner[i] === c))
    .filter((own) => own.length >= MIN_SHARE * parts.length)
    .map((own) => firstColour(own, own.length / parts.length))
    .sort((one, other) => other.share - one.share);
}

/** The point nearest the mean, then always the one farthest from those before it. */
function seedsOf(points: Float64Array, count: number): number[] {
  const n = points.length / 3;
  const away = (p: number, of: ArrayLike<number>, at: number) =>
    (points[p * 3] - of[at]) ** 2 +
    (points[p * 3 + 1] - of[at + 1]) ** 2 +
    (points[p * 3 + 2] - of[at + 2]) ** 2;
  const mean = [0, 0, 0];
  for (let i = 0; i < points.length; i++) mean[i % 3] += points[i] / n;
  const seeds = [...mean];
  while (seeds.length < count * 3) {
    let farthest = 0;
    let most = -1;
    for (let p = 0; p < n; p++) {
      let nearest = Infinity;
      for (let at = 0; at < seeds.length; at += 3) nearest = Math.min(nearest, away(p, seeds, at));
      if (nearest > most) [most, farthest] = [nearest, p];
    }
    seeds.push(...points.subarray(farthest * 3, farthest * 3 + 3));
  }
  return seeds;
}

function firstColour(parts: readonly CoveredPart[], share: number): FirstColour {
  const cover = meanOf(parts.map(({ own }) => own));
  const strong = meanOf(parts.map(({ strong: colour }) => colour));
  const lean = temperature(cover) > 0 ? 'cool' : 'warm';
  const { C, h } = oklchFromOklab(strong);
  const own = C < NOTHING_HIDES ? (lean === 'warm' ? WARM : COOL) : h;
  const value = Math.min(
    MIDDLE + REACH,
    Math.max(MIDDLE - REACH, MIDDLE + KEPT_RANGE * (valueOfOklab(cover) - MIDDLE)),
  );
  const [hidden, opposite] = [own, own + 180].map((hue) => atValue(value, hue, () => CHROMA));
  const warmer = temperature(hidden) >= temperature(opposite);
  const hides = warmer === (lean === 'warm');
  const colour = hides ? hidden : opposite;
  return { colour, lean, cover, share, shows: overlaid(colour, cover, UNDER_SHOWING), hides };
}

function meanOf(colours: readonly Oklab[]): Oklab {
  const mean = { L: 0, a: 0, b: 0 };
  for (const { L, a, b } of colours) {
    mean.L += L / colours.length;
    mean.a += a / colours.length;
    mean.b += b / colours.length;
  }
  return mean;
}
