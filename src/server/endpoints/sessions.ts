import { MAX_BYTES } from '@/contracts/picture-import';
import { refusal } from '../pictures/refusals';
import { attachment, fileNameOf, readBody } from '../respond';
import { listSessionBin } from '../sessions/bin';
import {
  beginSession,
  deleteSession,
  getSession,
  loggedSessions,
  restoreSession,
  saveSession,
  sessionsOf,
} from '../sessions/sessions';
import { keepSnapshot, snapshotBytes } from '../sessions/snapshots';
import type { Handlers } from './handler';
import { forEver } from './pictures';

export const sessionHandlers = {
  listSessions: () => loggedSessions(),
  listStudySessions: ({ params }) => sessionsOf(params.id),
  beginSession: async ({ body }) => ({ id: await beginSession(body) }),
  getSession: ({ params }) => getSession(params.id),
  saveSession: ({ params, body }) => saveSession(params.id, body.basedOn, body.content),
  deleteSession: ({ params }) => deleteSession(params.id),
  restoreSession: ({ params }) => restoreSession(params.id),
  listSessionBin: () => listSessionBin(),

  keepSnapshot: async ({ params, request }) =>
    keepSnapshot(
      params.id,
      params.snapshot,
      await readBody(request, MAX_BYTES, refusal.tooManyBytes),
      fileNameOf(request, 'snapshot'),
      request.signal,
    ),

  async getSnapshot({ params: { id, snapshot, rendition } }) {
    const { bytes, type, name } = await snapshotBytes(id, snapshot, rendition);
    return forEver(
      bytes,
      type,
      rendition === 'original' ? { 'content-disposition': attachment(name) } : {},
    );
  },
} satisfies Partial<Handlers>;
