'use client';

import Link from 'next/link';
import { useState } from 'react';
import { useStore } from 'zustand';
import { readClock, type ClockEvent } from '@/core/session/clock';
import type { Session } from '@/contracts/session';
import type { Study } from '@/contracts/study';
import { newId } from '@/study/edits';
import { addNote, addSnapshot, dropSnapshot, withClock } from '@/study/session-edits';
import { showError } from '@/ui/notices';
import { SavedAndUndo } from '@/ui/saved-and-undo';
import { useSessionStore } from '@/ui/sessions/use-session-store';
import { useSnapshots } from '@/ui/sessions/use-snapshots';
import { TopLine } from '@/ui/shell';
import { ClockButtons } from './clock-buttons';
import { QuickNotes } from './quick-notes';
import { SessionEnd } from './session-end';
import { SnapshotTools } from './snapshot-tools';
import { StageFigures } from './stage-figures';
import { StagePicture } from './stage-picture';
import { StageStrip } from './stage-strip';
import { useBell } from './use-bell';
import { useEaselKeys } from './use-easel-keys';
import { useNow } from '@/ui/use-now';
import { useWakeLock } from './use-wake-lock';

/** A session at the easel: one thing at a time, read from across the room. */
export function Easel({
  session,
  study,
  openedAt,
}: {
  session: Session;
  study: Study;
  openedAt: number;
}) {
  const store = useSessionStore(session);
  const { history, saveState, change, undo, redo } = useStore(store);
  const content = history.present;
  const [isRunning, setRunning] = useState(false);
  const tick = useNow(isRunning, openedAt);
  // While the clock stands nothing ticks: what was pressed since then is the later.
  const now = Math.max(tick, content.clock.at(-1)?.at ?? 0);
  const clock = readClock(content.clock, content.stages, content.minutes, now);
  if (isRunning !== (clock.phase === 'running')) setRunning(clock.phase === 'running');
  const stage = content.stages[clock.stage];
  const isAwake = useWakeLock(clock.phase === 'running');
  const bell = useBell(clock.ends, content.isMuted);
  const snapshots = useSnapshots(session.id, (id) => change((was) => dropSnapshot(was, id)));

  const press = (is: ClockEvent['is']) => change((was) => withClock(was, newId(), is, Date.now()));
  const at = clock.phase === 'ended' ? null : stage.id;
  const note = (words: string) =>
    change((was) => addNote(was, { id: newId(), at: Date.now(), stage: at, words }));
  const take = (blob: Blob, name: string, from: 'camera' | 'file') => {
    const id = newId();
    void snapshots
      .keep(id, blob, name)
      .then(() => change((was) => addSnapshot(was, { id, at: Date.now(), stage: at, from })))
      .catch(showError);
  };
  const mute = () => change((was) => ({ ...was, isMuted: !was.isMuted }));
  useEaselKeys(clock.phase, press, mute);
  const isEnded = clock.phase === 'ended';

  return (
    <div className="flex h-dvh flex-col bg-panel">
      <TopLine>
        <Link
          href={`/desk/${study.id}?step=check`}
          className="mr-2 flex h-10 shrink-0 items-center border-l pl-3 underline underline-offset-4"
        >
          Back to the Desk
        </Link>
        <h1 className="min-w-0 truncate font-serif text-xl leading-8">{content.title}</h1>
        {clock.phase === 'ready' && (
          <Link
            href={`/practice?session=${session.id}`}
            className="flex h-10 shrink-0 items-center px-2 underline underline-offset-4"
          >
            Warm up first
          </Link>
        )}
        <SavedAndUndo {...{ history, saveState, undo, redo }} />
      </TopLine>
      <main className="flex min-h-0 grow flex-col">
        <StageStrip stages={content.stages} clock={clock} />
        <div className="flex min-h-0 grow max-lg:flex-col">
          {isEnded ? (
            <SessionEnd
              content={content}
              clock={clock}
              change={change}
              checkHref={`/desk/${study.id}?step=check`}
            />
          ) : (
            <>
              <StageFigures stage={stage} clock={clock} count={content.stages.length} />
              <div className="flex min-h-0 grow items-center justify-center bg-surround p-4">
                <StagePicture study={study} shows={stage.shows} />
              </div>
            </>
          )}
        </div>
      </main>
      <footer className="shrink-0 border-t p-3">
        {!isAwake && clock.phase === 'running' && (
          <p className="mb-2 text-[15px]">
            This browser can’t keep the screen awake here: set the device so that it stays on.
          </p>
        )}
        {bell.needsTouch && clock.phase === 'running' && (
          <p role="status" className="mb-2 text-[15px] font-semibold">
            Touch the screen once, so that the bell may ring.
          </p>
        )}
        <div className="flex flex-wrap items-stretch gap-2">
          <ClockButtons
            clock={clock}
            isLastStage={clock.stage === content.stages.length - 1}
            isMuted={content.isMuted}
            onPress={press}
            onMute={mute}
          />
          <SnapshotTools
            snapshots={content.snapshots}
            stages={content.stages}
            sources={snapshots}
            onTake={take}
            onDrop={(id) => change((was) => dropSnapshot(was, id))}
          />
        </div>
        <QuickNotes notes={content.notes} onNote={note} />
      </footer>
    </div>
  );
}
