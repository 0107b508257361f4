'use client';

import { format } from 'date-fns';
import { Redo2, Undo2 } from 'lucide-react';
import Link from 'next/link';
import { useStore } from 'zustand';
import type { Session } from '@/contracts/session';
import { Button } from '@/ui/button';
import { Select } from '@/ui/select';
import { useStepView } from '../../desk-store';
import { checkView } from './check-view';
import type { OpenSession } from './open-session';

/** Which of the study's sessions is looked at, and the way to its easel. */
export function SessionChoice({ sessions }: { sessions: readonly Session[] }) {
  const [{ session }, look] = useStepView(checkView);
  const chosen = sessions.find(({ id }) => id === session) ?? sessions[0];
  return (
    <div className="mb-2 flex items-center gap-1">
      <Select
        label="Session"
        wide
        value={chosen.id}
        options={sessions.map(({ id, content, createdAt }) => ({
          value: id,
          title: `${format(content.clock[0]?.at ?? new Date(createdAt), 'd MMM yyyy')}, ${content.aim}, ${content.medium}`,
        }))}
        onChange={(id) => look({ session: id, shot: '' })}
      />
      <Link
        href={`/easel/${chosen.id}`}
        className="flex min-h-10 items-center px-1 whitespace-nowrap underline underline-offset-4"
      >
        Its easel
      </Link>
    </div>
  );
}

/** The ways back and forward in a session. Its keys are the study's: it has buttons alone. */
export function SessionUndo({ open }: { open: OpenSession }) {
  const { history, undo, redo } = useStore(open.store);
  return (
    <>
      <Button
        weight="quiet"
        className="px-1"
        aria-label="Undo in the session"
        disabled={history.past.length === 0}
        onClick={undo}
      >
        <Undo2 size={18} aria-hidden />
      </Button>
      <Button
        weight="quiet"
        className="px-1"
        aria-label="Redo in the session"
        disabled={history.future.length === 0}
        onClick={redo}
      >
        <Redo2 size={18} aria-hidden />
      </Button>
    </>
  );
}
