import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { fitWeights } from './fit-weights';
import { mixLab } from './mix-lab';
import { mixed } from './paint';
import type { Optics } from './pigment';
import type { RecipePart } from './recipes';
import { weightOf, type Tube } from './tube';

/** A canvas and how it is to be painted. */
export interface Canvas {
  /** Millimetres. */
  width: number;
  height: number;
  /** How thick the paint lies, in millimetres. */
  film: number;
  /** How much more is squeezed out than is needed, as a share. */
  spare: number;
  /** The nozzle of the tubes, in millimetres across. */
  nozzle: number;
}

/** A colour of the palette with its share of the picture and its recipe. */
export interface Planned {
  id: string;
  colour: Oklab;
  share: number;
  parts: readonly RecipePart[];
}

export interface Squeeze {
  tube: Tube;
  millilitres: number;
  /** As a strip from the nozzle, in millimetres. */
  strip: number;
}

export interface Pile {
  id: string;
  /** What the picture takes of it, without what other piles are made from. */
  millilitres: number;
  /** What is mixed besides, for piles that are begun from it. */
  forOthers: number;
  /** The pile that it is begun from, and how much of that is taken. */
  from: { id: string; millilitres: number } | null;
  /** Tubes that are added, in millilitres. */
  added: { tube: Tube; millilitres: number }[];
}

export interface MorningPlan {
  squeezes: Squeeze[];
  /** In the order in which they are mixed. */
  piles: Pile[];
  millilitres: number;
  /** How many times something is worked into something else, and how many it would be from tubes alone. */
  mixings: number;
  mixingsFromTubes: number;
}

/** A pile made from another may differ from its own recipe by this much: CIEDE2000. */
const NEAR = 1.5;
/** A small colour that is strong is an accent: share, and OKLCH chroma. */
const ACCENT = { share: 0.06, chroma: 0.12 };
/** Tubes that are worked into a pile to make another. */
const MAX_ADDED = 2;

/** A pile as it is decided on: its share of the picture, and what its weight is made of. */
interface Decided {
  planned: Planned;
  from: Decided | null;
  /** Weights that sum to 1: of the pile it is begun from, and of tubes. */
  fromWeight: number;
  added: { tube: Tube; weight: number }[];
  optics: Optics;
  /** Its volume in all, with what other piles take of it. */
  volume: number;
}

/**
 * What to squeeze out for a picture and how to make its piles: from light to dark, so that no dirt comes into
 * the lights, small strong accents last; a pile is begun from another wherever that saves work and comes as near.
 */
export function morningPlan(colours: readonly Planned[], canvas: Canvas): MorningPlan {
  const total = (canvas.width * canvas.height * canvas.film * (1 + canvas.spare)) / 1000;
  const shares = colours.reduce((sum, { share }) => sum + share, 0);
  const decided: Decided[] = [];
  for (const planned of inOrder(colours)) {
    const volume = shares > 0 ? (total * planned.share) / shares : 0;
    decided.push(decide(planned, volume, decided));
  }
  // What others are begun from has to be there: from the last to the first.
  const own = new Map(decided.map((pile) => [pile, pile.volume]));
  for (const pile of decided.toReversed())
    if (pile.from) pile.from.volume += pile.volume * pile.fromWeight;
  const squeezed = new Map<Tube, number>();
  for (const { added, volume } of decided)
    for (const { tube, weight } of added)
      squeezed.set(tube, (squeezed.get(tube) ?? 0) + volume * weight);
  const across = (Math.PI * canvas.nozzle ** 2) / 4;
  const components = (pile: Decided) => pile.added.length + (pile.from ? 1 : 0);
  return {
    squeezes: Array.from(squeezed, ([tube, millilitres]) => ({
      tube,
      millilitres,
      strip: (millilitres * 1000) / across,
    })).sort((one, other) => other.millilitres - one.millilitres),
    piles: decided.map((pile) => ({
      id: pile.planned.id,
      millilitres: own.get(pile) ?? 0,
      forOthers: pile.volume - (own.get(pile) ?? 0),
      from: pile.from && {
        id: pile.from.planned.id,
        millilitres: pile.volume * pile.fromWeight,
      },
      added: pile.added.map(({ tube, weight }) => ({ tube, millilitres: pile.volume * weight })),
    })),
    millilitres: total,
    mixings: decided.reduce((sum, pile) => sum + components(pile) - 1, 0),
    mixingsFromTubes: colours.reduce((sum, { parts }) => sum + parts.length - 1, 0),
  };
}

/** Light before dark, accents last. */
function inOrder(colours: readonly Planned[]): Planned[] {
  const isAccent = ({ share, colour }: Planned) =>
    share < ACCENT.share && oklchFromOklab(colour).C > ACCENT.chroma;
  return colours.toSorted(
    (one, other) =>
      Number(isAccent(one)) - Number(isAccent(other)) ||
      valueOfOklab(other.colour) - valueOfOklab(one.colour),
  );
}

/** A pile from its tubes, or from one that is made already where that takes fewer things and comes as near. */
function decide(planned: Planned, volume: number, made: readonly Decided[]): Decided {
  const { parts } = planned;
  const sum = parts.reduce((all, part) => all + part.parts, 0);
  const fromTubes: Decided = {
    planned,
    from: null,
    fromWeight: 0,
    added: parts.map(({ tube, parts: amount }) => ({ tube, weight: amount / sum })),
    optics: mixed(parts.map(({ tube, parts: amount }) => ({ optics: tube.optics, parts: amount }))),
    volume,
  };
  const tubes = parts.map(({ tube }) => tube);
  const target = labFromOklab(planned.colour);
  const own = ciede2000(
    mixLab(
      tubes.map(({ optics }) => optics),
      parts.map((part) => part.parts),
    ),
    target,
  );
  let best = fromTubes;
  let bestMiss = own;
  for (const pile of made)
    for (const added of upTo(MAX_ADDED, tubes)) {
      const things = added.length + 1;
      const bestThings = best.added.length + (best.from ? 1 : 0);
      if (things > bestThings || (things === bestThings && best === fromTubes)) continue;
      const paints = [pile.optics, ...added.map(({ optics }) => optics)];
      const fit = fitWeights(
        paints,
        target,
        paints.map((optics) => 1 / weightOf(optics)),
      );
      const miss = ciede2000(mixLab(paints, fit.weights), target);
      if (miss > own + NEAR || (things === bestThings && miss >= bestMiss)) continue;
      bestMiss = miss;
      best = {
        planned,
        from: pile,
        fromWeight: fit.weights[0],
        added: added.map((tube, i) => ({ tube, weight: fit.weights[i + 1] })),
        optics: mixed(paints.map((optics, i) => ({ optics, parts: fit.weights[i] }))),
        volume,
      };
    }
  return best;
}

/** Every choice of one to so many of some tubes. */
function upTo(most: number, tubes: readonly Tube[]): Tube[][] {
  const one = tubes.map((tube) => [tube]);
  if (most < 2) return one;
  return [...one, ...tubes.flatMap((tube, i) => tubes.slice(i + 1).map((other) => [tube, other]))];
}
