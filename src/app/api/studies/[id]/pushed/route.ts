import { pushRequestSchema, type PushEvent } from '@/contracts/push-request';
import { pushOriginal } from '@/server/pictures/push-original';
import { answering, idOf, inLines } from '@/server/respond';

type Context = { params: Promise<{ id: string }> };

/** Bytes of a PNG that go into one line. */
const PIECE = 384 * 1024;

/** Pushes the study's picture at its own size; answers one JSON line for each step and each piece of the PNG. */
export const POST = answering(async (request: Request, context: Context) => {
  const id = await idOf(context, 'study');
  const order = pushRequestSchema.parse(await request.json());
  return inLines<PushEvent>(
    request,
    async (say) => {
      const { png, width, height } = await pushOriginal(
        id,
        order,
        (step, share) => say({ event: 'step', step, share }),
        request.signal,
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
});
