import { z } from 'zod';
import { notFound } from '@/server/errors';
import { getBytes, RENDITIONS } from '@/server/pictures/get-bytes';
import { answering, attachment, idOf } from '@/server/respond';

type Context = { params: Promise<{ id: string; rendition: string }> };
const renditions = z.enum(RENDITIONS);

export const GET = answering(async (_: Request, context: Context) => {
  const id = await idOf(context, 'picture');
  const rendition = renditions.safeParse((await context.params).rendition);
  if (!rendition.success) throw notFound('picture');
  const { bytes, type, name } = await getBytes(id, rendition.data);
  return new Response(new Uint8Array(bytes), {
    headers: {
      'content-type': type,
      'cache-control': 'private, max-age=31536000, immutable',
      'x-content-type-options': 'nosniff',
      ...(rendition.data === 'original' && { 'content-disposition': attachment(name) }),
    },
  });
});
