'use client';

import { useQuery } from '@tanstack/react-query';
import {
  createContext,
  useContext,
  useLayoutEffect,
  useMemo,
  useState,
  type ReactNode,
} from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { Session } from '@/contracts/session';
import { dropSnapshot } from '@/study/session-edits';
import { queryFor } from '@/ui/queries';
import { useSessionStore } from '@/ui/sessions/use-session-store';
import { useSnapshots } from '@/ui/sessions/use-snapshots';
import { useDesk, useStepView } from '../../desk-store';
import { useStudyId } from '../../facts';
import { checkView } from './check-view';
import type { OpenSession } from './open-session';
import { useComparison, type Comparing } from './use-comparison';

interface CheckRoomState {
  /** Null until they are fetched. */
  sessions: readonly Session[] | null;
  open: OpenSession | null;
  /** Finding that is pointed at, by its id. */
  pointed: string | null;
  point: (id: string | null) => void;
}

const RoomContext = createContext<(CheckRoomState & { comparing: Comparing }) | null>(null);

export function useCheckRoom() {
  const room = useContext(RoomContext);
  if (!room) throw new Error('useCheckRoom outside the step');
  return room;
}

/** What the panel and the pictures of the step share: the sessions of the study, the open one, and its comparison. */
export function CheckRoom({ children }: { children: ReactNode }) {
  const studyId = useStudyId();
  const isHere = useDesk((state) => state.view.step === 'check');
  const [{ session: chosen }] = useStepView(checkView);
  const { data: sessions } = useQuery({
    ...queryFor(endpoints.listStudySessions, { id: studyId }),
    enabled: isHere,
  });
  const [open, setOpen] = useState<OpenSession | null>(null);
  const [pointed, point] = useState<string | null>(null);
  const session = sessions?.find(({ id }) => id === chosen) ?? sessions?.[0];
  const comparing = useComparison(isHere ? open : null);
  const room = useMemo(
    () => ({ sessions: sessions ?? null, open, pointed, point, comparing }),
    [sessions, open, pointed, comparing],
  );
  return (
    <RoomContext.Provider value={room}>
      {session && <Holder key={session.id} session={session} onOpen={setOpen} />}
      {children}
    </RoomContext.Provider>
  );
}

/** Holds the session's document while it is open. */
function Holder({
  session,
  onOpen,
}: {
  session: Session;
  onOpen: (open: OpenSession | null) => void;
}) {
  const store = useSessionStore(session);
  const snapshots = useSnapshots(session.id, (id) =>
    store.getState().change((was) => dropSnapshot(was, id)),
  );
  const [first] = useState(session);
  useLayoutEffect(() => {
    onOpen({ session: first, store, snapshots });
    return () => onOpen(null);
  }, [onOpen, first, store, snapshots]);
  return null;
}
