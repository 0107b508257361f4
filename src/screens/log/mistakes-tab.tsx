'use client';

import { format } from 'date-fns';
import { MIN_COUNT, nextThing, type RecurringMistake } from '@/core/session/recurring';
import { Fold } from '@/ui/panel-parts';
import { MistakePlot } from './mistake-plot';
import type { LogEntry } from './log-entries';
import { LogPictures } from './log-pictures';
import { TREND_WORDS } from './log-words';

/** Mistakes that come back, what weighs most first; one of them over time, with the pictures behind its points. */
export function MistakesTab({
  mistakes,
  entries,
  chosen,
  onChoose,
  onReplay,
}: {
  mistakes: readonly RecurringMistake[];
  entries: readonly LogEntry[];
  chosen: string;
  onChoose: (kind: string) => void;
  onReplay: (id: string) => void;
}) {
  if (mistakes.length === 0)
    return <p className="text-soft">No study was checked yet, or none had a mistake.</p>;
  const open = mistakes.find(({ kind }) => kind === chosen) ?? mistakes[0];
  const entryOf = (id: string) => entries.find(({ session }) => session.id === id);
  return (
    <div className="grid grid-cols-[300px_1fr] gap-6 max-md:grid-cols-1">
      <ol aria-label="Mistakes">
        {mistakes.map(({ kind, count, points, trend }) => (
          <li key={kind}>
            <button
              type="button"
              aria-pressed={kind === open.kind}
              onClick={() => onChoose(kind)}
              className="flex min-h-11 w-full items-baseline gap-2 border-t px-2 text-left text-[15px] leading-[2.75rem] hover:bg-faint aria-pressed:bg-ink aria-pressed:text-sheet"
            >
              <span className="grow font-semibold">{kind}</span>
              <span className="text-sm">
                {count} of {points.length}, {count < MIN_COUNT ? 'once' : TREND_WORDS[trend]}
              </span>
            </button>
          </li>
        ))}
      </ol>
      <section aria-label={open.kind} className="min-w-0">
        <p className="mb-2 font-serif text-xl leading-snug">Try next: {nextThing(open.kind)}</p>
        <MistakePlot mistake={open} onPoint={onReplay} />
        <Fold title="As a table" aside={`${open.points.length} studies`}>
          <table className="w-full text-[15px]">
            <thead>
              <tr className="text-left text-sm text-soft">
                <th scope="col" className="font-normal">
                  date
                </th>
                <th scope="col" className="font-normal">
                  study
                </th>
                <th scope="col" className="text-right font-normal">
                  how large
                </th>
              </tr>
            </thead>
            <tbody>
              {open.points.toReversed().map(({ id, at, size }) => (
                <tr key={id} className="border-t">
                  <td className="py-1 whitespace-nowrap">{format(at, 'd MMM yyyy')}</td>
                  <td>{entryOf(id)?.session.content.title}</td>
                  <td className="text-right">{size > 0 ? size.toFixed(1) : 'none'}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </Fold>
        <h2 className="mt-3 mb-1 text-sm font-semibold">The studies behind it</h2>
        <ul className="flex flex-wrap gap-3">
          {open.points.toReversed().flatMap(({ id, at, size }) => {
            const entry = entryOf(id);
            if (!entry || size === 0) return [];
            return [
              <li key={id}>
                <button
                  type="button"
                  onClick={() => onReplay(id)}
                  className="block text-left hover:opacity-80"
                  aria-label={`Replay “${entry.session.content.title}” of ${format(at, 'd MMMM')}`}
                >
                  <LogPictures entry={entry} />
                  <span className="text-sm">{format(at, 'd MMM')}</span>
                </button>
              </li>,
            ];
          })}
        </ul>
      </section>
    </div>
  );
}
