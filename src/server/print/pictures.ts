import sharp from 'sharp';
import { develop, type Development } from '@/core/picture/develop';
import type { Picture } from '@/core/picture/picture';
import { greyPicture } from '@/core/picture/value-map';

export interface PrintedPicture {
  jpeg: Uint8Array;
  aspect: number;
}

const SIDE = 1200;

/** A picture as paper takes it. */
export async function printed({ width, height, data }: Picture): Promise<PrintedPicture> {
  const jpeg = await sharp(Buffer.from(data.buffer, data.byteOffset, data.byteLength), {
    raw: { width, height, channels: 4 },
  })
    .resize(SIDE, SIDE, { fit: 'inside', withoutEnlargement: true })
    .flatten({ background: '#ffffff' })
    .jpeg({ quality: 88, chromaSubsampling: '4:4:4' })
    .toBuffer();
  return { jpeg, aspect: width / height };
}

/** The picture of a study as the person framed it, and the same by value alone. */
export async function printedPair(
  working: Picture,
  development: Development,
): Promise<[PrintedPicture, PrintedPicture]> {
  const developed = develop(working, development);
  return [await printed(developed), await printed(greyPicture(developed))];
}

/** A stored thumbnail as paper takes it. */
export async function printedThumbnail(bytes: Uint8Array): Promise<PrintedPicture> {
  const { data, info } = await sharp(bytes)
    .flatten({ background: '#ffffff' })
    .jpeg({ quality: 90 })
    .toBuffer({ resolveWithObject: true });
  return { jpeg: data, aspect: info.width / info.height };
}
