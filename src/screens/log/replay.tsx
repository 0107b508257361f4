'use client';

import { format } from 'date-fns';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { stageNamed } from '@/study/session-edits';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { useMedia } from '@/ui/use-media';
import type { LogEntry } from './log-entries';

/** Milliseconds that each snapshot stays. */
const STAYS = 1600;

/** A session's snapshots one after the other, with what was noted by then. */
export function Replay({ entry, onClose }: { entry: LogEntry; onClose: () => void }) {
  const { session, check } = entry;
  const { content } = session;
  const shots = content.snapshots.toSorted((one, other) => one.at - other.at);
  const [at, setAt] = useState(0);
  const isReduced = useMedia('(prefers-reduced-motion: reduce)');
  const [isOn, setOn] = useState(false);
  const goes = isOn && shots.length > 1;
  useEffect(() => {
    if (!goes) return;
    const timer = setInterval(() => setAt((was) => (was + 1) % shots.length), STAYS);
    return () => clearInterval(timer);
  }, [goes, shots.length]);
  const shot = shots[Math.min(at, shots.length - 1)];
  const notes = content.notes.filter(
    (note) => !shot || note.at <= shot.at || at === shots.length - 1,
  );
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={content.title}
      about={`${format(entry.at, 'd MMMM yyyy')}, ${content.aim}, ${content.medium}`}
    >
      {shot ? (
        <>
          <img
            src={hrefOf(endpoints.getSnapshot, {
              id: session.id,
              snapshot: shot.id,
              rendition: 'working',
            })}
            alt={`Snapshot ${at + 1} of ${shots.length}: ${stageNamed(content, shot.stage)}`}
            className="mx-auto h-[46vh] max-w-full object-contain"
          />
          <div className="my-2 flex items-center gap-2">
            <Button disabled={at === 0} onClick={() => setAt(at - 1)}>
              Earlier
            </Button>
            <Button disabled={at >= shots.length - 1} onClick={() => setAt(at + 1)}>
              Later
            </Button>
            {shots.length > 1 && !isReduced && (
              <Button aria-pressed={isOn} onClick={() => setOn(!isOn)}>
                {isOn ? 'Stop' : 'Play'}
              </Button>
            )}
            <span role="status" className="text-[15px]">
              {at + 1} of {shots.length}: {stageNamed(content, shot.stage)}
            </span>
          </div>
        </>
      ) : (
        <p className="text-soft">It has no snapshots.</p>
      )}
      {notes.length > 0 && (
        <ul aria-label="Notes" className="mb-2 flex flex-wrap gap-2 text-[15px]">
          {notes.map(({ id, words, stage }) => (
            <li key={id} className="border px-2 py-0.5">
              {words} <span className="text-sm text-soft">{stageNamed(content, stage)}</span>
            </li>
          ))}
        </ul>
      )}
      {check?.next && <p className="italic">Next: {check.next}</p>}
      <Link
        href={`/desk/${session.studyId}?step=check&session=${session.id}`}
        className="flex min-h-10 items-center underline underline-offset-4"
      >
        To its check
      </Link>
    </Dialog>
  );
}
