import { restoreOrderSchema } from '@/contracts/keep';
import { restoreReceived } from '@/server/keep/incoming';
import { answering } from '@/server/respond';

export const POST = answering(async (request: Request) =>
  Response.json(await restoreReceived(restoreOrderSchema.parse(await request.json()))),
);
