import { z } from 'zod';
import { setFavourite } from '@/server/libraries/order';
import { answering, idOf } from '@/server/respond';

const bodySchema = z.object({ favourite: z.boolean() });

export const PUT = answering(
  async (request: Request, context: { params: Promise<{ id: string }> }) => {
    const { favourite } = bodySchema.parse(await request.json());
    await setFavourite(await idOf(context, 'library'), favourite);
    return new Response(null, { status: 204 });
  },
);
