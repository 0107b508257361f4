import sharp, { type Metadata } from 'sharp';
import { MAX_PIXELS } from '@/contracts/picture-import';
import { countOpaque, OPAQUE, type Picture } from '@/core/picture/picture';
import { ServiceError } from '../errors';
import { looksLikePicture } from './picture-kind';
import { refusal } from './refusals';

/** The long side of the working copy in pixels. */
export const WORKING_SIDE = 1600;
const THUMBNAIL_SIDE = 560;

const TYPES: Record<string, string> = {
  jpeg: 'image/jpeg',
  png: 'image/png',
  webp: 'image/webp',
  heif: 'image/avif',
  tiff: 'image/tiff',
  gif: 'image/gif',
};

export interface PictureLook {
  type: string;
  /** Pixels of the original, upright. */
  width: number;
  height: number;
}

export interface WorkingCopy extends PictureLook {
  /** Upright sRGB at most 1600 px on its long side; alpha is 0 or 255. */
  working: Picture;
}

/** Reads the header alone, and refuses what its figures already rule out before anything is decoded. */
export async function lookAt(bytes: Uint8Array): Promise<PictureLook> {
  if (bytes.byteLength === 0) throw refusal.empty();
  const head = await header(bytes);
  const type = TYPES[head.format ?? ''];
  const heifButNotAvif = head.format === 'heif' && head.compression !== 'av1';
  if (!type || heifButNotAvif || !head.width || !head.height) throw refusal.notAPicture();
  if (head.width * head.height > MAX_PIXELS) throw refusal.tooManyPixels(head.width, head.height);
  if (head.format === 'tiff' && (head.pages ?? 1) > 1) throw refusal.pages(head.pages ?? 1);
  const upright = head.autoOrient ?? { width: head.width, height: head.height };
  return { type, width: upright.width, height: upright.height };
}

async function header(bytes: Uint8Array): Promise<Metadata> {
  try {
    // The limit is ours to check, so that the refusal can say the size.
    return await sharp(bytes, { failOn: 'none', limitInputPixels: false }).metadata();
  } catch {
    throw looksLikePicture(bytes) ? refusal.truncated() : refusal.notAPicture();
  }
}

/** Decodes, turns upright, brings through its profile to sRGB and makes small. Throws the refusals. */
export async function makeWorkingCopy(bytes: Uint8Array): Promise<WorkingCopy> {
  const look = await lookAt(bytes);
  const { data, info } = await decode(bytes, WORKING_SIDE);
  makeAlphaWhole(data);
  const working = {
    width: info.width,
    height: info.height,
    data: new Uint8ClampedArray(data.buffer, data.byteOffset, data.byteLength),
  };
  if (countOpaque(working) === 0) throw refusal.transparent();
  return { ...look, working };
}

/** The original upright and in sRGB, at its own size, alpha 0 or 255. Throws the refusals. */
export async function decodeOriginal(bytes: Uint8Array): Promise<Picture> {
  const { data, info } = await decode(bytes, null);
  makeAlphaWhole(data);
  return {
    width: info.width,
    height: info.height,
    data: new Uint8ClampedArray(data.buffer, data.byteOffset, data.byteLength),
  };
}

/** Pixels of a file, at most `side` on the long one; null leaves the size as it is. Throws the refusals. */
async function decode(bytes: Uint8Array, side: number | null) {
  try {
    return await pixels(bytes, side, 'warning').catch((error: unknown) => {
      // A JPEG that ends before its header says is only warned of; other warnings are harmless.
      if (/premature end/i.test(messageOf(error))) throw refusal.truncated();
      return pixels(bytes, side, 'truncated');
    });
  } catch (error) {
    if (error instanceof ServiceError) throw error;
    const words = messageOf(error);
    if (/pixel limit/i.test(words)) throw refusal.tooManyPixels(0, 0);
    if (/cmyk|profile|colou?rspace|icc/i.test(words)) throw refusal.cmyk();
    throw refusal.truncated();
  }
}

const messageOf = (error: unknown) => (error instanceof Error ? error.message : '');

function pixels(bytes: Uint8Array, side: number | null, failOn: 'warning' | 'truncated') {
  const upright = sharp(bytes, { failOn, limitInputPixels: MAX_PIXELS, pages: 1 }).autoOrient();
  const sized =
    side === null
      ? upright
      : upright.resize(side, side, { fit: 'inside', withoutEnlargement: true });
  return sized
    .toColourspace('srgb')
    .ensureAlpha()
    .raw({ depth: 'uchar' })
    .toBuffer({ resolveWithObject: true });
}

/**
 * A half-transparent pixel has no colour of its own to measure, and browsers and servers disagree on
 * its last digit. So in the working copy a pixel is there or it is not.
 */
function makeAlphaWhole(rgba: Uint8Array): void {
  for (let i = 0; i < rgba.length; i += 4) {
    if (rgba[i + 3] >= OPAQUE) rgba[i + 3] = 255;
    else rgba[i] = rgba[i + 1] = rgba[i + 2] = rgba[i + 3] = 0;
  }
}

const raw = ({ width, height, data }: Picture) =>
  sharp(Buffer.from(data.buffer, data.byteOffset, data.byteLength), {
    raw: { width, height, channels: 4 },
  });

/** The working copy as a lossless file: fast to write, since somebody is waiting for it. */
export async function encodeWorking(working: Picture): Promise<Uint8Array> {
  const whole = countOpaque(working) === working.width * working.height;
  const image = whole ? raw(working).removeAlpha() : raw(working);
  return image.png({ compressionLevel: 1, adaptiveFiltering: true }).toBuffer();
}

/** A picture as PNG to export: sRGB, and small rather than soon. */
export async function encodePng(picture: Picture): Promise<Uint8Array> {
  const whole = countOpaque(picture) === picture.width * picture.height;
  const image = whole ? raw(picture).removeAlpha() : raw(picture);
  return image.withIccProfile('srgb').png({ compressionLevel: 6 }).toBuffer();
}

/** A small lossy copy for the Wall. */
export async function encodeThumbnail(working: Picture): Promise<Uint8Array> {
  return raw(working)
    .resize(THUMBNAIL_SIDE, THUMBNAIL_SIDE, { fit: 'inside', withoutEnlargement: true })
    .webp({ quality: 82 })
    .toBuffer();
}

/** A stored working copy back to pixels. */
export async function decodeWorking(bytes: Uint8Array): Promise<Picture> {
  const { data, info } = await sharp(bytes)
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return {
    width: info.width,
    height: info.height,
    data: new Uint8ClampedArray(data.buffer, data.byteOffset, data.byteLength),
  };
}
