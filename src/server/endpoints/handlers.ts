import { Readable } from 'node:stream';
import type { ReadableStream as WebStream } from 'node:stream/web';
import type { DemoEvent } from '@/contracts/demo';
import { seedDemo } from '../demo/seed';
import { guessRecord, keepAttempt } from '../drills/attempts';
import { backup } from '../keep/backup';
import { checkStore } from '../keep/check';
import { backupName, listCopies, makeCopy, readCopy } from '../keep/copies';
import { receive, restoreReceived } from '../keep/incoming';
import { attachment, inLines } from '../respond';
import { getSettings, saveSettings } from '../settings/settings';
import { drawerHandlers } from './drawers';
import type { Handlers } from './handler';
import { libraryHandlers } from './libraries';
import { pictureHandlers } from './pictures';
import { studyHandlers } from './studies';

function zip(stream: Readable, fileName: string, size?: number): Response {
  return new Response(Readable.toWeb(stream) as ReadableStream<Uint8Array>, {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': attachment(fileName),
      ...(size !== undefined && { 'content-length': String(size) }),
    },
  });
}

const keepHandlers = {
  getBackup: async () => zip(await backup(), backupName()),
  receiveBackup: ({ request }) => receive(request.body as WebStream<Uint8Array> | null),
  restoreBackup: ({ body }) => restoreReceived(body),
  checkStore: () => checkStore(),
  listCopies: () => listCopies(),
  makeCopy: async () => makeCopy((await getSettings()).copies.keep),
  async getCopy({ params: { name } }) {
    const { stream, size } = await readCopy(name);
    return zip(stream, name, size);
  },
} satisfies Partial<Handlers>;

/** What the server does at each of its endpoints. */
export const handlers: Handlers = {
  ...studyHandlers,
  ...pictureHandlers,
  ...libraryHandlers,
  ...drawerHandlers,
  ...keepHandlers,
  guessRecord: () => guessRecord(),
  keepAttempt: ({ body }) => keepAttempt(body),
  saveSettings: ({ body }) => saveSettings(body),
  startDemo: async ({ request }) =>
    inLines<DemoEvent>(
      request,
      async (say) => {
        const studies = await seedDemo({
          onStep: (done, total, title) => say({ event: 'step', done, total, title }),
          signal: request.signal,
        });
        say({ event: 'done', studies });
      },
      (error) => ({ event: 'refused', error }),
    ),
};
