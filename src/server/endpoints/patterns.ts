import { MAX_DRAWING_BYTES } from '@/contracts/pattern-drawing';
import { notFound } from '../errors';
import { listPatternBin } from '../patterns/bin';
import { tooManyBytes } from '../patterns/drawings';
import { patternSheet, patternZip } from '../patterns/export-pattern';
import { listPatternHistory, patternRevisions } from '../patterns/pattern-history';
import {
  deletePattern,
  drawingOf,
  fillPattern,
  getPattern,
  importPattern,
  listPatterns,
  restorePattern,
  safeSvg,
  savePattern,
} from '../patterns/patterns';
import { download, fileNameOf, readBody } from '../respond';
import type { Handlers } from './handler';

/** Shown by the browser as a picture, and nothing of it runs or is fetched even on a page of its own. */
const DRAWING_HEADERS = {
  'content-type': 'image/svg+xml; charset=utf-8',
  'content-security-policy':
    "default-src 'none'; style-src 'unsafe-inline'; img-src data:; sandbox",
  'x-content-type-options': 'nosniff',
  'cache-control': 'private, max-age=31536000, immutable',
};

export const patternHandlers = {
  listPatterns: () => listPatterns(),
  importPattern: async ({ request }) => ({
    id: await importPattern(
      await readBody(request, MAX_DRAWING_BYTES, tooManyBytes),
      fileNameOf(request, 'pattern'),
      { signal: request.signal },
    ),
  }),
  getPattern: ({ params }) => getPattern(params.id),
  savePattern: ({ params, body }) => savePattern(params.id, body.basedOn, body.content),
  deletePattern: ({ params }) => deletePattern(params.id),
  restorePattern: ({ params }) => restorePattern(params.id),
  listPatternHistory: ({ params }) => listPatternHistory(params.id),
  getPatternRevision: ({ params }) => patternRevisions.get(params.id, params.revision),

  getDrawing: async ({ params }) =>
    new Response(await safeSvg(params.id, params.hash), { headers: DRAWING_HEADERS }),

  async getTraced({ params }) {
    const { original } = await drawingOf(params.id, params.hash);
    if (original === null) throw notFound('picture');
    return download(new Uint8Array(Buffer.from(original, 'base64')), 'image/png', 'pattern.png');
  },

  async fillRegions({ params, body }) {
    const { hash, facts } = await fillPattern(params.id, body.drawing, body.gap, body.repeats);
    return { hash, facts };
  },

  async printColourways({ params, body, request }) {
    const { bytes, fileName } = await patternSheet(params.id, body.ids, body.paper, request.signal);
    return download(bytes, 'application/pdf', fileName);
  },

  async exportColourways({ params, body, request }) {
    const { bytes, fileName } = await patternZip(
      params.id,
      body.ids,
      body.paper,
      body.side,
      request.signal,
    );
    return download(bytes, 'application/zip', fileName);
  },

  listPatternBin: () => listPatternBin(),
} satisfies Partial<Handlers>;
