import type { ValueReading } from '@/core/measure/values';
import type { Breaks } from '@/core/measure/zones';
import type { ValueScale } from '@/core/colour/value-scale';
import { capital, percent, several, valueWords } from '@/ui/words';
import { zoneNames } from '../../zone-names';

/**
 * The finding of the step: how many values carry it, what the zones take where they are those
 * values, where darks and lights stop, key and range.
 */
export function valueSentence(reading: ValueReading, breaks: Breaks, scale: ValueScale): string {
  const { key, range, p5, p95, zones, carriedBy } = reading;
  const names = zoneNames(zones.length);
  const shares = zones
    .map(({ share }, i) => `${names.length > 5 ? i + 1 : names[i]} ${percent(share)}`)
    .join(', ');
  const verb = carriedBy === 1 ? 'carries' : 'carry';
  const told = breaks === 'natural' && zones.length === carriedBy ? `: ${shares}` : '';
  return (
    `${capital(several(carriedBy, 'value'))} ${verb} it${told}; ` +
    `the lights stop at ${valueWords(p95, scale)}, the darks at ${valueWords(p5, scale)}. ` +
    `A ${key} key of ${range} range.`
  );
}
