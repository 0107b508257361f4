import { readDemoPicture } from '@/server/demo/story';
import { answering } from '@/server/respond';

/** A picture to try the first step with. */
export const GET = answering(
  async () =>
    new Response(new Uint8Array(await readDemoPicture('lower-station.webp')), {
      headers: { 'content-type': 'image/webp' },
    }),
);
