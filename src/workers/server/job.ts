import type { Oklab } from '@/core/colour/oklab';
import { readValues, type ValueReading, type ValueSettings } from '@/core/measure/values';
import { extractPalette, type Extraction } from '@/core/palette/extract';
import { develop, type Development } from '@/core/picture/develop';
import type { Picture } from '@/core/picture/picture';

/** What the server asks of a worker: the readings of one developed picture. */
export interface ReadingJob {
  picture: Picture;
  development: Development;
  values: ValueSettings;
  /** How many colours to extract, or null for none. */
  palette: { count: number; keep: Oklab[] } | null;
}

export interface ReadingResult {
  values: ValueReading;
  palette: Extraction | null;
}

export default function readingJob(job: ReadingJob): ReadingResult {
  const picture = develop(job.picture, job.development);
  return {
    values: readValues(picture, job.values),
    palette: job.palette && extractPalette(picture, job.palette.count, job.palette.keep),
  };
}
