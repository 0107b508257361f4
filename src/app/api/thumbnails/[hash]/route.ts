import { thumbnailOf } from '@/server/pictures/get-bytes';
import { answering } from '@/server/respond';

/** The thumbnail of a picture known by its content. */
export const GET = answering(async (_: Request, context: { params: Promise<{ hash: string }> }) => {
  const bytes = await thumbnailOf((await context.params).hash);
  return new Response(new Uint8Array(bytes), {
    headers: {
      'content-type': 'image/webp',
      'cache-control': 'private, max-age=31536000, immutable',
      'x-content-type-options': 'nosniff',
    },
  });
});
