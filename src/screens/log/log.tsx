'use client';

import { useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { queueOf } from '@/core/session/course';
import { recurringMistakes } from '@/core/session/recurring';
import type { Courses } from '@/contracts/courses';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { LoggedSession } from '@/contracts/session';
import { addressOf } from '@/ui/address';
import { Choice } from '@/ui/choice';
import { useStored } from '@/ui/queries';
import { TopLine } from '@/ui/shell';
import { useAddress } from '@/ui/use-address';
import { courseSittings, dayOf } from './courses/course-sittings';
import { coursesSentence } from './courses/course-words';
import { CoursesTab } from './courses/courses-tab';
import { useCourses, useStudyNames } from './courses/use-courses';
import { ExportLog } from './export-log';
import { MistakesTab } from './mistakes-tab';
import { HabitsTab } from './habits-tab';
import { filteredEntries, logEntries } from './log-entries';
import { LogFilters } from './log-filters';
import { LOG_TABS, logCodec, type LogView } from './log-view';
import { logSentence } from './log-words';
import { Replay } from './replay';
import { SessionsTab } from './sessions-tab';

const TAB_TITLES = {
  sessions: 'sessions',
  mistakes: 'what comes back',
  habits: 'habits',
  courses: 'courses',
};

/** Sessions and checks, what keeps going wrong, and what one keeps to. */
export function Log({
  sessions: brought,
  courses: openedCourses,
  opened,
  openedAt,
}: {
  sessions: LoggedSession[];
  courses: Courses;
  opened: LogView;
  openedAt: number;
}) {
  const sessions = useStored(endpoints.listSessions, {}, brought);
  const coursesStore = useCourses(openedCourses);
  const courses = useStore(coursesStore, ({ history }) => history.present);
  const names = useStudyNames(courses);
  const [view, setView] = useState(opened);
  const look = (part: Partial<LogView>) => setView((was) => ({ ...was, ...part }));
  useAddress(addressOf(logCodec, view));
  const all = useMemo(() => logEntries(sessions, courses.courses), [sessions, courses]);
  const entries = useMemo(() => filteredEntries(all, view), [all, view]);
  const mistakes = useMemo(
    () =>
      recurringMistakes(
        entries.flatMap(({ session, at, mistakes: found }) =>
          found ? [{ id: session.id, at, mistakes: found }] : [],
        ),
      ),
    [entries],
  );
  const sittings = useMemo(() => courseSittings(all, openedAt), [all, openedAt]);
  const queue = useMemo(() => queueOf(courses.courses, sittings), [courses, sittings]);
  const today = dayOf(openedAt);
  const isOfCourses = view.tab === 'courses';
  const replayed = all.find(({ session }) => session.id === view.replay) ?? null;
  return (
    <div className="flex min-h-dvh flex-col bg-surround">
      <TopLine />
      <main className="mx-auto w-full max-w-6xl grow bg-panel px-6 py-5 max-sm:px-3">
        <h1 className="sr-only">Log</h1>
        <p
          className="mb-4 max-w-3xl font-serif text-2xl leading-tight text-pretty"
          data-testid="finding"
        >
          {isOfCourses
            ? coursesSentence(courses.courses, sittings, queue, names, today)
            : logSentence(entries, mistakes)}
        </p>
        <div className="mb-3 flex flex-wrap items-end justify-between gap-3 print:hidden">
          <Choice
            label="Part of the log"
            showLabel={false}
            value={view.tab}
            options={LOG_TABS.map((value) => ({ value, title: TAB_TITLES[value] }))}
            onChange={(tab) => look({ tab })}
          />
          {!isOfCourses && all.length > 0 && <ExportLog entries={entries} />}
        </div>
        {isOfCourses && <CoursesTab {...{ store: coursesStore, sittings, queue, names, today }} />}
        {!isOfCourses && all.length > 0 && (
          <>
            <LogFilters all={all} filter={view} count={entries.length} onChange={look} />
            {view.tab === 'sessions' && (
              <SessionsTab entries={entries} onReplay={(replay) => look({ replay })} />
            )}
            {view.tab === 'mistakes' && (
              <MistakesTab
                mistakes={mistakes}
                entries={entries}
                chosen={view.mistake}
                onChoose={(mistake) => look({ mistake })}
                onReplay={(replay) => look({ replay })}
              />
            )}
            {view.tab === 'habits' && <HabitsTab entries={entries} now={openedAt} />}
          </>
        )}
        {replayed && <Replay entry={replayed} onClose={() => look({ replay: '' })} />}
      </main>
    </div>
  );
}
