'use client';

import { useStore } from 'zustand';
import type { Session, SessionCheck, SessionContent, SessionSnapshot } from '@/contracts/session';
import type { SessionStore } from '@/ui/sessions/use-session-store';
import type { Snapshots } from '@/ui/sessions/use-snapshots';
import { useStepView } from '../../desk-store';
import { checkView } from './check-view';

/** A session that is open in the step, with its pictures. */
export interface OpenSession {
  session: Session;
  store: SessionStore;
  snapshots: Snapshots;
}

const NOTHING = { history: null };
const NO_STORE = {
  getState: () => NOTHING,
  getInitialState: () => NOTHING,
  subscribe: () => () => undefined,
} as unknown as SessionStore;

export interface OpenCheck {
  /** Null while no session is open. */
  content: SessionContent | null;
  /** The snapshot that is looked at: the chosen one, else the last. */
  snapshot: SessionSnapshot | null;
  /** Its newest check against what is chosen. */
  check: SessionCheck | null;
}

/** What is looked at in the open session. */
export function useOpenCheck(open: OpenSession | null): OpenCheck {
  const [{ shot, against }] = useStepView(checkView);
  const content = useStore(open?.store ?? NO_STORE, (state) => state.history?.present ?? null);
  const snapshot =
    content?.snapshots.find(({ id }) => id === shot) ?? content?.snapshots.at(-1) ?? null;
  const check =
    content?.checks.findLast(
      (one) => one.snapshot === snapshot?.id && one.against.kind === against,
    ) ?? null;
  return { content, snapshot, check };
}
