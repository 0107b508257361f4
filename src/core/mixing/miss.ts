import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { temperature } from '../colour/temperature';
import { valueOfOklab } from '../colour/value';

/** How a mixture differs from what it is for; each above 0 for too much. */
export interface Miss {
  /** Munsell steps: too light. */
  value: number;
  /** Temperature, in units of 0.10 along the warm axis: too warm. */
  warmth: number;
  /** OKLCH chroma: too strong. */
  chroma: number;
}

/** How `made` misses `target`. */
export function missBetween(target: Oklab, made: Oklab): Miss {
  return {
    value: valueOfOklab(made) - valueOfOklab(target),
    warmth: temperature(made) - temperature(target),
    chroma: oklchFromOklab(made).C - oklchFromOklab(target).C,
  };
}
