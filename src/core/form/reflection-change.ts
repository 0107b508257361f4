import type { Mass } from '../measure/masses';
import type { Reflection } from './reflections';

/** From this change on a reflection is lighter or darker, stronger or duller: Munsell steps, chroma. */
const MIN_CHANGE = 0.2;
const MIN_DULLING = 0.006;
/** From this value on a thing is a light to its reflection. */
const LIGHT = 5;

/** What a reflection is against its thing. */
export interface ReflectionChange {
  value: 'lighter' | 'darker' | 'alike';
  chroma: 'stronger' | 'duller' | 'alike';
  /** Whether it does what water does: lights come darker, darks lighter, and nothing stronger. */
  isUsual: boolean;
}

export function reflectionChange(
  thing: Pick<Mass, 'value'>,
  { value, chroma }: Pick<Reflection, 'value' | 'chroma'>,
): ReflectionChange {
  const change: ReflectionChange = {
    value: Math.abs(value) < MIN_CHANGE ? 'alike' : value > 0 ? 'lighter' : 'darker',
    chroma: Math.abs(chroma) < MIN_DULLING ? 'alike' : chroma > 0 ? 'stronger' : 'duller',
    isUsual: false,
  };
  const against = thing.value >= LIGHT ? 'lighter' : 'darker';
  change.isUsual = change.value !== against && change.chroma !== 'stronger';
  return change;
}
