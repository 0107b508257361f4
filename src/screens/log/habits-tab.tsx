'use client';

import { habitsOf, type Habits } from '@/core/session/habits';
import { wheelOf } from '@/core/colour/wheel';
import { AIMS } from '@/contracts/study';
import { useSettings } from '@/ui/settings';
import { percent } from '@/ui/words';
import type { LogEntry } from './log-entries';
import { habitSentence, suggestionWords } from './log-words';

const MEAN_TITLES: Readonly<
  Record<Habits['means'][number]['name'], readonly [string, (n: number) => string]>
> = {
  darkest: ['darkest value', (n) => n.toFixed(1)],
  lightest: ['lightest value', (n) => n.toFixed(1)],
  chroma: ['mean intensity (chroma)', (n) => n.toFixed(3)],
  neutral: ['nearly grey', percent],
};

/** What one's own studies keep to, beside what was studied. */
export function HabitsTab({ entries, now }: { entries: readonly LogEntry[]; now: number }) {
  const wheel = wheelOf(useSettings().settings.wheel);
  const habits = habitsOf(
    entries.flatMap(({ check, at, session }) =>
      check?.finding
        ? [{ at, aim: session.content.aim, study: check.finding.study, model: check.finding.model }]
        : [],
    ),
    AIMS,
    now,
    wheel,
  );
  const shares = (
    title: string,
    of: Readonly<Record<string, readonly [number, number]>>,
  ): readonly (readonly [string, string, string])[] =>
    Object.entries(of).map(([name, [own, models]]) => [
      `${name} ${title}`,
      `${own} of ${habits.studies}`,
      `${models} of ${habits.models}`,
    ]);
  const rows: readonly (readonly [string, string, string])[] = [
    ...shares('key', habits.keys),
    ...shares('range', habits.ranges),
    ...habits.means.map(({ name, own, models }) => {
      const [title, words] = MEAN_TITLES[name];
      return [title, words(own), models === null ? '–' : words(models)] as const;
    }),
  ];
  return (
    <div className="grid grid-cols-2 gap-8 max-md:grid-cols-1">
      <section aria-label="What you keep to">
        <p className="mb-2 font-serif text-xl leading-snug">{habitSentence(habits)}</p>
        <table className="w-full text-[15px]">
          <thead>
            <tr className="text-left text-sm text-soft">
              <th scope="col" className="font-normal">
                <span className="sr-only">What</span>
              </th>
              <th scope="col" className="text-right font-normal">
                your studies
              </th>
              <th scope="col" className="text-right font-normal">
                their models
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map(([title, own, models]) => (
              <tr key={title} className="border-t">
                <th scope="row" className="py-1 text-left font-normal">
                  {title}
                </th>
                <td className="text-right">{own}</td>
                <td className="text-right">{models}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <section aria-label="What to try">
        <h2 className="mb-1 border-b pb-1 text-sm font-semibold">Not tried</h2>
        {habits.suggestions.length === 0 ? (
          <p className="text-soft">Suggestions come after some studies that were checked.</p>
        ) : (
          <ul>
            {habits.suggestions.map((suggestion) => (
              <li key={`${suggestion.kind} ${suggestion.what}`} className="border-b py-2">
                {suggestionWords(suggestion, now)}
              </li>
            ))}
          </ul>
        )}
        <h2 className="mt-5 mb-1 border-b pb-1 text-sm font-semibold">Families</h2>
        <table className="w-full text-[15px]">
          <tbody>
            {habits.hues.map(({ family, own, models }) => {
              return (
                <tr key={family} className="border-b">
                  <th scope="row" className="w-36 py-0.5 text-left font-normal">
                    {family}
                  </th>
                  <td>
                    <Bar share={own} isOwn />
                    <Bar share={models} />
                  </td>
                  <td className="w-28 text-right text-sm text-soft">
                    {percent(own)} / {percent(models)}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
        <p className="mt-1 text-sm text-soft">
          Filled: your studies that lean on it; outlined: their models.
        </p>
      </section>
    </div>
  );
}

function Bar({ share, isOwn = false }: { share: number; isOwn?: boolean }) {
  return (
    <span
      aria-hidden
      className={`my-0.5 block h-1.5 ${isOwn ? 'bg-ink' : 'border border-ink'}`}
      style={{
        width: `${Math.max(0, share * 100)}%`,
        visibility: share > 0 ? 'visible' : 'hidden',
      }}
    />
  );
}
