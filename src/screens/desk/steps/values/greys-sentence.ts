import type { BrightnessReading } from '@/core/measure/brightness';
import type { ValueScale } from '@/core/colour/value-scale';
import { percent, stepWords } from '@/ui/words';

/** How much of the picture its brightness would mislead about, and which colours do it. */
export function greysSentence({ parted, causes }: BrightnessReading, scale: ValueScale): string {
  const [most] = causes;
  if (!most || parted < 0.005)
    return 'Neither grey misleads here: no colour is strong enough to part the two by a step.';
  return (
    `By misleading grey ${percent(parted)} of it reads more than a step too light, ` +
    `${most.family} above all: ${percent(most.share)}, by ${stepWords(most.byBrightness - most.value, scale)}.`
  );
}
