import { expose, transfer } from 'comlink';
import { evenedPicture } from '@/core/compare/evened-picture';
import { findingAlone, findingOf, type Finding } from '@/core/compare/finding';
import { layStudy, type LaidStudy, type LayOptions } from '@/core/compare/lay-study';
import { wheelOf, type WheelId } from '@/core/colour/wheel';
import { develop, type Development } from '@/core/picture/develop';
import { copyPicture, type Picture } from '@/core/picture/picture';
import { resizedPicture } from '@/core/picture/resized';
import { squint } from '@/core/picture/squint';
import { greyPicture } from '@/core/picture/value-map';
import type { Quad } from '@/core/raster/homography';
import { fetchPicture } from './fetch-picture';

/** What a photograph is laid by, and where its picture comes from. */
export interface Photograph extends LayOptions {
  url: string;
}

/** What the study is held against: its model, a picture in the model's frame, an earlier photograph, or nothing. */
export type HeldAgainst =
  | { kind: 'model' }
  | { kind: 'picture'; picture: Picture }
  | { kind: 'photograph'; photograph: Photograph }
  | { kind: 'itself' };

export const CHECK_STAGES = ['photograph', 'place', 'differences'] as const;
export type CheckStage = (typeof CHECK_STAGES)[number];

/** A study as it was laid: there before it is compared. */
export interface Laid {
  /** Where the model's corners lie in the photograph; null for a study that was read by itself. */
  corners: Quad | null;
  /** The study in the model's frame, and what it was held against. */
  study: Picture;
  against: Picture;
}

/** The longer side that the study is drawn at. */
const SHOWN_SIDE = 1000;

/** The worker of the step Check. It holds the model, and photographs as they were laid last. */
let model: Picture | null = null;
let photo: { url: string; picture: Picture } | null = null;

async function photographOf(url: string): Promise<Picture> {
  if (photo?.url !== url) photo = { url, picture: await fetchPicture(url) };
  return photo.picture;
}

const shownSize = ({ width, height }: Picture): [number, number] => {
  const scale = Math.min(1, SHOWN_SIDE / Math.max(width, height));
  return [Math.round(width * scale), Math.round(height * scale)];
};

const copied = (picture: Picture, [width, height]: [number, number]): Picture => {
  const small = resizedPicture(picture, width, height);
  return small === picture ? copyPicture(picture) : small;
};

const checks = {
  /** Fetches the model and develops it as the Desk has it. */
  async load(url: string, development: Development): Promise<void> {
    model = develop(await fetchPicture(url), development);
  },

  /**
   * What is found; null where the study isn't in the photograph. `onStage` is told what is being done, `onLaid` how the study
   * lies as soon as that is known.
   */
  async check(
    { url, ...options }: Photograph,
    held: HeldAgainst,
    wheel: WheelId,
    onStage: (stage: CheckStage) => void,
    onLaid: (laid: Laid) => void,
  ): Promise<Finding | ReturnType<typeof findingAlone> | null> {
    if (!model) throw new Error('no model loaded');
    onStage('photograph');
    const picture = await photographOf(url);
    if (held.kind === 'itself') {
      const study = alone(model, picture, options);
      const finding = findingAlone(study.study);
      onLaid(handed(study));
      return finding;
    }
    onStage('place');
    const laid = layStudy(model, picture, options);
    if (!laid) return null;
    const against = await pictureHeld(model, held);
    if (!against) return null;
    const size = shownSize(model);
    onLaid(
      handed({
        corners: laid.registration.corners,
        study: evenedPicture(picture, laid, ...size),
        against: copied(against, size),
      }),
    );
    onStage('differences');
    return findingOf(laid, held.kind === 'model' ? null : against, wheelOf(wheel));
  },

  /** A picture as it is looked at: squinting, or in its greys. */
  look(picture: Picture, as: 'squint' | 'grey', radius: number): Picture {
    const made = as === 'grey' ? greyPicture(picture) : squint(picture, radius);
    return transfer(made, [made.data.buffer as ArrayBuffer]);
  },
};

/** What the study is held against, in the model's frame; null for a photograph in which the study isn't found. */
async function pictureHeld(own: Picture, held: HeldAgainst): Promise<Picture | null> {
  if (held.kind === 'picture') return resizedPicture(held.picture, own.width, own.height);
  if (held.kind !== 'photograph') return own;
  const { url, ...options } = held.photograph;
  const picture = await fetchPicture(url);
  const laid = layStudy(own, picture, options);
  return laid && evenedPicture(picture, laid, own.width, own.height);
}

/** Read by itself, beside its model: within its corners where they are known, else the whole picture as it is. */
function alone(own: Picture, picture: Picture, options: LayOptions): Laid {
  const laid: LaidStudy | null = options.isDigital ? null : layStudy(own, picture, options);
  const size = laid ? shownSize(own) : shownSize(picture);
  const study = laid ? evenedPicture(picture, laid, ...size) : copied(picture, size);
  return {
    corners: laid?.registration.corners ?? null,
    study,
    against: copied(own, shownSize(own)),
  };
}

function handed(laid: Laid): Laid {
  const buffers = [laid.study, laid.against].map(({ data }) => data.buffer as ArrayBuffer);
  return transfer(laid, buffers);
}

export type CheckWorker = typeof checks;

expose(checks);
