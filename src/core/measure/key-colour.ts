import { clampShare } from '../share';
import { NEUTRAL_CHROMA } from '../colour/intensity';
import type { Oklab } from '../colour/oklab';
import { familyOf, PAINTERS_WHEEL, type Wheel } from '../colour/wheel';
import { meanColour, type ColourParts } from './colour-parts';
import { HUE_BINS } from './hue-arcs';
import { hueDensity } from './hues';

/** What the key colour has in one band of value. */
export interface KeyBand {
  /** Munsell values. */
  from: number;
  to: number;
  /** Share of the band's coloured area that is of its hue, 0–1. */
  share: number;
  /** Its mean there; null where it is not. */
  colour: Oklab | null;
}

/** The colour whose hue turns up from the darks to the lights. */
export interface KeyColour {
  family: string;
  /** OKLCH hue, degrees. */
  hue: number;
  colour: Oklab;
  /** Five, from dark to light. */
  bands: KeyBand[];
}

const BANDS = 5;
/** A band with less that is coloured, as a share of the picture, says nothing. */
const MIN_BAND = 0.004;
/** So much presence has a hue even where it is not, so that one empty band is no end. */
const FLOOR = 0.0008;
/** How far from the key's hue a colour still is of it, degrees. */
const REACH = 24;

/**
 * The hue with the greatest geometric mean of presence across five bands of value, each a fifth of
 * the picture. Presence is the chroma-weighted density of hue
 * within a band, so that a dull dark counts as much as a strong light. Null where less than 6 % of
 * the picture is coloured.
 */
export function readKeyColour(parts: ColourParts, wheel: Wheel = PAINTERS_WHEEL): KeyColour | null {
  const coloured = (part: number) => (parts.chroma[part] >= NEUTRAL_CHROMA ? 1 : 0);
  const area = parts.share.reduce((sum, share, part) => sum + share * coloured(part), 0);
  if (area < MIN_COLOURED) return null;
  const { edges, bandOf } = valueBands(parts);
  const presence = new Float64Array(HUE_BINS);
  for (let band = 0; band < BANDS; band++) {
    const inBand = (part: number) => (bandOf[part] === band ? 1 : 0);
    const share = parts.share.reduce(
      (sum, one, part) => sum + one * inBand(part) * coloured(part),
      0,
    );
    if (share < MIN_BAND) continue;
    hueDensity(parts, inBand).forEach((one, bin) => (presence[bin] += Math.log(one + FLOOR)));
  }
  const best = presence.indexOf(Math.max(...presence));
  const hue = ((best + 0.5) * 360) / HUE_BINS;
  const near = (part: number) =>
    coloured(part) && Math.abs(((parts.hue[part] - hue + 540) % 360) - 180) <= REACH ? 1 : 0;
  const colour = meanColour(parts, (part) => near(part) * parts.chroma[part]);
  if (!colour) return null;
  const bands = Array.from({ length: BANDS }, (_, band): KeyBand => {
    const within = (part: number) => (bandOf[part] === band ? 1 : 0);
    const sum = (of: (part: number) => number) =>
      parts.share.reduce((total, share, part) => total + share * of(part) * within(part), 0);
    const all = sum(coloured);
    return {
      from: edges[band],
      to: edges[band + 1],
      share: all ? clampShare(sum(near) / all) : 0,
      colour: meanColour(parts, (part) => near(part) * within(part)),
    };
  });
  return { family: familyOf(colour, wheel).name, hue, colour, bands };
}

/** Below this share of coloured area a picture is near neutral. */
export const MIN_COLOURED = 0.06;

/** Five bands of value that each hold a fifth of the picture, as nearly as its values allow. */
function valueBands({ share, value }: ColourParts): { edges: number[]; bandOf: Uint8Array } {
  const order = Array.from(value.keys()).sort((one, other) => value[one] - value[other]);
  const bandOf = new Uint8Array(share.length);
  const edges = [value[order[0]]];
  let before = 0;
  for (const part of order) {
    const band = Math.min(BANDS - 1, Math.floor((before + share[part] / 2) * BANDS));
    while (edges.length <= band) edges.push(value[part]);
    bandOf[part] = band;
    before += share[part];
  }
  while (edges.length <= BANDS) edges.push(value[order[order.length - 1]]);
  return { edges, bandOf };
}
