import { DISTANCES, type Distance } from './depth-marks';
import type { PlaneReading } from './plane-reading';

/** What steps back with distance in air: contrast and chroma fall, colour cools. */
export const RECEDING = ['contrast', 'chroma', 'temperature'] as const;
export type Receding = (typeof RECEDING)[number];

/** Less than this is no difference: Munsell steps, OKLCH chroma, temperature. */
const ALIKE: Record<Receding, number> = { contrast: 0.5, chroma: 0.008, temperature: 0.12 };

export type Step = 'back' | 'alike' | 'forward';

export interface Recession {
  near: Distance;
  far: Distance;
  /** Of each what is far less what is near, and which way that goes. */
  steps: Record<Receding, { difference: number; step: Step }>;
  /** Value of what is far less that of what is near, Munsell steps; air may lift or lower it. */
  value: number;
  /**
   * `back` where nothing comes forward and something steps back, `forward` the other way round, `partly` where
   * both are, `alike` where neither is.
   */
  verdict: Step | 'partly';
}

/** How the farthest of the distances differs from the nearest; null where there is but one. */
export function recessionOf(distances: Record<Distance, PlaneReading | null>): Recession | null {
  const present = DISTANCES.filter((distance) => distances[distance] !== null);
  if (present.length < 2) return null;
  const [near, far] = [present[0], present[present.length - 1]];
  const [one, other] = [distances[near], distances[far]] as [PlaneReading, PlaneReading];
  const steps = Object.fromEntries(
    RECEDING.map((quantity) => {
      const difference = other[quantity] - one[quantity];
      const step =
        Math.abs(difference) < ALIKE[quantity] ? 'alike' : difference < 0 ? 'back' : 'forward';
      return [quantity, { difference, step }];
    }),
  ) as Recession['steps'];
  const has = (step: Step) => RECEDING.some((quantity) => steps[quantity].step === step);
  const verdict =
    has('back') && has('forward')
      ? 'partly'
      : has('back')
        ? 'back'
        : has('forward')
          ? 'forward'
          : 'alike';
  return { near, far, steps, value: other.value - one.value, verdict };
}
