import Link from 'next/link';
import type { ClockReading } from '@/core/session/clock';
import type { SessionContent } from '@/contracts/session';
import { keepLimit } from '@/study/session-edits';
import { capital } from '@/ui/words';
import { Choice } from '@/ui/choice';
import { durationWords } from '@/ui/time-words';

const KEPT = [
  { value: 'yes', title: 'kept' },
  { value: 'no', title: 'not kept' },
  { value: 'open', title: 'not said' },
] as const;

/** What was painted, whether it kept to what was allowed, and the way on. */
export function SessionEnd({
  content,
  clock,
  change,
  checkHref,
}: {
  content: SessionContent;
  clock: ClockReading;
  change: (edit: (was: SessionContent) => SessionContent) => void;
  checkHref: string;
}) {
  const over = clock.painted - content.minutes * 60_000;
  return (
    <section aria-label="The end" className="grow overflow-y-auto p-6">
      <h2 className="font-serif text-4xl leading-tight">
        {capital(durationWords(clock.painted))} painted
        {over > 60_000
          ? `, ${durationWords(over)} over the ${durationWords(content.minutes * 60_000)} that were planned`
          : ''}
        .
      </h2>
      <table className="mt-4 text-lg">
        <caption className="sr-only">Time in each stage</caption>
        <tbody>
          {content.stages.map(({ id, name }, i) => (
            <tr key={id}>
              <th scope="row" className="py-0.5 pr-8 text-left font-normal">
                {name}
              </th>
              <td className="text-right">{durationWords(clock.paintedIn[i])}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {content.limits.length > 0 && (
        <div className="mt-6 max-w-xl">
          <h3 className="mb-1 text-lg font-semibold">What was allowed</h3>
          {content.limits.map(({ id, text, kept }) => (
            <div key={id} className="py-1">
              <Choice
                label={text}
                value={kept === null ? 'open' : kept ? 'yes' : 'no'}
                options={KEPT}
                onChange={(value) =>
                  change((was) => keepLimit(was, id, value === 'open' ? null : value === 'yes'))
                }
              />
            </div>
          ))}
        </div>
      )}
      <p className="mt-6">
        <Link
          href={checkHref}
          className="inline-flex min-h-14 items-center border border-ink bg-ink px-5 text-lg font-semibold text-sheet"
        >
          Check it against its model
        </Link>
      </p>
      {content.snapshots.length === 0 && (
        <p className="mt-2 text-soft">Photograph it first: there is no snapshot yet.</p>
      )}
    </section>
  );
}
