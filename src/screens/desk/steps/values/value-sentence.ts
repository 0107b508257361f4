import type { ValueReading } from '@/core/measure/values';
import type { ValueScale } from '@/core/colour/value-scale';
import { percent, several, valueWords } from '@/ui/words';

const NAMES: Record<number, readonly string[]> = {
  2: ['dark', 'light'],
  3: ['dark', 'middle', 'light'],
  4: ['dark', 'half-dark', 'half-light', 'light'],
  5: ['dark', 'half-dark', 'middle', 'half-light', 'light'],
};

/** What each zone is called, from dark to light; past five they are numbered. */
export function zoneNames(count: number): string[] {
  const names = NAMES[count];
  return names
    ? [...names]
    : Array.from({ length: count }, (_, i) =>
        i === 0 ? '1, darkest' : i === count - 1 ? `${count}, lightest` : String(i + 1),
      );
}

/** The finding of the step: key and range, where darks and lights stop, and what the zones take. */
export function valueSentence(reading: ValueReading, scale: ValueScale): string {
  const { key, range, p5, p95, zones } = reading;
  const names = zoneNames(zones.length);
  const largest = zones.reduce((most, zone, i) => (zone.share > zones[most].share ? i : most), 0);
  return (
    `A ${key} key of ${range} range: the darks stop at ${valueWords(p5, scale)}, the lights at ${valueWords(p95, scale)}. ` +
    `Of ${several(zones.length, 'zone')}, the ${names.length > 5 ? `zone ${names[largest]},` : names[largest]} takes ${percent(zones[largest].share)}.`
  );
}
