import type { BringInEvent } from '@/contracts/bring-in';
import { MOST_BYTES } from '@/contracts/bring-in';
import { bringIn } from '@/server/pictures/bring-in';
import { faultOf } from '@/server/errors';
import { refusal } from '@/server/pictures/refusals';
import { answering, readBody } from '@/server/respond';

/** Takes a picture as the raw body; answers one JSON line for each stage and one for the outcome. */
export const POST = answering(async (request: Request) => {
  const bytes = await readBody(request, MOST_BYTES, refusal.tooManyBytes);
  const name = decodeURIComponent(request.headers.get('x-file-name') ?? 'picture');
  const encoder = new TextEncoder();
  const stream = new ReadableStream<Uint8Array>({
    async start(controller) {
      const say = (event: BringInEvent) => {
        if (!request.signal.aborted)
          controller.enqueue(encoder.encode(JSON.stringify(event) + '\n'));
      };
      try {
        const result = await bringIn(
          bytes,
          name,
          (stage) => say({ event: 'stage', stage }),
          request.signal,
        );
        say(
          result.kind === 'new'
            ? { event: 'done', studyId: result.studyId }
            : { event: 'known', pictureId: result.pictureId, studies: result.studies },
        );
      } catch (error) {
        if (!request.signal.aborted) say({ event: 'refused', error: faultOf(error) });
      }
      if (!request.signal.aborted) controller.close();
    },
  });
  return new Response(stream, { headers: { 'content-type': 'application/x-ndjson' } });
});
