'use client';

import Link from 'next/link';
import { useMemo, useState } from 'react';
import type { StoreApi } from 'zustand';
import { wheelOf } from '@/core/colour/wheel';
import type { Oklab } from '@/core/colour/oklab';
import { skillsFor } from '@/core/drills/eyes';
import { SKILLS, type Skill } from '@/core/drills/question';
import { practiceReport, weeksOf } from '@/core/drills/report';
import { pigmentOf } from '@/core/mixing/pigments/pigments';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { PracticeRecord } from '@/contracts/practice';
import type { ShelfContent } from '@/contracts/shelf';
import { newId } from '@/study/edits';
import { mixingTubes } from '@/study/shelf';
import { addressOf } from '@/ui/address';
import { Choice } from '@/ui/choice';
import { useStored } from '@/ui/queries';
import { useSettings } from '@/ui/settings';
import { TopLine } from '@/ui/shell';
import { useAddress } from '@/ui/use-address';
import { ClassTab } from './class/class-tab';
import { PRACTICE_TABS, practiceCodec, type PracticeView } from './practice-view';
import { Profile } from './profile/profile';
import { profileSentence } from './profile/profile-words';
import { readEntries, scheduledEntries, withAnswers } from './record';
import { Round } from './round/round';
import { createRound, type RoundState } from './round/round-store';
import { ScreenCheck } from './screen-check';
import { useCheckedScreen, type CheckedScreen } from './screen-store';
import { ScreenTab } from './screen-tab';
import { StartRound } from './start-round';
import { BROWSER_STORE, unsentAnswers } from './unsent-answers';
import { useAnswerSender } from './use-answer-sender';
import { usePlaces } from './use-places';

const TAB_TITLES = { profile: 'profile', class: 'for a class', screen: 'this screen' };
const ROUND_MINUTES = 5;
const WARM_UP_MINUTES = 2;
const SEEDS = 2 ** 31;

interface Running {
  store: StoreApi<RoundState>;
  beganAt: number;
  minutes: number;
}

/** Training the eye: rounds of questions, what they say of it, what this screen shows, rounds for a class. */
export function Practice({
  record: brought,
  own,
  shelf,
  warmUp,
  opened,
  openedAt,
}: {
  record: PracticeRecord;
  /** What is asked about: the palette of a study, or all palettes. */
  own: { title: string | null; colours: Oklab[]; pictures: { id: string; title: string }[] };
  shelf: ShelfContent;
  warmUp: { sessionId: string; title: string; aim: string; skills: Skill[] } | null;
  opened: PracticeView;
  openedAt: number;
}) {
  const { settings } = useSettings();
  const wheel = wheelOf(settings.wheel);
  const stored = useStored(endpoints.practiceRecord, {}, brought);
  const screen = useCheckedScreen();
  const { state: sendState, given, keep } = useAnswerSender();
  const record = useMemo(() => withAnswers(stored, given), [stored, given]);
  const [view, setView] = useState(opened);
  useAddress(addressOf(practiceCodec, view));
  const [checking, setChecking] = useState<'for a round' | 'by itself' | null>(null);
  const [running, setRunning] = useState<Running | null>(null);
  const entries = useMemo(() => readEntries(record), [record]);
  const report = useMemo(() => practiceReport(entries), [entries]);
  const weeks = useMemo(() => weeksOf(entries), [entries]);
  const names = useMemo(
    () => new Map(shelf.tubes.map(({ id, name }) => [id, name])),
    [shelf.tubes],
  );
  const tubes = useMemo(
    () => mixingTubes(shelf).filter((_, i) => shelf.tubes[i].standing === 'palette'),
    [shelf],
  );
  const places = usePlaces(own.pictures, view.seed);
  const nameOf = (word: string) => names.get(word) ?? pigmentOf(word)?.names[0] ?? word;

  const begin = (limits: CheckedScreen) => {
    const skills = warmUp?.skills ?? SKILLS;
    const able = skillsFor(skills, settings.eyes);
    const store = createRound({
      before: scheduledEntries(withAnswers(record, unsentAnswers(BROWSER_STORE))),
      // A warm-up may ask only of what these eyes can't see: then of all that they can.
      skills: able.length > 0 ? able : SKILLS,
      making: {
        wheel,
        screen: limits,
        colours: [...own.colours, ...places.map(({ colour }) => colour)],
        places,
        eyes: settings.eyes,
        tubes,
      },
      seed: view.seed ?? Math.floor(Math.random() * SEEDS),
      now: () => Date.now(),
      newId,
      keep,
    });
    setRunning({ store, beganAt: Date.now(), minutes: warmUp ? WARM_UP_MINUTES : ROUND_MINUTES });
  };
  if (checking)
    return (
      <ScreenCheck
        onDone={(checked) => {
          setChecking(null);
          if (checked && checking === 'for a round') begin(checked);
        }}
      />
    );
  if (running)
    return (
      <Round
        {...running}
        wheel={wheel}
        sendState={sendState}
        tubes={tubes}
        nameOf={nameOf}
        onEnd={() => setRunning(null)}
      />
    );
  return (
    <div className="flex min-h-dvh flex-col bg-surround">
      <TopLine />
      <main className="mx-auto w-full max-w-6xl grow bg-panel px-6 py-5 max-sm:px-3">
        <h1 className="sr-only">Practice</h1>
        <p
          className="mb-4 max-w-3xl font-serif text-2xl leading-tight text-pretty"
          data-testid="finding"
        >
          {profileSentence(report, settings.scale)}
        </p>
        <StartRound
          screen={screen}
          own={own}
          warmUp={warmUp}
          minutes={warmUp ? WARM_UP_MINUTES : ROUND_MINUTES}
          onBegin={() => (screen ? begin(screen) : setChecking('for a round'))}
        />
        {warmUp && (
          <Link
            href={`/easel/${warmUp.sessionId}`}
            className="mb-3 inline-flex min-h-10 items-center underline underline-offset-4"
          >
            To the easel
          </Link>
        )}
        <div className="my-4">
          <Choice
            label="Part of practice"
            showLabel={false}
            value={view.tab}
            options={PRACTICE_TABS.map((value) => ({ value, title: TAB_TITLES[value] }))}
            onChange={(tab) => setView((was) => ({ ...was, tab }))}
          />
        </div>
        {view.tab === 'profile' && <Profile report={report} weeks={weeks} />}
        {view.tab === 'class' && (
          <ClassTab study={own.title !== null ? { id: opened.study, title: own.title } : null} />
        )}
        {view.tab === 'screen' && (
          <ScreenTab screen={screen} openedAt={openedAt} onCheck={() => setChecking('by itself')} />
        )}
      </main>
    </div>
  );
}
