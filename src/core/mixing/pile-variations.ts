import { labFromOklab, oklabFromLab } from '../colour/cielab';
import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { adjustersOf, broughtTo } from './at-value';
import { missBetween, type Miss } from './miss';
import { mixColour } from './mix-lab';
import { mixed } from './paint';
import type { RecipePart } from './recipes';
import { hueDistance, OPPOSED, tintHue } from './route';
import { kindOf, type Tube } from './tube';
import { MEASURES, wholeParts } from './whole-parts';

/** Variations are given for so many parts of the pile. */
export const PILE_PARTS = 10;

export const PILE_MOVES = ['lighter', 'darker', 'warmer', 'cooler', 'stronger'] as const;
export type PileMove = (typeof PILE_MOVES)[number];

/** A pile with a little of one tube. */
export interface PileVariation {
  move: PileMove;
  tube: Tube;
  /** To `PILE_PARTS` of the pile. */
  parts: number;
  colour: Oklab;
}

export const MUTES = ['complement', 'earth', 'grey'] as const;
export type MuteKind = (typeof MUTES)[number];

/** A pile dulled by a mixture that was brought to the pile's own value before. */
export interface PileMute {
  kind: MuteKind;
  /** What is mixed first, the muting tube before others; one part of it alone where it is at the value already. */
  first: RecipePart[];
  /** That mixture's colour. */
  firstColour: Oklab;
  /** Parts of it to `PILE_PARTS` of the pile, and what comes of it. */
  parts: number;
  colour: Oklab;
}

/** A clear step each way: Munsell steps, units of temperature, OKLCH chroma. */
const STEP: Miss = { value: 0.6, warmth: 0.15, chroma: 0.02 };
/** What a step changes besides counts for so much less, and each part more to measure out for this much. */
const BESIDES = 0.6;
const PART_COST = 0.05;
/** Less than this is not worth a word. */
const MIN_MOVED: Miss = { value: 0.2, warmth: 0.1, chroma: 0.01 };
/** OKLab distance to the side of the pile's own hue that counts as a step. */
const ASIDE = 0.02;
/** A variation that costs more than this is another colour. */
const MAX_COST = 2.5;
const WANTED: Readonly<Record<PileMove, readonly [keyof Miss, 1 | -1]>> = {
  lighter: ['value', 1],
  darker: ['value', -1],
  warmer: ['warmth', 1],
  cooler: ['warmth', -1],
  stronger: ['chroma', 1],
};
/** OKLCH chroma under which there is nothing to mute. */
const MIN_CHROMA = 0.03;
/** The share of its chroma that a muted pile keeps, and the most that still is muted. */
const KEPT_CHROMA = 0.55;
const MAX_KEPT = 0.85;
/** Munsell steps by which muting may move the value, and what a step off costs beside chroma that is kept. */
const VALUE_HELD = 0.6;
const VALUE_COST = 0.5;
/** Munsell steps from the pile's value within which what mutes it can be measured out. */
const MEASURED = 0.25;

const pileOf = (parts: readonly RecipePart[]) =>
  mixed(parts.map(({ tube, parts: amount }) => ({ optics: tube.optics, parts: amount })));

/** Of each way that a pile can be moved by a speck or a few parts of one tube, the one that moves least besides. */
export function pileVariations(
  pile: readonly RecipePart[],
  tubes: readonly Tube[],
): PileVariation[] {
  const own = pileOf(pile);
  const before = mixColour([own], [1]);
  const tried = tubes.flatMap((tube) =>
    MEASURES.filter((parts) => parts <= PILE_PARTS / 2).map((parts) => {
      const colour = mixColour([own, tube.optics], [PILE_PARTS, parts]);
      return {
        tube,
        parts,
        colour,
        by: missBetween(before, colour),
        aside: asideOf(before, colour),
      };
    }),
  );
  return PILE_MOVES.flatMap((move) => {
    const [wanted, sign] = WANTED[move];
    // Warmer and cooler are turns of the hue; any other way keeps it.
    const turns = wanted === 'warmth' ? 0 : BESIDES / ASIDE;
    const cost = ({ by, parts, aside }: (typeof tried)[number]) =>
      (Object.keys(STEP) as (keyof Miss)[]).reduce(
        (sum, key) =>
          sum +
          (key === wanted
            ? Math.abs((sign * by[key]) / STEP[key] - 1)
            : BESIDES * Math.abs(by[key] / STEP[key])),
        PART_COST * parts + turns * aside,
      );
    const best = tried
      .filter(({ by }) => sign * by[wanted] >= MIN_MOVED[wanted])
      .toSorted((one, other) => cost(one) - cost(other))[0];
    if (!best || cost(best) > MAX_COST) return [];
    const { tube, parts, colour } = best;
    return [{ move, tube, parts, colour }];
  });
}

/**
 * A pile dulled by its complement, by an earth and by a grey: each is first brought to the pile's value with white or a
 * dark, so that intensity falls and the value stays. Nothing of a pile that is nearly grey, or of what lies out of reach.
 */
export function pileMutes(pile: readonly RecipePart[], tubes: readonly Tube[]): PileMute[] {
  const own = pileOf(pile);
  const before = mixColour([own], [1]);
  const { C, h } = oklchFromOklab(before);
  if (C < MIN_CHROMA) return [];
  const value = valueOfOklab(before);
  const adjusters = adjustersOf(tubes);
  const muting: Readonly<Record<MuteKind, readonly Tube[]>> = {
    complement: tubes.filter(
      (tube) => kindOf(tube) === 'colour' && hueDistance(tintHue(tube), h) >= OPPOSED,
    ),
    earth: tubes.filter((tube) => kindOf(tube) === 'earth'),
    grey: tubes.filter((tube) => kindOf(tube) === 'black'),
  };
  return MUTES.flatMap((kind) => {
    const made = muting[kind].flatMap((tube) => {
      const brought = broughtTo(tube, value, adjusters);
      if (!brought) return [];
      const paints = brought.parts.map((part) => part.tube.optics);
      const { parts: first, lab } = wholeParts(
        paints,
        brought.parts.map(({ share }) => share),
        labFromOklab(mixColour([brought.optics], [1])),
      );
      // A stainer so strong that the value falls between two measures.
      if (Math.abs(valueOfOklab(oklabFromLab(lab)) - value) > MEASURED) return [];
      const total = first.reduce((sum, part) => sum + part, 0);
      const premixed = mixed(paints.map((optics, i) => ({ optics, parts: first[i] / total })));
      const steps = MEASURES.map((parts) => {
        const colour = mixColour([own, premixed], [PILE_PARTS, parts]);
        const off = Math.abs(valueOfOklab(colour) - value);
        const kept = oklchFromOklab(colour).C / C;
        return { parts, colour, kept, off, cost: Math.abs(kept - KEPT_CHROMA) + VALUE_COST * off };
      }).filter(({ kept, off }) => kept <= MAX_KEPT && off <= VALUE_HELD);
      const best = steps.toSorted((one, other) => one.cost - other.cost)[0];
      if (!best) return [];
      return [
        {
          kind,
          first: brought.parts.map(({ tube: each }, i) => ({ tube: each, parts: first[i] })),
          firstColour: oklabFromLab(lab),
          parts: best.parts,
          colour: best.colour,
          turn: hueDistance(oklchFromOklab(best.colour).h, h),
        },
      ];
    });
    // Of several the one that leaves the hue most as it is.
    const [best] = made.toSorted((one, other) => one.turn - other.turn);
    if (!best) return [];
    const { turn: _, ...mute } = best;
    return [mute];
  });
}

/** How far a colour lies beside the line from grey through another. */
function asideOf(from: Oklab, to: Oklab): number {
  const length = Math.hypot(from.a, from.b);
  return length < 1e-6 ? 0 : Math.abs(from.a * to.b - from.b * to.a) / length;
}
