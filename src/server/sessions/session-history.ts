import { readSession, storedSession, type SessionContent } from '@/contracts/session';
import { sessionRevision } from '../db/session-schema';
import { revisionsIn } from '../documents/revisions';

export const sessionRevisions = revisionsIn<SessionContent>(sessionRevision, 'session', {
  write: storedSession,
  read: readSession,
});
