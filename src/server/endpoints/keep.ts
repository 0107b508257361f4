import { Readable } from 'node:stream';
import type { ReadableStream as WebStream } from 'node:stream/web';
import { backup } from '../keep/backup';
import { checkStore } from '../keep/check';
import { backupName, listCopies, makeCopy, readCopy } from '../keep/copies';
import { getStoreState } from '../keep/store-state';
import { receive, restoreReceived } from '../keep/incoming';
import { attachment } from '../respond';
import { getSettings } from '../settings/settings';
import type { Handlers } from './handler';

function zip(stream: Readable, fileName: string, size?: number): Response {
  return new Response(Readable.toWeb(stream) as ReadableStream<Uint8Array>, {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': attachment(fileName),
      ...(size !== undefined && { 'content-length': String(size) }),
    },
  });
}

export const keepHandlers = {
  getBackup: async () => zip(await backup(), backupName()),
  receiveBackup: ({ request }) => receive(request.body as WebStream<Uint8Array> | null),
  restoreBackup: ({ body }) => restoreReceived(body),
  checkStore: () => checkStore(),
  getStoreState: () => getStoreState(),
  listCopies: () => listCopies(),
  makeCopy: async () => makeCopy((await getSettings()).copies.keep),
  async getCopy({ params: { name } }) {
    const { stream, size } = await readCopy(name);
    return zip(stream, name, size);
  },
} satisfies Partial<Handlers>;
