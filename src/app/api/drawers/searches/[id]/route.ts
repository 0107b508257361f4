import { forgetSearch } from '@/server/libraries/saved-searches';
import { answering, idOf } from '@/server/respond';

export const DELETE = answering(
  async (_: Request, context: { params: Promise<{ id: string }> }) => {
    await forgetSearch(await idOf(context, 'search'));
    return new Response(null, { status: 204 });
  },
);
