import type { PictureEvent } from '@/contracts/picture-events';
import type { OnStep } from '../pictures/full-size';
import { makeOriginal } from '../pictures/make-original';
import { pushOriginal } from '../pictures/push-original';
import { studyPlates } from '../print/plates';
import { printStudy } from '../print/prints';
import { download, inLines } from '../respond';
import { getSettings } from '../settings/settings';
import { searchStudies } from '../studies/search-studies';
import {
  createStudy,
  deleteStudy,
  getStudy,
  renameStudy,
  restoreStudy,
  saveStudy,
} from '../studies/studies';
import { listStudyHistory, studyRevisions } from '../studies/study-history';
import type { Handlers } from './handler';

/** Bytes of a PNG that go into one line. */
const PIECE = 384 * 1024;

export const studyHandlers = {
  async searchStudies({ query: { offset, limit, ...search } }) {
    const { wheel } = await getSettings();
    return searchStudies(search, wheel, offset, limit);
  },
  createStudy: async ({ body }) => ({ id: await createStudy(body.pictureId) }),
  getStudy: ({ params }) => getStudy(params.id),
  saveStudy: ({ params, body }) => saveStudy(params.id, body.basedOn, body.document),
  renameStudy: ({ params, body }) => renameStudy(params.id, body.title),
  deleteStudy: ({ params }) => deleteStudy(params.id),
  restoreStudy: ({ params }) => restoreStudy(params.id),
  listStudyHistory: ({ params }) => listStudyHistory(params.id),
  getStudyRevision: ({ params }) => studyRevisions.get(params.id, params.revision),

  async printStudy({ params, query }) {
    const { bytes, fileName } = await printStudy(params.id, query.paper);
    return download(bytes, 'application/pdf', fileName);
  },

  printPlates: async ({ params, body, request }) => {
    const { bytes, fileName } = await studyPlates(params.id, body, request.signal);
    return download(bytes, 'application/zip', fileName);
  },

  pushStudy: async ({ params, body, request }) =>
    pictureInLines(request, (onStep) => pushOriginal(params.id, body, onStep, request.signal)),

  makeStudy: async ({ params, body, request }) =>
    pictureInLines(request, (onStep) => makeOriginal(params.id, body, onStep, request.signal)),
} satisfies Partial<Handlers>;

/** A picture that takes its time: each step, then the PNG piece by piece. */
function pictureInLines(
  request: Request,
  make: (onStep: OnStep) => Promise<{ png: Uint8Array; width: number; height: number }>,
): Response {
  return inLines<PictureEvent>(
    request,
    async (say) => {
      const { png, width, height } = await make((step, share) =>
        say({ event: 'step', step, share }),
      );
      for (let at = 0; at < png.length; at += PIECE)
        say({
          event: 'piece',
          base64: Buffer.from(png.subarray(at, at + PIECE)).toString('base64'),
        });
      say({ event: 'done', width, height });
    },
    (error) => ({ event: 'refused', error }),
  );
}
