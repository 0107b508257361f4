import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab, type Lab } from '../colour/cielab';
import { NEUTRAL_CHROMA } from '../colour/intensity';
import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { familyOf, type Wheel } from '../colour/wheel';

/** One palette of a series. */
export interface SeriesMember {
  title: string;
  swatches: { name: string; colour: Oklab; share: number | null }[];
}

/** A swatch of another member. */
export interface Neighbour {
  /** The number of the member that has it. */
  member: number;
  name: string;
  colour: Oklab;
}

export interface Stray {
  name: string;
  colour: Oklab;
  /** What its family has of its own palette, 0–1. */
  share: number;
  /** CIEDE2000 to the nearest swatch of all other members. */
  difference: number;
  /** The nearest of its own family (or neutral like it); only such a one can be brought together with it. */
  kin: Neighbour | null;
  /** The member whose palette comes nearest to it: who could take it as well. */
  host: number;
}

export interface MemberReading {
  /** Munsell values and chromas, from least to most. */
  value: [number, number];
  chroma: [number, number];
  /** Families by their number on the wheel, neutrals apart, with the share of the palette. */
  families: number[];
  /** 0–100: how near its colours are to those of the others. */
  holds: number;
  /** Swatches that no other member has anything near to, the farthest first, and what is nearest. */
  strays: Stray[];
}

export interface SeriesReading {
  members: MemberReading[];
  /** Families that every member has. */
  shared: number[];
  /** 0–100: how consistently all hold together. */
  holds: number;
}

/** A swatch with nothing nearer than this, in CIEDE2000, in any other member is a stray. */
const STRAY = 14;
/** A difference at which nothing is left of two palettes' likeness. */
const UNLIKE = 25;
/** A family with less of the palette than this is not one of its families. */
const MIN_FAMILY = 0.02;

/**
 * How consistently palettes hold together: for each swatch how far (CIEDE2000) the nearest one of
 * every other member is, weighed by shares. Throws a RangeError for fewer than two, or an empty one.
 */
export function readSeries(members: readonly SeriesMember[], wheel: Wheel): SeriesReading {
  if (members.length < 2) throw new RangeError('a series has two palettes and more');
  if (members.some(({ swatches }) => swatches.length === 0))
    throw new RangeError('a palette of the series is empty');
  const labs = members.map(({ swatches }) => swatches.map(({ colour }) => labFromOklab(colour)));
  const readings = members.map((member, m): MemberReading => {
    const weights = weightsOf(member);
    const away = labs[m].map((lab) =>
      labs.flatMap((others, o) =>
        o === m ? [] : [Math.min(...others.map((other) => ciede2000(lab, other)))],
      ),
    );
    const mean = away.reduce(
      (sum, distances, i) =>
        sum + (weights[i] * distances.reduce((a, b) => a + b, 0)) / distances.length,
      0,
    );
    const { swatches } = member;
    const values = swatches.map(({ colour }) => valueOfOklab(colour));
    const chromas = swatches.map(({ colour }) => oklchFromOklab(colour).C);
    return {
      value: [Math.min(...values), Math.max(...values)],
      chroma: [Math.min(...chromas), Math.max(...chromas)],
      families: familiesOf(member, weights, wheel),
      holds: 100 * Math.max(0, 1 - mean / UNLIKE),
      strays: swatches
        .map(({ name, colour }, i): Stray => {
          const neighbours = neighboursOf(members, labs, m, i);
          const family = familyNumber(colour, wheel);
          const kin = neighbours.find((one) => familyNumber(one.colour, wheel) === family);
          return {
            name,
            colour,
            share: swatches.reduce(
              (sum, one, k) =>
                familyNumber(one.colour, wheel) === family ? sum + weights[k] : sum,
              0,
            ),
            difference: Math.min(...away[i]),
            kin: kin ?? null,
            host: neighbours[0].member,
          };
        })
        .filter(({ difference }) => difference > STRAY)
        .sort((one, other) => other.difference - one.difference),
    };
  });
  return {
    members: readings,
    shared: wheel.families
      .map((_, index) => index)
      .filter((index) => readings.every(({ families }) => families.includes(index))),
    holds: readings.reduce((sum, { holds }) => sum + holds, 0) / readings.length,
  };
}

/** The swatches of all other members, the nearest to a swatch first. */
function neighboursOf(
  members: readonly SeriesMember[],
  labs: readonly Lab[][],
  m: number,
  i: number,
): Neighbour[] {
  return members
    .flatMap(({ swatches }, member) =>
      member === m
        ? []
        : swatches.map(({ name, colour }, k) => ({
            neighbour: { member, name, colour },
            difference: ciede2000(labs[m][i], labs[member][k]),
          })),
    )
    .sort((one, other) => one.difference - other.difference)
    .map(({ neighbour }) => neighbour);
}

/** A colour's place on the wheel; −1 for a neutral. */
function familyNumber(colour: Oklab, wheel: Wheel): number {
  return oklchFromOklab(colour).C < NEUTRAL_CHROMA ? -1 : familyOf(colour, wheel).index;
}

/** Shares that add to 1; even ones where a palette says none. */
function weightsOf({ swatches }: SeriesMember): number[] {
  const shares = swatches.map(({ share }) => share ?? 1 / swatches.length);
  const all = shares.reduce((sum, share) => sum + share, 0);
  return shares.map((share) => (all > 0 ? share / all : 1 / swatches.length));
}

function familiesOf(
  { swatches }: SeriesMember,
  weights: readonly number[],
  wheel: Wheel,
): number[] {
  const shares = new Map<number, number>();
  swatches.forEach(({ colour }, i) => {
    const index = familyNumber(colour, wheel);
    if (index < 0) return;
    shares.set(index, (shares.get(index) ?? 0) + weights[i]);
  });
  return Array.from(shares)
    .filter(([, share]) => share >= MIN_FAMILY)
    .map(([index]) => index)
    .sort((a, b) => a - b);
}
