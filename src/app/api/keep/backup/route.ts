import { Readable } from 'node:stream';
import { backup } from '@/server/keep/backup';
import { backupName } from '@/server/keep/copies';
import { answering, attachment } from '@/server/respond';

export const GET = answering(
  async () =>
    new Response(Readable.toWeb(await backup()) as ReadableStream<Uint8Array>, {
      headers: {
        'content-type': 'application/zip',
        'content-disposition': attachment(backupName()),
      },
    }),
);
