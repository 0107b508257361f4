import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import type { Oklab } from '../colour/oklab';
import { learnedFactors } from './learn-factors';
import { mixLab } from './mix-lab';
import type { Optics } from './pigment';

/** A mixture that was made: parts of tubes, by their places in a list, and what it looked like. */
export interface MadeMixture {
  parts: readonly { tube: number; parts: number }[];
  result: Oklab;
}

/** How many times as strong as thought each tube is, from mixtures that were made. */
export function learnedStrengths(tubes: readonly Optics[], made: readonly MadeMixture[]): number[] {
  return learnedFactors(
    tubes.length,
    made.map(({ parts, result }) => ({
      things: parts.map(({ tube }) => tube),
      result,
      foretold: (factors) =>
        mixLab(
          parts.map(({ tube }) => tubes[tube]),
          parts.map(({ tube, parts: amount }) => amount * factors[tube]),
        ),
    })),
  );
}

/** The miss of a mixture (CIEDE2000) if each tube is so many times as strong. */
export function missOfMixture(
  tubes: readonly Optics[],
  { parts, result }: MadeMixture,
  strengths: readonly number[],
): number {
  const weights = parts.map(({ tube, parts: amount }) => amount * strengths[tube]);
  const paints = parts.map(({ tube }) => tubes[tube]);
  return ciede2000(mixLab(paints, weights), labFromOklab(result));
}
