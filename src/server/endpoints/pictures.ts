import { MAX_BYTES, type ImportEvent } from '@/contracts/picture-import';
import { readDemoPicture } from '../demo/story';
import { importPicture } from '../pictures/import-picture';
import { getBytes, thumbnailOf } from '../pictures/get-bytes';
import { refusal } from '../pictures/refusals';
import { refreshReading } from '../readings/refresh';
import { attachment, fileNameOf, inLines, readBody } from '../respond';
import type { Handlers } from './handler';

/** A response whose bytes never change, so that it may be cached for ever. */
export function forEver(
  bytes: Uint8Array,
  type: string,
  headers: Record<string, string> = {},
): Response {
  return new Response(new Uint8Array(bytes), {
    headers: {
      'content-type': type,
      'cache-control': 'private, max-age=31536000, immutable',
      'x-content-type-options': 'nosniff',
      ...headers,
    },
  });
}

export const pictureHandlers = {
  async importPicture({ request }) {
    const bytes = await readBody(request, MAX_BYTES, refusal.tooManyBytes);
    return inLines<ImportEvent>(
      request,
      async (say) => {
        const result = await importPicture(bytes, fileNameOf(request, 'picture'), {
          onStage: (stage) => say({ event: 'stage', stage }),
          signal: request.signal,
        });
        // The colours are read in the background: the study is there already.
        if (result.kind === 'new')
          void refreshReading(result.studyId).catch((error) => console.error(error));
        say(
          result.kind === 'new'
            ? { event: 'done', studyId: result.studyId }
            : { event: 'known', pictureId: result.pictureId, studies: result.studies },
        );
      },
      (error) => ({ event: 'refused', error }),
    );
  },

  async getPicture({ params: { id, rendition } }) {
    const { bytes, type, name } = await getBytes(id, rendition);
    return forEver(
      bytes,
      type,
      rendition === 'original' ? { 'content-disposition': attachment(name) } : {},
    );
  },

  getThumbnail: async ({ params }) => forEver(await thumbnailOf(params.hash), 'image/webp'),

  getSample: async () =>
    new Response(new Uint8Array(await readDemoPicture('lower-station.webp')), {
      headers: { 'content-type': 'image/webp' },
    }),
} satisfies Partial<Handlers>;
