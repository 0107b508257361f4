import { randomFrom } from '../../seeded';
import type { ColourRegion } from '../region';

/** For tests: a person who reads some regions wrong by a known amount, and less so the more they are practised. */
export interface Learner {
  /** What an answer is off, in the units of its skill. */
  off: (region: ColourRegion) => number;
  /** What the learner leans by there now. */
  bias: (region: ColourRegion) => number;
}

/** A number of the normal distribution. Source: G. Box, M. Muller, "A note on the generation of random normal deviates", 1958. */
function normal(random: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

export function learner(
  seed: number,
  {
    lean,
    spread,
    learning,
  }: {
    lean: (region: ColourRegion) => number;
    spread: number;
    /** The share of a leaning that an answer in the same third of the values takes away. */
    learning: number;
  },
): Learner {
  const random = randomFrom(seed);
  const practised = new Map<string, number>();
  const bias = (region: ColourRegion) =>
    lean(region) * (1 - learning) ** (practised.get(region.value) ?? 0);
  return {
    bias,
    off(region) {
      const off = bias(region) + spread * normal(random);
      practised.set(region.value, (practised.get(region.value) ?? 0) + 1);
      return off;
    },
  };
}
