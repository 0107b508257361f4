import { clampShare } from '../share';
import { NEUTRAL_CHROMA } from '../colour/intensity';
import type { Oklab } from '../colour/oklab';
import {
  familyOf,
  hueAtPosition,
  PAINTERS_WHEEL,
  wheelPosition,
  type Wheel,
} from '../colour/wheel';
import { meanColour, type ColourParts } from './colour-parts';
import { MIN_COLOURED } from './key-colour';

export const SCHEMES = [
  'monochrome',
  'analogous',
  'analogous with opposite accent',
  'complement',
  'split complement',
  'triad',
  'tetrad',
  'warm against cool',
] as const;
export type SchemeName = (typeof SCHEMES)[number];

/** A part of the wheel, in degrees round it: twelve families are 360. */
export interface Sector {
  centre: number;
  /** To either side of the centre. */
  half: number;
}

const ONE = 15;
/** Schemes of one or two sectors are let spread a little more: so they do in pictures. */
const FEW = 20;
const WIDE = 40;
const SECTORS: Record<SchemeName, readonly Sector[]> = {
  monochrome: [{ centre: 0, half: FEW }],
  analogous: [{ centre: 0, half: WIDE }],
  'analogous with opposite accent': [
    { centre: 0, half: WIDE },
    { centre: 180, half: FEW },
  ],
  complement: [0, 180].map((centre) => ({ centre, half: FEW })),
  'split complement': [0, 150, 210].map((centre) => ({ centre, half: ONE })),
  triad: [0, 120, 240].map((centre) => ({ centre, half: ONE })),
  tetrad: [0, 90, 180, 270].map((centre) => ({ centre, half: ONE })),
  'warm against cool': [0, 180].map((centre) => ({ centre, half: 45 })),
};

/** The sectors of a scheme about a key at 0 degrees. */
export const schemeSectors = (scheme: SchemeName): readonly Sector[] => SECTORS[scheme];

/** A scheme laid on a picture in its best rotation. */
export interface HarmonyFit {
  scheme: SchemeName;
  /** 0–100: how little lies outside, less for wide schemes and for sectors that hold nothing. */
  fit: number;
  /** The hue (degrees on the wheel's own hue circle; OKLCH for the painters' and the even one) in the middle of the sector that holds most. */
  rotation: number;
  /** Where the sectors stand, in degrees round the wheel. */
  sectors: Sector[];
}

/** A family that a scheme leaves outside. */
export interface Outside {
  family: string;
  /** Of the picture, 0–1. */
  share: number;
  colour: Oklab;
  /** Mean degrees round the wheel to the nearest sector. */
  distance: number;
  /** Small and stronger than the rest, or neither. */
  kind: 'accent' | 'stray';
}

export interface HarmonyReading {
  /** All schemes, the best first; none for a picture that is near neutral. */
  fits: HarmonyFit[];
  /** What the best scheme leaves outside, the most weighty first. */
  outside: Outside[];
  /** The density of hue round the wheel, 72 bins from the first family's centre on, by chroma and area; adds to 1. */
  round: number[];
  /** The mean colour in each of those bins, by the same weights; null in an empty one. */
  roundColours: (Oklab | null)[];
  /** Share of the picture that is more than greyed: chroma from 0.04 on. */
  coloured: number;
}

/** What is greyed at most takes part in a scheme, but makes none. */
const DULL = 0.04;
const BINS = 72;
const BIN = 360 / BINS;
/** Mean degrees outside at which nothing is left of a fit. */
const NO_FIT = 45;
/** What the whole wheel as a scheme would cost, of 100. */
const WIDTH_COST = 30;
/** What a sector costs that holds less than this share of the weight. */
const EMPTY = 0.015;
const EMPTY_COST = 8;
const ACCENT_SHARE = 0.03;
/** Families with less of the picture are not named as outside. */
const MIN_OUTSIDE = 0.001;

/**
 * Every scheme in its best rotation on a wheel, ranked. A fit is read off the mean distance of the
 * picture's colours, by area and chroma, outside the scheme's sectors.
 * Source of the method: D. Cohen-Or et al., "Color harmonization", SIGGRAPH 2006.
 */
export function readHarmony(parts: ColourParts, wheel: Wheel = PAINTERS_WHEEL): HarmonyReading {
  const angles = Float64Array.from(parts.share, (_, part) =>
    parts.chroma[part] < NEUTRAL_CHROMA ? NaN : angleOf(parts, part, wheel),
  );
  const round = new Array<number>(BINS).fill(0);
  const sums = new Float64Array(BINS * 3);
  let coloured = 0;
  let all = 0;
  angles.forEach((angle, part) => {
    if (Number.isNaN(angle)) return;
    const weight = parts.share[part] * parts.chroma[part];
    const bin = Math.floor(angle / BIN) % BINS;
    round[bin] += weight;
    for (let k = 0; k < 3; k++) sums[bin * 3 + k] += weight * parts.oklab[part * 3 + k];
    if (parts.chroma[part] >= DULL) coloured += parts.share[part];
    all += weight;
  });
  coloured = clampShare(coloured);
  const roundColours = round.map((weight, bin): Oklab | null => {
    const [L, a, b] = sums.subarray(bin * 3, bin * 3 + 3).map((sum) => sum / weight);
    return weight > 0 ? { L, a, b } : null;
  });
  if (coloured < MIN_COLOURED)
    return { fits: [], outside: [], round: round.fill(0), roundColours, coloured };
  const density = round.map((weight) => weight / all);
  const fits = SCHEMES.map((scheme) => bestRotation(scheme, density, wheel)).sort(
    (one, other) => other.fit - one.fit,
  );
  const outside = outsideOf(parts, angles, fits[0], wheel);
  return { fits, outside, round: density, roundColours, coloured };
}

function angleOf(parts: ColourParts, part: number, wheel: Wheel): number {
  const [L, a, b] = parts.oklab.subarray(part * 3, part * 3 + 3);
  return (wheelPosition(wheel.hueOf({ L, a, b }), wheel) / wheel.families.length) * 360;
}

function bestRotation(scheme: SchemeName, density: readonly number[], wheel: Wheel): HarmonyFit {
  let best: HarmonyFit | null = null;
  for (let turn = 0; turn < 360; turn += BIN / 2) {
    const sectors = SECTORS[scheme].map(({ centre, half }) => ({
      centre: (centre + turn) % 360,
      half,
    }));
    const held = sectors.map(() => 0);
    let outside = 0;
    density.forEach((weight, bin) => {
      if (weight === 0) return;
      const angle = (bin + 0.5) * BIN;
      const away = sectors.map(({ centre, half }) => Math.max(0, apart(angle, centre) - half));
      const least = Math.min(...away);
      outside += weight * least;
      if (least === 0) held[away.indexOf(0)] += weight;
    });
    const width = sectors.reduce((sum, { half }) => sum + 2 * half, 0);
    const empty = held.filter((weight) => weight < EMPTY).length;
    const fit = 100 * (1 - outside / NO_FIT) - (WIDTH_COST * width) / 360 - EMPTY_COST * empty;
    if (best && fit <= best.fit + 1e-9) continue;
    const main = sectors[held.indexOf(Math.max(...held))].centre;
    const rotation = hueAtPosition((main / 360) * wheel.families.length, wheel);
    best = { scheme, fit, rotation, sectors };
  }
  const found = best as HarmonyFit;
  return { ...found, fit: Math.max(0, found.fit) };
}

function outsideOf(
  parts: ColourParts,
  angles: Float64Array,
  { sectors }: HarmonyFit,
  wheel: Wheel,
): Outside[] {
  const distanceOf = (angle: number) =>
    Math.min(...sectors.map(({ centre, half }) => Math.max(0, apart(angle, centre) - half)));
  const families = new Map<string, { share: number; distance: number; parts: Set<number> }>();
  let coloured = 0;
  let chroma = 0;
  angles.forEach((angle, part) => {
    if (Number.isNaN(angle)) return;
    coloured += parts.share[part];
    chroma += parts.share[part] * parts.chroma[part];
    const distance = distanceOf(angle);
    if (distance <= 0) return;
    const [L, a, b] = parts.oklab.subarray(part * 3, part * 3 + 3);
    const { name } = familyOf({ L, a, b }, wheel);
    const of = families.get(name) ?? { share: 0, distance: 0, parts: new Set<number>() };
    of.share += parts.share[part];
    of.distance += parts.share[part] * distance;
    of.parts.add(part);
    families.set(name, of);
  });
  return [...families]
    .filter(([, { share }]) => share >= MIN_OUTSIDE)
    .map(([family, { share, distance, parts: of }]): Outside => {
      const colour = meanColour(parts, (part) => (of.has(part) ? 1 : 0)) as Oklab;
      const isAccent =
        share <= ACCENT_SHARE && Math.hypot(colour.a, colour.b) > (1.15 * chroma) / coloured;
      return {
        family,
        share: clampShare(share),
        colour,
        distance: distance / share,
        kind: isAccent ? 'accent' : 'stray',
      };
    })
    .sort((one, other) => other.share * other.distance - one.share * one.distance);
}

/** Degrees between two places on a circle, 0–180. */
function apart(one: number, other: number): number {
  return Math.abs(((one - other + 540) % 360) - 180);
}

/** Fits this near to the best are as good as it. */
const EQUAL_FIT = 4;

/** The schemes that lead, the best first: one or two name a picture, three and more say that none is plain. */
export function leadingFits<T extends { fit: number }>(fits: readonly T[]): T[] {
  return fits.filter(({ fit }) => fits[0].fit - fit <= EQUAL_FIT);
}
