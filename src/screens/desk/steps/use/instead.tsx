'use client';

import type { ReactNode } from 'react';
import { MOOD_SETTINGS, MOODS } from '@/core/transfer/moods';
import { triedNow, withMood, withTransfer } from '@/study/use-edits';
import { useSettings } from '@/ui/settings';
import { useDesk, useDeskStore, useDocument, useStepView } from '../../desk-store';
import { usePicture } from '../../picture-room';
import { TwoPictures } from '../../stage/two-pictures';
import { useDrawn } from '../../use-answer';
import { madeQuery } from '../../made-query';
import { MoodFacts } from './mood-facts';
import { SideBySide, type Side } from './side-by-side';
import { transferView, type UseLook, type UseTab } from './transfer-view';
import { useTransfer } from './use-transfer';
import { isMade, useTried } from './use-tried';

/** What stands in place of the picture; undefined for the picture itself. */
export function insteadOf(tab: UseTab, look: UseLook): ReactNode {
  if (look === 'greys') return <Greys />;
  if (look !== 'beside') return undefined;
  if (tab === 'palette') return <Ways />;
  return tab === 'moods' ? <Moods /> : <BeforeAndAfter />;
}

/** The greys of the picture and of what was made of it: where values hold they are the same. */
function Greys() {
  const { query } = useTried();
  const before = useDrawn<'greys'>({ kind: 'greys' });
  const made = query && isMade(query) ? { ...query, grey: true } : null;
  const after = useDrawn<'transferred' | 'mood' | 'whatIf' | 'oneKey'>(made);
  return (
    <TwoPictures
      label="The greys before and after."
      testId="two-greys"
      titles={['greys before', 'greys after']}
      pictures={[before.canvas, after.canvas]}
      over={null}
    />
  );
}

/** The picture as it is and as it was made, side by side. */
function BeforeAndAfter() {
  const { canvas } = usePicture();
  const { query } = useTried();
  const after = useDrawn<'transferred' | 'mood' | 'whatIf' | 'oneKey'>(
    query && isMade(query) ? query : null,
  );
  return (
    <TwoPictures
      label="The picture before and after."
      testId="two-pictures"
      titles={['before', 'after']}
      pictures={[canvas, after.canvas]}
      over={null}
    />
  );
}

/** The ways to put the colours on, side by side. */
function Ways() {
  const document = useDocument((all) => all);
  const { change } = useDeskStore().getState();
  const { proposals, query } = useTransfer();
  const [, look] = useStepView(transferView);
  const sides = proposals.map(({ kind }): Side => ({
    title: kind,
    isChosen: kind === (query?.way ?? proposals[0].kind),
    query: madeQuery(
      triedNow(withTransfer(document, { way: kind }), 'transfer'),
      document,
      'painters',
      'half',
    ),
    onChoose: () => {
      change((was) => withTransfer(was, { way: kind }));
      look({ look: 'over' });
    },
  }));
  return <SideBySide label="Ways to put the colours on" sides={sides} />;
}

/** All moods side by side, the chosen one with its sliders as they are. */
function Moods() {
  const document = useDocument((all) => all);
  const { wheel } = useSettings().settings;
  const { change } = useDeskStore().getState();
  const [, look] = useStepView(transferView);
  const isSliding = useDesk((state) => state.sliding);
  const { mood: chosen, settings } = document.use.mood;
  const sides = MOODS.map((mood): Side => ({
    title: mood,
    isChosen: mood === chosen,
    query: madeQuery(
      {
        kind: 'mood',
        choice: { mood, settings: mood === chosen ? settings : MOOD_SETTINGS[mood] },
      },
      document,
      wheel,
      isSliding ? 'small' : 'half',
    ),
    facts: <MoodFacts settings={mood === chosen ? settings : MOOD_SETTINGS[mood]} />,
    onChoose: () => {
      if (mood !== chosen) change((was) => withMood(was, mood));
      look({ look: 'over' });
    },
  }));
  return <SideBySide label="Moods" sides={sides} />;
}
