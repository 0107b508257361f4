import { WHEEL_IDS } from '@/core/colour/wheel';
import {
  storedColoursSchema,
  storedValuesSchema,
  storedWheelSchema,
} from '@/contracts/stored-reading';
import type { Archive } from './archive';
import type { Row } from './tables';

/**
 * The studies whose readings in a backup are whole: values, and colours with every wheel, as this version of the core makes
 * them. A backup may be of another version, or crafted; readings follow from the pictures, so that what is not
 * whole is left out and made anew.
 */
export async function studiesWithWholeReadings(archive: Archive): Promise<Set<string>> {
  const wheels = new Map<string, Set<unknown>>();
  for await (const { study_id, wheel, study } of archive.rows('wheel_reading'))
    if (isWheel(wheel) && storedWheelSchema.safeParse(study).success)
      wheels.set(String(study_id), (wheels.get(String(study_id)) ?? new Set()).add(wheel));
  const whole = new Set<string>();
  for await (const row of archive.rows('reading'))
    if (isWhole(row, wheels.get(String(row.study_id))?.size ?? 0)) whole.add(String(row.study_id));
  return whole;
}

const isWheel = (id: unknown) => WHEEL_IDS.some((known) => known === id);

function isWhole({ values, colours, key, range, median }: Row, wheels: number): boolean {
  const read = storedValuesSchema.safeParse(values);
  if (!read.success) return false;
  if (read.data.key !== key || read.data.range !== range || read.data.median !== median)
    return false;
  // Colours are read after the values: a backup may have been made between the two.
  if (colours === null) return wheels === 0;
  return wheels === WHEEL_IDS.length && storedColoursSchema.safeParse(colours).success;
}
