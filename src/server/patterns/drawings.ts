import { createHash } from 'node:crypto';
import sharp from 'sharp';
import { readKeyed } from '@/core/pattern/keyed-rendering';
import { MAX_PAINTS } from '@/contracts/pattern';
import {
  MAX_DRAWING_BYTES,
  MAX_TRACED_PIXELS,
  type DrawingFacts,
} from '@/contracts/pattern-drawing';
import type { ReadKeyedDrawing, RefusedDrawing } from '@/workers/server/drawing-job';
import { runDrawing } from '@/workers/server/pool';
import { ServiceError } from '../errors';
import { rendered, READ_SIDE } from './render-drawing';

/** A drawing as it is stored. */
export interface StoredDrawing {
  hash: string;
  svg: string;
  /** The picture that it was traced from, in base64. */
  original: string | null;
  facts: DrawingFacts;
}

const NOTHING_KEPT = 'Nothing was stored.';
const refused = (code: string, sentence: string, status = 422) =>
  new ServiceError(code, `${sentence} ${NOTHING_KEPT}`, status);

export const tooManyBytes = () =>
  refused('too-many-bytes', `The file is larger than ${MAX_DRAWING_BYTES / 1024 / 1024} MB.`, 413);

const isPng = (bytes: Uint8Array) =>
  Buffer.from(bytes.subarray(0, 8)).equals(Buffer.from([137, 80, 78, 71, 13, 10, 26, 10]));

/** A drawing from the bytes of a file. Throws a ServiceError in a sentence for what can't be one. */
export async function drawingFrom(bytes: Uint8Array): Promise<StoredDrawing> {
  if (bytes.length === 0) throw refused('empty', 'The file is empty.', 400);
  if (bytes.length > MAX_DRAWING_BYTES) throw tooManyBytes();
  return isPng(bytes) ? fromPng(bytes) : fromSvg(bytes);
}

async function fromSvg(bytes: Uint8Array): Promise<StoredDrawing> {
  const svg = textOf(bytes);
  if (!/<(?:[\w.-]+:)?svg[\s>/]/.test(svg))
    throw refused(
      'not-a-drawing',
      'This is neither a drawing (SVG) nor a picture of flat colours (PNG).',
      415,
    );
  return { hash: hashOf(svg), svg, original: null, facts: await factsOf(svg, 'svg') };
}

function textOf(bytes: Uint8Array): string {
  try {
    return new TextDecoder('utf-8', { fatal: true, ignoreBOM: true }).decode(bytes);
  } catch {
    throw refused(
      'not-text',
      'The file is not UTF-8 text. Save the drawing again as plain SVG.',
      415,
    );
  }
}

async function fromPng(bytes: Uint8Array): Promise<StoredDrawing> {
  const { data, info } = await decoded(bytes);
  const picture = {
    width: info.width,
    height: info.height,
    data: new Uint8ClampedArray(data.buffer, data.byteOffset, data.byteLength),
  };
  const svg = await inWords(runDrawing({ kind: 'trace', picture }));
  return {
    hash: hashOf(svg),
    svg,
    original: Buffer.from(bytes).toString('base64'),
    facts: await factsOf(svg, 'png'),
  };
}

async function decoded(bytes: Uint8Array) {
  try {
    const { width, height } = await sharp(bytes).metadata();
    if (width * height > MAX_TRACED_PIXELS)
      throw refused(
        'too-many-pixels',
        `The picture is ${width} × ${height} pixels; up to ${MAX_TRACED_PIXELS / 1e6} million can be traced.`,
        413,
      );
    return await sharp(bytes, { failOn: 'truncated' })
      .toColourspace('srgb')
      .ensureAlpha()
      .raw({ depth: 'uchar' })
      .toBuffer({ resolveWithObject: true });
  } catch (error) {
    if (error instanceof ServiceError) throw error;
    throw refused('broken', 'The picture is cut short or damaged.');
  }
}

/** What a drawing is, read off its text and a rendering in key colours. */
export async function factsOf(svg: string, kind: DrawingFacts['kind']): Promise<DrawingFacts> {
  const read = await inWords(runDrawing({ kind: 'read', text: svg }));
  if (read.hexes.length === 0)
    throw refused('unpainted', 'Nothing in the drawing has a colour of its own.');
  if (read.hexes.length > MAX_PAINTS)
    throw refused(
      'too-many-colours',
      `The drawing has ${read.hexes.length} colours; up to ${MAX_PAINTS} can be given others.`,
    );
  const reading = await readingOf(read);
  return {
    kind,
    width: read.size.width,
    height: read.size.height,
    shapes: read.shapes,
    areas: reading && [...reading.areas],
    touching: reading?.touching.slice(0, MAX_PAINTS * 40) ?? [],
    ground: reading?.ground ?? null,
    bare: reading?.bare ?? 0,
    leftOut: read.leftOut.map((what) => what.slice(0, 300)),
    regions: null,
  };
}

/** A drawing's text without what could run or be fetched. */
export const withoutUnsafe = async (svg: string): Promise<string> =>
  (await inWords(runDrawing({ kind: 'read', text: svg }), 'Nothing was changed.')).safe;

/** Null where it can't be drawn: then colours count by how often they are written. */
async function readingOf({ keyed, size }: ReadKeyedDrawing) {
  if (keyed === null) return null;
  try {
    return readKeyed(await rendered(keyed.text, size, READ_SIDE), keyed.units);
  } catch {
    return null;
  }
}

/** Pixels along the longer side that lines are read on. */
const LINE_SIDE = 1400;

/** A drawing of lines with its regions filled, as a drawing of its own. */
export async function filledDrawing(
  { svg, original, facts }: StoredDrawing,
  gap: number,
  repeats: boolean,
): Promise<StoredDrawing> {
  const { safe, size } = await inWords(runDrawing({ kind: 'read', text: svg }));
  const ink = await rendered(safe, size, LINE_SIDE).catch(() => {
    throw new ServiceError(
      'not-drawn',
      'The drawing can’t be drawn, so its lines can’t be read. Nothing was changed.',
      422,
    );
  });
  const { text, count, bridged } = await inWords(
    runDrawing({ kind: 'fill', text: svg, ink, gap, repeats }),
    'Nothing was changed.',
  );
  const filled = await factsOf(text, facts.kind);
  return {
    hash: hashOf(text),
    svg: text,
    original,
    facts: { ...filled, regions: { count, bridged: bridged.slice(0, 200) } },
  };
}

/** What a worker made of a drawing; what it refuses is thrown as a sentence, with what was kept. */
export async function inWords<T>(
  result: Promise<T | RefusedDrawing>,
  kept = NOTHING_KEPT,
): Promise<T> {
  const made = await result.catch((error: Error & { code?: string }) => {
    if (error.name === 'AbortError' || error.code === 'ERR_WORKER_OUT_OF_MEMORY')
      throw new ServiceError(
        'too-much',
        `The drawing takes too long or too much memory to read. ${kept}`,
        422,
      );
    throw error;
  });
  if (typeof made !== 'object' || made === null || !('refused' in made)) return made as T;
  const sentence = made.refused.charAt(0).toUpperCase() + made.refused.slice(1);
  throw new ServiceError('unreadable', `${sentence} ${kept}`, 422);
}

const hashOf = (svg: string) => createHash('sha256').update(svg).digest('hex');
