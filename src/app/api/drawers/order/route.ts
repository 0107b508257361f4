import { z } from 'zod';
import { placeBefore } from '@/server/libraries/order';
import { answering } from '@/server/respond';

const bodySchema = z.object({ id: z.uuid(), before: z.uuid().nullable() });

export const PUT = answering(async (request: Request) => {
  const { id, before } = bodySchema.parse(await request.json());
  await placeBefore(id, before);
  return new Response(null, { status: 204 });
});
