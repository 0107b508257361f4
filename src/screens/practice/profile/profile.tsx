'use client';

import type { PracticeReport, Week } from '@/core/drills/report';
import { useSettings } from '@/ui/settings';
import { LeaningPlot } from './leaning-plot';
import { practiseWords } from './profile-words';
import { SkillsTable } from './skills-table';
import { WeeksPlot } from './weeks-plot';

/** What all answers say of an eye: what to practise, and why; how values are read; week by week. */
export function Profile({ report, weeks }: { report: PracticeReport; weeks: readonly Week[] }) {
  const { settings } = useSettings();
  const { value, intensity, family, skills } = report;
  const practise = practiseWords(report, settings.scale);
  if (report.count === 0) return null;
  return (
    <div className="grid gap-x-8 gap-y-6 lg:grid-cols-[1fr_340px]">
      <div className="flex min-w-0 flex-col gap-6">
        <LeaningPlot profiles={{ value, intensity, family }} />
        {weeks.length > 1 && <WeeksPlot weeks={weeks} />}
      </div>
      <div className="flex flex-col gap-6">
        <section aria-label="What to practise">
          <h2 className="mb-1 font-semibold">What to practise</h2>
          {practise.length === 0 ? (
            <p>Nothing is missed more often than the rest: a round asks of all in turn.</p>
          ) : (
            <ol className="list-decimal pl-5">
              {practise.map((words) => (
                <li key={words} className="py-1">
                  {words}
                </li>
              ))}
            </ol>
          )}
          <p className="mt-1 text-sm text-soft">What is missed comes again sooner, by itself.</p>
        </section>
        <SkillsTable skills={skills} />
      </div>
    </div>
  );
}
