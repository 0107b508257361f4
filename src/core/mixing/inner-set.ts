import { labFromOklab } from '../colour/cielab';
import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { fitWeights } from './fit-weights';
import { mixed } from './paint';
import { tintOf } from './route';
import { kindOf, weightOf, type Tube } from './tube';
import { whichTubes, type Wanted } from './which-tubes';

/** A dull mixture of two tubes, mixed before the session, that quiet colours are made of. */
export interface InnerPile {
  parts: { tube: Tube; parts: number }[];
  /** It in four of white, where it shows what it is. */
  tint: Oklab;
}

export interface InnerSet {
  piles: InnerPile[];
  /** The quiet colours that it is for, by their place among those that were given. */
  quiet: number[];
  /** How far these are missed on average (about CIEDE2000), by their shares, by the piles and white alone. */
  miss: number;
}

/** OKLCH chroma up to which a colour is quiet, and a pile in white is dull. */
const QUIET = 0.06;
const RATIOS: readonly (readonly [number, number])[] = [
  [1, 1],
  [2, 1],
  [1, 2],
  [4, 1],
  [1, 4],
];
/** Piles that are tried together: those that come nearest by themselves with white. */
const MAX_TRIED = 11;

/**
 * Up to so many dull mixtures of two tubes that carry the quiet colours of a palette with white, beside its strong
 * tubes. Null where fewer than two colours are quiet, or there is no white, or no two tubes that dull each other.
 */
export function innerSet(
  wanted: readonly Wanted[],
  tubes: readonly Tube[],
  most: number,
): InnerSet | null {
  const quiet = wanted.flatMap(({ colour }, i) => (oklchFromOklab(colour).C <= QUIET ? [i] : []));
  const white = tubes.find((tube) => kindOf(tube) === 'white');
  if (quiet.length < 2 || !white) return null;
  const colours = quiet.map((i) => wanted[i]);
  const piles = dullPairs(tubes)
    .map((pile) => ({ pile, miss: missAlone(pile.tube, white, colours) }))
    .toSorted((one, other) => one.miss - other.miss)
    .slice(0, MAX_TRIED)
    .map(({ pile }) => pile);
  if (piles.length === 0) return null;
  const choices = whichTubes(colours, [white, ...piles.map(({ tube }) => tube)], most + 1);
  const best = choices.findLast(({ tubes: chosen }) => chosen.includes(white));
  if (!best) return null;
  return {
    piles: piles
      .filter(({ tube }) => best.tubes.includes(tube))
      .map(({ tube, parts }) => {
        const { L, C, h } = tintOf(tube);
        const angle = (h * Math.PI) / 180;
        return { parts, tint: { L, a: C * Math.cos(angle), b: C * Math.sin(angle) } };
      }),
    quiet,
    miss: best.miss,
  };
}

/** Every two tubes, in a few ratios, that make something dull; each as a tube by itself. */
function dullPairs(tubes: readonly Tube[]): { tube: Tube; parts: InnerPile['parts'] }[] {
  const coloured = tubes.filter((tube) => kindOf(tube) !== 'white');
  return coloured.flatMap((one, i) =>
    coloured.slice(i + 1).flatMap((other) =>
      RATIOS.map(([a, b]) => {
        const parts = [
          { tube: one, parts: a },
          { tube: other, parts: b },
        ];
        return {
          parts,
          tube: {
            id: `${a} ${one.id} + ${b} ${other.id}`,
            pigments: [...one.pigments, ...other.pigments],
            optics: mixed(parts.map((part) => ({ optics: part.tube.optics, parts: part.parts }))),
          },
        };
      }).filter(({ tube }) => tintOf(tube).C <= QUIET),
    ),
  );
}

/** How far some colours are missed on average by one paint and white. */
function missAlone(tube: Tube, white: Tube, wanted: readonly Wanted[]): number {
  const paints = [tube.optics, white.optics];
  const start = paints.map((optics) => 1 / weightOf(optics));
  return wanted.reduce(
    (sum, { colour, share }) => sum + share * fitWeights(paints, labFromOklab(colour), start).miss,
    0,
  );
}
