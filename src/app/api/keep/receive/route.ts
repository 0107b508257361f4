import type { ReadableStream as WebStream } from 'node:stream/web';
import { receive } from '@/server/keep/incoming';
import { answering } from '@/server/respond';

/** Takes a backup in and says what it holds; nothing is restored. */
export const POST = answering(async (request: Request) =>
  Response.json(await receive(request.body as WebStream<Uint8Array> | null)),
);
