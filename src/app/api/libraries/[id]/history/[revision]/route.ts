import { notFound } from '@/server/errors';
import { getRevision } from '@/server/libraries/history';
import { answering, idOf } from '@/server/respond';

export const GET = answering(
  async (_: Request, context: { params: Promise<{ id: string; revision: string }> }) => {
    const revision = Number((await context.params).revision);
    if (!Number.isInteger(revision)) throw notFound('state of the library');
    return Response.json(await getRevision(await idOf(context, 'library'), revision));
  },
);
