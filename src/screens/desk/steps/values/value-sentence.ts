import type { Carried } from '@/core/measure/carried';
import type { ValueEnd, ValueEnds } from '@/core/measure/value-ends';
import type { ValueReading } from '@/core/measure/values';
import type { Breaks } from '@/core/measure/zones';
import type { ValueScale } from '@/core/colour/value-scale';
import { placeWords } from '@/core/picture/place-words';
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
  ends: ValueEnds | null,
): string {
  const { key, range, zones } = reading;
  const names = zoneNames(zones.length);
  const shares = zones
    .map(({ share }, i) => `${names.length > 5 ? i + 1 : names[i]} ${percent(share)}`)
    .join(', ');
  const verb = values === 1 ? 'carries' : 'carry';
  const sides =
    values === 1 ? '' : `, ${count(light)} in the light, ${count(shadow)} in the shadow`;
  const told = breaks === 'natural' && zones.length === values ? `: ${shares}` : '';
  return (
    `${capital(several(values, 'value'))} ${verb} it${sides}${told}. ` +
    (ends ? `${endsSentence(ends, scale)} ` : '') +
    `A ${key} key of ${range} range.`
  );
}

/** Where the large lights and darks stop, and the small one that goes farthest beyond each. */
function endsSentence({ lights, darks }: ValueEnds, scale: ValueScale): string {
  const end = (of: ValueEnd, what: string) => {
    const [small] = of.small;
    const but = small
      ? `, but for a small ${what} (${placeWords(small)}, ${percent(small.share)}) that reaches ${valueWords(small.value, scale)}`
      : '';
    return `${valueWords(of.large, scale)}${but}`;
  };
  const lightEnd = end(lights, 'light');
  const joint = lights.small.length > 0 ? '; the darks' : ', the darks';
  return `The lights stop at ${lightEnd}${joint} at ${end(darks, 'dark')}.`;
}
