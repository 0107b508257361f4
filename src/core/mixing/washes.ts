import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import type { Oklab } from '../colour/oklab';
import { oklabOf } from './observer';
import { filmOver } from './paint';
import type { Optics } from './pigment';
import { spectrumOf, type Spectrum } from './spectrum';
import type { Tube } from './tube';

/** Watercolour paper as the eye gets it: reflectance at every wavelength. */
const PAPER = 0.9;
/** The thickness of one undiluted wash, in full coats of thick paint. */
const WASH_COAT = 0.06;
/** Dilutions that can be mixed by eye: each is half of the one before. */
export const DILUTIONS: readonly number[] = [1, 1 / 2, 1 / 4, 1 / 8, 1 / 16];
export const MAX_WASHES = 4;

export const whitePaper = (): Spectrum => spectrumOf(() => PAPER);

/** One wash: a paint, and how much of it is in the water (1 undiluted). */
export interface Wash {
  optics: Optics;
  strength: number;
}

/**
 * OKLab of washes laid one over another on paper, each dry before the next: films by Kubelka's general solution, which
 * hardly scatter, so that the paper lights them from below. A wash of half the strength is a film of half the thickness.
 */
export function washColour(washes: readonly Wash[], paper: Spectrum = whitePaper()): Oklab {
  return oklabOf(
    washes.reduce(
      (below, { optics, strength }) => filmOver(optics, strength * WASH_COAT, below),
      paper,
    ),
  );
}

/** What so many washes of one paint and one dilution come to, light to dark: the paper first. */
export function washLadder(
  optics: Optics,
  strength: number,
  layers: number,
  paper: Spectrum = whitePaper(),
): Oklab[] {
  return Array.from({ length: layers + 1 }, (_, n) =>
    washColour(
      Array.from({ length: n }, () => ({ optics, strength })),
      paper,
    ),
  );
}

/** Washes of one tube, all of one dilution. */
export interface WashStep {
  tube: Tube;
  strength: number;
  layers: number;
}

export interface WashRecipe {
  /** In the order they are laid. */
  steps: WashStep[];
  colour: Oklab;
  /** CIEDE2000 from the target. */
  deltaE: number;
}

/** A second tube has to bring a colour nearer by this. */
const SECOND_TUBE = 0.5;
/** Each layer more costs time and paper. */
const LAYER = 0.15;

/**
 * How to come near a colour with washes on white: every dilution of every tube in up to four layers, and every tube over
 * every other in one layer each; the nearest before others. Throws a RangeError without tubes.
 */
export function washRecipes(target: Oklab, tubes: readonly Tube[], count = 4): WashRecipe[] {
  if (tubes.length === 0) throw new RangeError('A wash takes at least one tube');
  const lab = labFromOklab(target);
  const paper = whitePaper();
  const rate = ({ deltaE, steps }: WashRecipe) =>
    deltaE +
    LAYER * steps.reduce((sum, { layers }) => sum + layers, 0) +
    SECOND_TUBE * (steps.length - 1);
  const recipe = (steps: WashStep[], colour: Oklab): WashRecipe => ({
    steps,
    colour,
    deltaE: ciede2000(labFromOklab(colour), lab),
  });
  const single = tubes.flatMap((tube) =>
    DILUTIONS.flatMap((strength) =>
      washLadder(tube.optics, strength, MAX_WASHES, paper)
        .slice(1)
        .map((colour, i) => recipe([{ tube, strength, layers: i + 1 }], colour)),
    ),
  );
  const first = tubes.flatMap((tube) =>
    DILUTIONS.map((strength) => ({
      step: { tube, strength, layers: 1 },
      below: filmOver(tube.optics, strength * WASH_COAT, paper),
    })),
  );
  const double = first.flatMap(({ step, below }) =>
    tubes
      .filter((tube) => tube.id !== step.tube.id)
      .flatMap((tube) =>
        DILUTIONS.map((strength) =>
          recipe(
            [step, { tube, strength, layers: 1 }],
            oklabOf(filmOver(tube.optics, strength * WASH_COAT, below)),
          ),
        ),
      ),
  );
  return [...single, ...double].sort((one, other) => rate(one) - rate(other)).slice(0, count);
}
