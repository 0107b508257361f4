import { expose, transfer } from 'comlink';
import { pushable } from '@/core/amplify/pushed';
import { develop, type Development } from '@/core/picture/develop';
import { copyPicture, type Picture } from '@/core/picture/picture';
import { framedStrokes } from '@/core/picture/strokes';
import { deskQuerySchema } from '@/contracts/desk-query/desk-query';
import { answerQuery } from './answers';
import { fetchPicture } from './fetch-picture';
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
   * Fetches and decodes a working copy. `quality` is that of the JPEG it was made of, if it was one.
   */
  async load(url: string, quality: number | null): Promise<void> {
    working = await fetchPicture(url);
    jpegQuality = quality;
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
