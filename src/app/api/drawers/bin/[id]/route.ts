import { removeForGood } from '@/server/libraries/bin';
import { answering, idOf } from '@/server/respond';

export const DELETE = answering(
  async (_: Request, context: { params: Promise<{ id: string }> }) => {
    await removeForGood(await idOf(context, 'library'));
    return new Response(null, { status: 204 });
  },
);
