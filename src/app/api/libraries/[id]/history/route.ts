import { listHistory } from '@/server/libraries/history';
import { answering, idOf } from '@/server/respond';

export const GET = answering(async (_: Request, context: { params: Promise<{ id: string }> }) =>
  Response.json(await listHistory(await idOf(context, 'library'))),
);
