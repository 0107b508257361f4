import type { BringInEvent } from '@/contracts/bring-in';
import { MAX_BYTES } from '@/contracts/bring-in';
import { bringIn } from '@/server/pictures/bring-in';
import { refusal } from '@/server/pictures/refusals';
import { refreshReading } from '@/server/readings/refresh';
import { answering, inLines, readBody } from '@/server/respond';

/** Takes a picture as the raw body; answers one JSON line for each stage and one for the outcome. */
export const POST = answering(async (request: Request) => {
  const bytes = await readBody(request, MAX_BYTES, refusal.tooManyBytes);
  const name = decodeURIComponent(request.headers.get('x-file-name') ?? 'picture');
  return inLines<BringInEvent>(
    request,
    async (say) => {
      const result = await bringIn(bytes, name, {
        onStage: (stage) => say({ event: 'stage', stage }),
        signal: request.signal,
      });
      // The colours are read once the study is there: nobody waits for them.
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
});
