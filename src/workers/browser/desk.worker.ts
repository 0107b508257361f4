import { expose, transfer } from 'comlink';
import { pushable } from '@/core/amplify/pushed';
import { develop, type Development } from '@/core/picture/develop';
import { copyPicture, pictureOf, type Picture } from '@/core/picture/picture';
import { framedStrokes } from '@/core/picture/strokes';
import { deskQuerySchema } from '@/contracts/desk-query/desk-query';
import { answerQuery } from './answers';
import { deriveImages, type DerivedImages } from './derived-images';

/**
 * The Desk's worker. It holds the working copy and what was developed from it; every query is answered
 * from these. Pictures are answered by transfer.
 */
let working: Picture | null = null;
let images: DerivedImages | null = null;
let jpegQuality: number | null = null;

function handOver<T>(answer: T): T {
  const { data } = (answer ?? {}) as { data?: unknown };
  return data instanceof Uint8ClampedArray
    ? transfer(answer, [data.buffer as ArrayBuffer])
    : answer;
}

const desk = {
  /**
   * Fetches and decodes a working copy: the server's pixels, to the last digit. `quality` is that of the
   * JPEG it was made of, if it was one.
   */
  async load(url: string, quality: number | null): Promise<void> {
    const response = await fetch(url);
    if (!response.ok) throw new Error(`the working copy could not be fetched (${response.status})`);
    const bitmap = await createImageBitmap(await response.blob(), {
      colorSpaceConversion: 'none',
      premultiplyAlpha: 'none',
    });
    const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
    const context = canvas.getContext('2d', { willReadFrequently: true, colorSpace: 'srgb' });
    if (!context) throw new Error('this browser can’t draw off screen');
    context.drawImage(bitmap, 0, 0);
    const { width, height, data } = context.getImageData(0, 0, bitmap.width, bitmap.height);
    bitmap.close();
    jpegQuality = quality;
    working = pictureOf(width, height, data as Uint8ClampedArray);
  },

  /** Develops the working copy; all later queries are answered from what comes of it. */
  develop(development: Development): Picture {
    if (!working) throw new Error('no picture loaded');
    const original = working;
    const picture = develop(original, development);
    images = deriveImages(
      picture,
      (strokes) => framedStrokes(strokes, development.framing, original, picture),
      (developed, blocks) => pushable(developed, jpegQuality, blocks),
    );
    return handOver(copyPicture(images.picture));
  },

  /** Answers a query. Throws where it is not as agreed, or before there is a picture. */
  ask(query: unknown): unknown {
    const parsed = deskQuerySchema.parse(query);
    if (!working || !images) throw new Error('no picture loaded');
    return handOver(answerQuery(parsed, { working, images }));
  },
};

export type DeskWorker = typeof desk;

expose(desk);
