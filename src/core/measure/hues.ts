import { clampShare } from '../share';
import { inHueArc } from '../colour/hue-arc';
import { NEUTRAL_CHROMA } from '../colour/intensity';
import { linearFromOklab, type Oklab } from '../colour/oklab';
import { familyOf, PAINTERS_WHEEL, type Wheel } from '../colour/wheel';
import { meanColour, type ColourParts } from './colour-parts';
import { HUE_BINS, hueArcs } from './hue-arcs';

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
  parts: ColourParts,
  weightOf: (part: number) => number = () => 1,
): number[] {
  const raw = rawHueDensity(parts, weightOf);
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

/** The chroma-weighted density before it is smoothed. */
function rawHueDensity(
  { share, chroma, hue }: ColourParts,
  weightOf: (part: number) => number = () => 1,
): Float64Array {
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
  return raw;
}

/** Peaks by prominence; each reaches to the valleys beside it, and none farther than one hue does. */
function dominantHues(parts: ColourParts, density: readonly number[], wheel: Wheel): DominantHue[] {
  const arcs = hueArcs(rawHueDensity(parts), density);
  return arcs
    .flatMap(({ hue, from, to }): DominantHue[] => {
      const isAlone = arcs.length === 1;
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
      const colour = meanColour(parts, (part) => (isIn(part) ? 1 : 0));
      // A part weighs on the two bins that it lies between: an arc at the rim of another may hold none.
      if (!colour) return [];
      return [
        {
          family: familyOf(colourOfHue(hue, colour), wheel).name,
          hue,
          from: isAlone ? 0 : from,
          to: isAlone ? 360 : to,
          share: clampShare(share),
          value: value / share,
          chroma: chroma / share,
          colour,
        },
      ];
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
