import type { Carried } from '@/core/measure/carried';
import type { ValueReading } from '@/core/measure/values';
import type { Breaks } from '@/core/measure/zones';
import type { ValueScale } from '@/core/colour/value-scale';
import { capital, count, percent, several, valueWords } from '@/ui/words';
import { zoneNames } from '../../zone-names';

/**
 * The finding of the step: how many values carry it, how many of them in the light and in the shadow, what the zones
 * take where they are those values, where darks and lights stop, key and range.
 */
export function valueSentence(
  reading: ValueReading,
  { values, light, shadow }: Carried,
  breaks: Breaks,
  scale: ValueScale,
): string {
  const { key, range, p5, p95, zones } = reading;
  const names = zoneNames(zones.length);
  const shares = zones
    .map(({ share }, i) => `${names.length > 5 ? i + 1 : names[i]} ${percent(share)}`)
    .join(', ');
  const verb = values === 1 ? 'carries' : 'carry';
  const sides =
    values === 1 ? '' : `, ${count(light)} in the light, ${count(shadow)} in the shadow`;
  const told = breaks === 'natural' && zones.length === values ? `: ${shares}` : '';
  return (
    `${capital(several(values, 'value'))} ${verb} it${sides}${told}; ` +
    `the lights stop at ${valueWords(p95, scale)}, the darks at ${valueWords(p5, scale)}. ` +
    `A ${key} key of ${range} range.`
  );
}
