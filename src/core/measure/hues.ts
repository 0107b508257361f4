import { clampShare } from '../share';
import { inHueArc } from '../colour/hue-arc';
import { NEUTRAL_CHROMA } from '../colour/intensity';
import { linearFromOklab, type Oklab } from '../colour/oklab';
import { familyOf, PAINTERS_WHEEL, type Wheel } from '../colour/wheel';
import { meanColour, type ColourParts } from './colour-parts';

/** Bins of OKLCH hue, five degrees each. */
export const HUE_BINS = 72;
const BIN = 360 / HUE_BINS;
/** The standard deviation of the smoothing, in bins. */
const SMOOTH = 1.6;

/** A peak of a picture's hues. */
export interface DominantHue {
  family: string;
  /** OKLCH hue of the peak, degrees. */
  hue: number;
  /** Degrees from which and to which it reaches, clockwise; `from` above `to` wraps through 0. */
  from: number;
  to: number;
  /** Share of the picture of what is coloured and lies within it, 0–1. */
  share: number;
  /** Mean Munsell value and mean OKLCH chroma of that. */
  value: number;
  chroma: number;
  colour: Oklab;
}

/** What one family has in the light and in the shadow. */
export interface FamilyPresence {
  family: string;
  /** Shares of the picture, 0–1. */
  light: number;
  shadow: number;
  /** Mean OKLab of each; null where there is none. */
  lightColour: Oklab | null;
  shadowColour: Oklab | null;
}

export interface HueReading {
  /** By share of the picture, the largest first; none for greys. */
  dominant: DominantHue[];
  /** In the order of the wheel. Neutrals (chroma under 0.02) are of no family. */
  families: FamilyPresence[];
  /** Share of the picture with chroma under 0.02. */
  neutral: number;
  /** The chroma-weighted density of hue, 72 bins that add to 1; all 0 for greys. */
  density: number[];
}

/** A peak lower than this part of the highest, or standing out by less, is none of its own. */
const MIN_PEAK = 0.06;
const MIN_PROMINENCE = 0.04;
const MIN_SHARE = 0.002;

/** Hues with less of the picture than this are no part of what it is in. */
const MIN_NAMED = 0.04;
const NEARLY_ALL = 0.94;

/** The dominant hues that one would say a picture is in; none for a picture of greys. */
export function huesItIsIn({ dominant, neutral }: HueReading): DominantHue[] {
  return neutral > NEARLY_ALL ? [] : dominant.filter(({ share }) => share >= MIN_NAMED);
}

/** Which hues there are, how much of each, on a wheel; in the light and in the shadow. */
export function readHues(parts: ColourParts, wheel: Wheel = PAINTERS_WHEEL): HueReading {
  const density = hueDensity(parts);
  let neutral = 0;
  for (let part = 0; part < parts.share.length; part++)
    if (parts.chroma[part] < NEUTRAL_CHROMA) neutral += parts.share[part];
  return {
    dominant: dominantHues(parts, density, wheel),
    families: familyShares(parts, wheel),
    neutral: clampShare(neutral),
    density,
  };
}

/** The chroma-weighted density of hue of the coloured parts, smoothed round the circle; adds to 1. */
export function hueDensity(
  { share, chroma, hue }: ColourParts,
  weightOf: (part: number) => number = () => 1,
): number[] {
  const raw = new Float64Array(HUE_BINS);
  for (let part = 0; part < share.length; part++) {
    if (chroma[part] < NEUTRAL_CHROMA) continue;
    // Between the two bins it lies between, so that turning a picture turns its density.
    const at = hue[part] / BIN - 0.5;
    const low = Math.floor(at);
    const weight = share[part] * chroma[part] * weightOf(part);
    raw[(low + HUE_BINS) % HUE_BINS] += weight * (1 - at + low);
    raw[(low + 1) % HUE_BINS] += weight * (at - low);
  }
  const reach = Math.ceil(SMOOTH * 3);
  const kernel = Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-((i - reach) ** 2) / (2 * SMOOTH ** 2)),
  );
  const smooth = Array.from({ length: HUE_BINS }, (_, bin) =>
    kernel.reduce(
      (sum, weight, i) => sum + weight * raw[(bin + i - reach + HUE_BINS) % HUE_BINS],
      0,
    ),
  );
  const all = smooth.reduce((sum, one) => sum + one, 0);
  return all === 0 ? smooth : smooth.map((one) => one / all);
}

/** Peaks by prominence; each reaches to the valleys beside it. */
function dominantHues(parts: ColourParts, density: readonly number[], wheel: Wheel): DominantHue[] {
  const highest = Math.max(...density);
  if (highest === 0) return [];
  const peaks = prominentPeaks(density, MIN_PROMINENCE * highest).filter(
    (bin) => density[bin] >= MIN_PEAK * highest,
  );
  return peaks
    .map((bin, i): DominantHue => {
      const from = valley(density, peaks[(i - 1 + peaks.length) % peaks.length], bin) * BIN;
      const to = valley(density, bin, peaks[(i + 1) % peaks.length]) * BIN;
      const isAlone = peaks.length === 1;
      const isIn = (part: number) =>
        parts.chroma[part] >= NEUTRAL_CHROMA && (isAlone || inHueArc(parts.hue[part], from, to));
      let share = 0;
      let value = 0;
      let chroma = 0;
      for (let part = 0; part < parts.share.length; part++) {
        if (!isIn(part)) continue;
        share += parts.share[part];
        value += parts.share[part] * parts.value[part];
        chroma += parts.share[part] * parts.chroma[part];
      }
      const colour = meanColour(parts, (part) => (isIn(part) ? 1 : 0)) as Oklab;
      const hue = peakHue(density, bin);
      return {
        family: familyOf(colourOfHue(hue, colour), wheel).name,
        hue,
        from: isAlone ? 0 : from,
        to: isAlone ? 360 : to,
        share: clampShare(share),
        value: share ? value / share : 0,
        chroma: share ? chroma / share : 0,
        colour,
      };
    })
    .filter(({ share }) => share >= MIN_SHARE)
    .sort((one, other) => other.share - one.share);
}

/** A colour of a hue, as light and strong as another: families of the screen's wheel depend on more than hue. */
function colourOfHue(hue: number, like: Oklab): Oklab {
  const chroma = Math.max(0.05, Math.hypot(like.a, like.b));
  const angle = (hue * Math.PI) / 180;
  const colour = { L: like.L, a: chroma * Math.cos(angle), b: chroma * Math.sin(angle) };
  const { r, g, b } = linearFromOklab(colour);
  return Math.min(r, g, b) < 0 || Math.max(r, g, b) > 1
    ? { ...colour, a: colour.a / 2, b: colour.b / 2 }
    : colour;
}

/** Bins that stand out by `least` from the lower of the valleys that part them from higher ones. */
function prominentPeaks(density: readonly number[], least: number): number[] {
  const n = density.length;
  const at = (bin: number) => density[((bin % n) + n) % n];
  const peaks: number[] = [];
  for (let bin = 0; bin < n; bin++) {
    if (!(at(bin) > at(bin - 1) && at(bin) >= at(bin + 1))) continue;
    const lowest = [-1, 1].map((way) => {
      let low = at(bin);
      for (let k = 1; k < n; k++) {
        if (at(bin + way * k) > at(bin)) return low;
        low = Math.min(low, at(bin + way * k));
      }
      // The highest of all: held against the deepest.
      return 0;
    });
    if (at(bin) - Math.max(...lowest) >= least) peaks.push(bin);
  }
  return peaks;
}

/** The bin edge in the middle of the lowest stretch on the way from one bin up to another. */
function valley(density: readonly number[], from: number, to: number): number {
  const n = density.length;
  const way = (to - from + n) % n || n;
  const steps = Array.from({ length: way }, (_, k) => density[(from + k) % n]);
  const lowest = Math.min(...steps);
  const first = steps.indexOf(lowest);
  const last = steps.lastIndexOf(lowest);
  return (from + (first + last) / 2 + 0.5) % n;
}

/** The hue of a peak between its bins, by the parabola through it and its neighbours. */
function peakHue(density: readonly number[], bin: number): number {
  const n = density.length;
  const [left, middle, right] = [-1, 0, 1].map((by) => density[(bin + by + n) % n]);
  const bend = left - 2 * middle + right;
  const off = bend === 0 ? 0 : (0.5 * (left - right)) / bend;
  return ((bin + 0.5 + off) * BIN + 360) % 360;
}

function familyShares(parts: ColourParts, wheel: Wheel): FamilyPresence[] {
  const familyOfPart = Int8Array.from(parts.share, (_, part) => {
    if (parts.chroma[part] < NEUTRAL_CHROMA) return -1;
    const [L, a, b] = parts.oklab.subarray(part * 3, part * 3 + 3);
    return familyOf({ L, a, b }, wheel).index;
  });
  return wheel.families.map((family, index) => {
    const on = (side: number) => (part: number) =>
      familyOfPart[part] === index && parts.side[part] === side ? 1 : 0;
    const shareOn = (side: number) =>
      clampShare(parts.share.reduce((sum, share, part) => sum + share * on(side)(part), 0));
    return {
      family,
      light: shareOn(1),
      shadow: shareOn(0),
      lightColour: meanColour(parts, on(1)),
      shadowColour: meanColour(parts, on(0)),
    };
  });
}
