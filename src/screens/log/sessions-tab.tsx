'use client';

import { format } from 'date-fns';
import { Play, Trash2 } from 'lucide-react';
import Link from 'next/link';
import { useState } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { call } from '@/ui/api';
import { Button } from '@/ui/button';
import { offerUndo, showError } from '@/ui/notices';
import { useChanged } from '@/ui/queries';
import { durationWords } from '@/ui/time-words';
import type { LogEntry } from './log-entries';
import { LogPictures } from './log-pictures';

/** As many are shown at first, and more on demand. */
const PAGE = 40;

/** The sessions by date, the newest first. */
export function SessionsTab({
  entries,
  onReplay,
}: {
  entries: readonly LogEntry[];
  onReplay: (id: string) => void;
}) {
  const [shown, setShown] = useState(PAGE);
  const changed = useChanged(endpoints.listSessions);
  const remove = async ({ session }: LogEntry) => {
    await call(endpoints.deleteSession, { id: session.id });
    await changed();
    offerUndo(`“${session.content.title}” is in the bin for a while.`, async () => {
      await call(endpoints.restoreSession, { id: session.id });
      await changed();
    });
  };
  if (entries.length === 0) return <p className="text-soft">No session is like that.</p>;
  return (
    <>
      <ol aria-label="Sessions">
        {entries.slice(0, shown).map((entry) => {
          const { session, course, at, painted, check, mistakes } = entry;
          const { content, study } = session;
          return (
            <li
              key={session.id}
              className="grid grid-cols-[170px_1fr_auto] gap-4 border-t py-3 max-sm:grid-cols-1 print:break-inside-avoid"
            >
              <LogPictures entry={entry} />
              <div className="min-w-0">
                <h2 className="truncate font-serif text-xl leading-tight">
                  <Link
                    href={`/desk/${session.studyId}?step=check&session=${session.id}`}
                    className="hover:underline"
                  >
                    {content.title}
                  </Link>
                </h2>
                <p className="text-[15px] text-soft">
                  {format(at, 'EEEE, d MMMM yyyy')} · {content.aim}
                  {content.second && `, then ${content.second}`} · {content.medium}
                  {content.ground && ` on ${content.ground}`}
                  {course && ` · ${course}`}
                  {painted > 0 && ` · ${durationWords(painted)}`}
                  {study.maker && (
                    <>
                      {' · after '}
                      <Link
                        href={`/maker?name=${encodeURIComponent(study.maker)}`}
                        className="underline underline-offset-2"
                      >
                        {study.maker}
                      </Link>
                    </>
                  )}
                </p>
                <p className="mt-1 text-[15px]">
                  {mistakes === null
                    ? 'Not checked.'
                    : mistakes.length === 0
                      ? 'Checked: no mistake.'
                      : `Checked: ${mistakes
                          .slice(0, 3)
                          .map(({ kind }) => kind)
                          .join(', ')}.`}
                  {check?.goal && ` Aim ${check.goal}.`}
                </p>
                {check?.next && <p className="text-[15px] italic">Next: {check.next}</p>}
              </div>
              <div className="flex items-start gap-1 print:hidden">
                {content.snapshots.length > 0 && (
                  <Button
                    weight="quiet"
                    aria-label={`Replay “${content.title}”`}
                    title="Replay"
                    onClick={() => onReplay(session.id)}
                  >
                    <Play size={18} aria-hidden />
                  </Button>
                )}
                <Button
                  weight="quiet"
                  aria-label={`Delete “${content.title}”`}
                  title="Delete"
                  onClick={() => void remove(entry).catch(showError)}
                >
                  <Trash2 size={18} aria-hidden />
                </Button>
              </div>
            </li>
          );
        })}
      </ol>
      {entries.length > shown && (
        <Button className="mt-3" onClick={() => setShown(shown + PAGE)}>
          {Math.min(PAGE, entries.length - shown)} more
        </Button>
      )}
    </>
  );
}
