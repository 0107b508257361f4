export { drawingJob } from './drawing-job';
export { madeJob } from './made-job';
export { platesJob } from './plates-job';
export { pushJob } from './push-job';
export { readJob } from './read-job';
import { pushable } from '@/core/amplify/pushed';
import { readKeptColours, type KeptColours } from '@/core/measure/colour-study';
import type { Correction } from '@/core/measure/light-and-shadow';
import { readValues, type ValueReading } from '@/core/measure/values';
import type { ZoneCut } from '@/core/measure/zones';
import { extractPalette, type Extraction, type ExtractionSettings } from '@/core/palette/extract';
import { develop, type Development } from '@/core/picture/develop';
import type { Picture } from '@/core/picture/picture';
import { framedStrokes } from '@/core/picture/strokes';
import type { DeskQuery } from '@/contracts/desk-query/desk-query';
import { keyedAnswers, type StoredAnswers } from '@/contracts/desk-query/opening-queries';
import { answerQuery } from '../browser/answers';
import { deriveImages } from '../browser/derived-images';

/** What the server asks of a worker: the readings of one developed picture. */
export interface ReadingJob {
  picture: Picture;
  development: Development;
  values: ZoneCut & { squint: number };
  /** What palette to extract, or null for none. */
  palette: ExtractionSettings | null;
  /** Whether the colours are read, and what corrects their light and shadow: strokes on the original. */
  colours: { corrections: Correction[] } | null;
  /** Queries of the Desk to be answered with figures, and the quality of the JPEG that the picture came as. */
  desk?: { queries: DeskQuery[]; quality: number | null };
}

export interface ReadingResult {
  values: ValueReading;
  palette: Extraction | null;
  colours: KeptColours | null;
  answers: StoredAnswers;
}

export default function readingJob(job: ReadingJob): ReadingResult {
  const picture = develop(job.picture, job.development);
  const images = deriveImages(
    picture,
    (strokes) => framedStrokes(strokes, job.development.framing, job.picture, picture),
    (developed, blocks) => pushable(developed, job.desk?.quality ?? null, blocks),
  );
  return {
    values: readValues(images, job.values),
    colours:
      job.colours &&
      readKeptColours(images, {
        zones: job.values,
        squint: job.values.squint,
        corrections: images.framed(job.colours.corrections),
      }),
    answers: keyedAnswers(job.desk?.queries ?? [], (query) =>
      answerQuery(query, { working: job.picture, images }),
    ),
    palette: job.palette && extractPalette(picture, job.palette),
  };
}
