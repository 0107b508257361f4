import type { LightAndShadow } from '@/core/measure/light-and-shadow';
import type { ValueScale } from '@/core/colour/value-scale';
import { percent, stepWords } from '@/ui/words';

/** A difference smaller than this is none worth saying. */
const SAME_CHROMA = 0.006;

/**
 * How light and shadow part: how much each takes, and how the shadow differs in value and chroma. Which of
 * them is warmer is no matter of means: `warmthSentence` says it by pairs of one local colour.
 */
export function lightSentence({ light, shadow }: LightAndShadow, scale: ValueScale): string {
  if (!light || !shadow)
    return `All of it is in the ${light ? 'light' : 'shadow'}; there is nothing to part.`;
  const stronger = shadow.meanChroma - light.meanChroma;
  const chroma =
    Math.abs(stronger) < SAME_CHROMA
      ? 'as strong as in the light'
      : stronger > 0
        ? 'stronger'
        : 'duller';
  return (
    `The light takes ${percent(light.share)}, ${stepWords(light.value - shadow.value, scale)} above the shadow. ` +
    `Colour in the shadow is ${chroma}.`
  );
}
