import { framePicture } from '@/core/picture/frame';
import { colourClusters } from '@/core/picture/colour-clusters';
import { copyPicture, type Picture } from '@/core/picture/picture';
import { probe } from '@/core/picture/probe';
import type { VeilPart } from '@/contracts/desk-query/desk-query';
import { answerBy, type Answers, type VeilAnswers } from './answer';
import { colourAnswers, colourVeils } from './colour-answers';
import type { DerivedImages } from './derived-images';
import { hiddenAnswers, hiddenVeils } from './hidden-answers';
import { mixAnswers } from './mix-answers';
import { paletteAnswers, paletteVeils } from './palette-answers';
import { transferAnswers } from './transfer-answers';
import { valueAnswers, valueVeils } from './value-answers';

const VEILS: VeilAnswers = { ...valueVeils, ...colourVeils, ...hiddenVeils, ...paletteVeils };

function veilOf(part: VeilPart, images: DerivedImages): Picture {
  const draw = VEILS[part.kind] as (part: VeilPart, images: DerivedImages) => Picture;
  return draw(part, images);
}

const ANSWERS: Answers = {
  uncorrected: ({ framing }, { working }) => copyPicture(framePicture(working, framing)),
  probe: ({ place, radius }, { images }) => probe(images.picture, place, radius),
  clusters: ({ place, radius }, { images }) => colourClusters(images.picture, place, radius),
  workingProbe: ({ place, radius }, { working }) => probe(working, place, radius),
  veil: ({ part }, { images }) => veilOf(part, images),
  ...valueAnswers,
  ...colourAnswers,
  ...hiddenAnswers,
  ...paletteAnswers,
  ...mixAnswers,
  ...transferAnswers,
};

/** Answers what the Desk asks. Pictures are the asker's own: what has to stay here is copied. */
export const answerQuery = answerBy(ANSWERS);
