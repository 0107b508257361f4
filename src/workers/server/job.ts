export { pushJob } from './push-job';
export { readJob } from './read-job';
import { readKeptColours, type KeptColours } from '@/core/measure/colour-study';
import type { Correction } from '@/core/measure/light-and-shadow';
import { measureSources } from '@/core/measure/sources';
import { readValues, type ValueReading } from '@/core/measure/values';
import type { ZoneCut } from '@/core/measure/zones';
import { extractPalette, type Extraction, type ExtractionSettings } from '@/core/palette/extract';
import { develop, type Development } from '@/core/picture/develop';
import type { Picture } from '@/core/picture/picture';
import { framedStrokes } from '@/core/picture/strokes';

/** What the server asks of a worker: the readings of one developed picture. */
export interface ReadingJob {
  picture: Picture;
  development: Development;
  values: ZoneCut & { squint: number };
  /** What palette to extract, or null for none. */
  palette: ExtractionSettings | null;
  /** Whether the colours are read, and what corrects their light and shadow: strokes on the original. */
  colours: { corrections: Correction[] } | null;
}

export interface ReadingResult {
  values: ValueReading;
  palette: Extraction | null;
  colours: KeptColours | null;
}

export default function readingJob(job: ReadingJob): ReadingResult {
  const picture = develop(job.picture, job.development);
  const sources = measureSources(picture);
  return {
    values: readValues(sources, job.values),
    colours:
      job.colours &&
      readKeptColours(sources, {
        zones: job.values,
        squint: job.values.squint,
        corrections: framedStrokes(
          job.colours.corrections,
          job.development.framing,
          job.picture,
          picture,
        ),
      }),
    palette: job.palette && extractPalette(picture, job.palette),
  };
}
