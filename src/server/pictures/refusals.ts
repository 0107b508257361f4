import { MAX_BYTES, MAX_PIXELS } from '@/contracts/picture-import';
import { ServiceError } from '../errors';

const KINDS = 'JPEG, PNG, WebP, AVIF, TIFF or GIF';
const NOTHING_KEPT = 'Nothing was stored.';

/** Why a picture can't be imported: what happened, what was kept, what to do. */
export const refusal = {
  empty: () =>
    new ServiceError(
      'empty',
      `The file is empty. ${NOTHING_KEPT} Save the picture again and import the new file.`,
      400,
    ),
  tooManyBytes: () =>
    new ServiceError(
      'too-many-bytes',
      `The file is larger than ${MAX_BYTES / 1024 / 1024} MB. ${NOTHING_KEPT} Save it as a JPEG or make it smaller first.`,
      413,
    ),
  tooManyPixels: (width: number, height: number) =>
    new ServiceError(
      'too-many-pixels',
      `The picture is ${width} × ${height} pixels; up to ${MAX_PIXELS / 1e6} million can be read. ${NOTHING_KEPT} Make it smaller first.`,
      413,
    ),
  notAPicture: () =>
    new ServiceError(
      'not-a-picture',
      `This is not a picture that can be read. ${NOTHING_KEPT} Import a ${KINDS} file.`,
      415,
    ),
  truncated: () =>
    new ServiceError(
      'broken',
      `The picture is cut short or damaged. ${NOTHING_KEPT} Fetch or save the file again.`,
      422,
    ),
  transparent: () =>
    new ServiceError(
      'transparent',
      `All of this picture is transparent, so there is nothing to study. ${NOTHING_KEPT}`,
      422,
    ),
  pages: (count: number) =>
    new ServiceError(
      'pages',
      `This TIFF holds ${count} pages, and a study is of one picture. ${NOTHING_KEPT} Save the page you want as a file of its own.`,
      422,
    ),
  cmyk: () =>
    new ServiceError(
      'cmyk',
      `The colours of this CMYK picture can’t be converted for the screen. ${NOTHING_KEPT} Save it as an RGB file.`,
      422,
    ),
};
