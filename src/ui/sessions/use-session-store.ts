'use client';

import { useEffect, useState } from 'react';
import { createStore, type StoreApi } from 'zustand';
import { endpoints } from '@/contracts/endpoints/endpoints';
import {
  readSession,
  sessionContentSchema,
  sessionSchema,
  type Session,
  type SessionContent,
} from '@/contracts/session';
import { call } from '../api';
import { documentState, type DocumentState } from '../sync/document-store';
import { keepSaved } from '../sync/keep-saved';
import { mergeOf } from '../sync/merge';

export type SessionStore = StoreApi<DocumentState<SessionContent>>;

const mergeSessions = mergeOf(sessionContentSchema);
const savedOf = ({ revision, content }: Session) => ({ revision, value: content });

/** A session's content with its history; it saves itself, and is kept in the browser while no server answers. */
export function useSessionStore(opened: Session): SessionStore {
  const [session] = useState(opened);
  const [store] = useState(() =>
    createStore<DocumentState<SessionContent>>((set) =>
      documentState(session.content, mergeSessions, set),
    ),
  );
  useEffect(
    () =>
      keepSaved<SessionContent>(store, {
        name: `session:${session.id}`,
        save: (basedOn, content, options) =>
          call(endpoints.saveSession, { id: session.id, body: { basedOn, content } }, options),
        fetch: async () => savedOf(await call(endpoints.getSession, { id: session.id })),
        start: savedOf(session),
        schema: sessionContentSchema,
        read: readSession,
        merge: mergeSessions,
        newer: sessionSchema.transform(savedOf),
      }),
    [session, store],
  );
  return store;
}
