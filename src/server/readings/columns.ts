import type { WheelId } from '@/core/colour/wheel';
import { CORE_VERSION } from '@/core/index';
import type { KeptColours, WheelStudy } from '@/core/measure/colour-study';
import { huesItIsIn } from '@/core/measure/hues';
import type { ValueReading } from '@/core/measure/values';
import type { StudyDocument } from '@/contracts/study';
import { readingKey } from './reading-key';

/** What is stored of a study's values, with the columns that the Wall searches. */
export function valueColumns(document: StudyDocument, values: ValueReading) {
  return {
    core: CORE_VERSION,
    of: readingKey(document),
    key: values.key,
    range: values.range,
    median: values.median,
    values,
  };
}

/** What is stored of its colours, whatever the wheel. */
export function colourColumns({ wheelless }: KeptColours) {
  return {
    neutral: wheelless.chroma.words.neutral,
    temperature: wheelless.temperature.mean,
    colours: wheelless,
  };
}

/** What is stored of its colours on one wheel; `family` and `harmony` are null for a near-neutral picture. */
export function wheelColumns(wheel: WheelId, study: WheelStudy) {
  return {
    wheel,
    family: huesItIsIn(study.hues)[0]?.family ?? null,
    keyFamily: study.keyColour?.family ?? null,
    harmony: study.harmony.fits[0]?.scheme ?? null,
    study,
  };
}
