'use client';

import { endpoints } from '@/contracts/endpoints/endpoints';
import {
  readSession,
  sessionContentSchema,
  sessionSchema,
  type Session,
  type SessionContent,
} from '@/contracts/session';
import { call } from '../api';
import { mergeOf } from '../sync/merge';
import { savedOf, useSavedDocument, type SavedDocumentStore } from '../sync/use-saved-document';

export type SessionStore = SavedDocumentStore<SessionContent>;

const merge = mergeOf(sessionContentSchema);

/** A session's content as a document that saves itself. */
export const useSessionStore = (opened: Session): SessionStore =>
  useSavedDocument<SessionContent>(opened, {
    name: `session:${opened.id}`,
    save: (basedOn, content, options) =>
      call(endpoints.saveSession, { id: opened.id, body: { basedOn, content } }, options),
    fetch: async () => savedOf(await call(endpoints.getSession, { id: opened.id })),
    schema: sessionContentSchema,
    read: readSession,
    merge,
    newer: sessionSchema.transform((session) => savedOf(session)),
  });
