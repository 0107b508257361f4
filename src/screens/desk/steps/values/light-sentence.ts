import type { LightAndShadow } from '@/core/measure/light-and-shadow';
import type { ValueScale } from '@/core/colour/value-scale';
import { percent, stepWords } from '@/ui/words';

/** Differences smaller than these are none worth saying. */
const SAME_TEMPERATURE = 0.08;
const SAME_CHROMA = 0.006;

/** How light and shadow part: how much each takes, and how the shadow differs in value, temperature and chroma. */
export function lightSentence({ light, shadow }: LightAndShadow, scale: ValueScale): string {
  if (!light || !shadow)
    return `All of it is in the ${light ? 'light' : 'shadow'}; there is nothing to part.`;
  const warmer = shadow.temperature - light.temperature;
  const stronger = shadow.meanChroma - light.meanChroma;
  const temperature =
    Math.abs(warmer) < SAME_TEMPERATURE
      ? 'as warm as the light'
      : `${warmer > 0 ? 'warmer' : 'cooler'} by ${Math.abs(warmer).toFixed(1)}`;
  const chroma =
    Math.abs(stronger) < SAME_CHROMA ? 'as strong' : stronger > 0 ? 'stronger' : 'duller';
  return (
    `The light takes ${percent(light.share)}, ${stepWords(light.value - shadow.value, scale)} above the shadow. ` +
    `The shadow is ${temperature} and ${chroma}.`
  );
}
