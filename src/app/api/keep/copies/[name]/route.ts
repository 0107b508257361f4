import { Readable } from 'node:stream';
import { readCopy } from '@/server/keep/copies';
import { answering, attachment } from '@/server/respond';

export const GET = answering(async (_: Request, context: { params: Promise<{ name: string }> }) => {
  const name = decodeURIComponent((await context.params).name);
  const { stream, size } = await readCopy(name);
  return new Response(Readable.toWeb(stream) as ReadableStream<Uint8Array>, {
    headers: {
      'content-type': 'application/zip',
      'content-length': String(size),
      'content-disposition': attachment(name),
    },
  });
});
