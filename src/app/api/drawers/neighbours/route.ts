import { z } from 'zod';
import { oklabSchema } from '@/contracts/colour';
import { neighboursOf } from '@/server/libraries/neighbours';
import { answering } from '@/server/respond';

const bodySchema = z.object({
  libraryId: z.uuid(),
  swatchId: z.string().max(40),
  colour: oklabSchema,
});

export const POST = answering(async (request: Request) => {
  const { libraryId, swatchId, colour } = bodySchema.parse(await request.json());
  return Response.json(await neighboursOf(libraryId, swatchId, colour));
});
