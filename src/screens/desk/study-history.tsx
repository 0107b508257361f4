'use client';

import { History } from 'lucide-react';
import { useState } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { StudyPart, StudyRevision } from '@/contracts/study-history';
import { Button } from '@/ui/button';
import { HistoryDialog } from '@/ui/history-dialog';
import { queryFor } from '@/ui/queries';
import { useSettings } from '@/ui/settings';
import { Stave, staveWords } from '@/ui/stave';
import { several } from '@/ui/words';
import { useDeskStore } from './desk-store';
import { useStudy } from './facts';

const PART_WORDS: Record<StudyPart, (state: StudyRevision) => string> = {
  title: ({ title }) => `named “${title}”`,
  about: () => 'maker, source, rights or kind changed',
  aims: () => 'aims changed',
  framing: () => 'framed anew',
  neutral: () => 'neutral point changed',
  values: () => 'value zones set anew',
  light: () => 'light and shadow corrected',
  depth: () => 'depth marked',
  hidden: () => 'hidden colours set anew',
  use: () => 'other colours, moods or changes tried',
  medium: () => 'another medium',
  palette: ({ swatches }) =>
    swatches === 0
      ? 'palette emptied'
      : `palette changed to ${several(swatches, 'swatch', 'swatches')}`,
  recipes: () => 'recipes kept or forgotten',
};

/** What the study was before. */
export function StudyHistory() {
  const { id } = useStudy();
  const { change } = useDeskStore().getState();
  const { settings } = useSettings();
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button
        weight="quiet"
        aria-label="History"
        title="What this study was"
        onClick={() => setOpen(true)}
      >
        <History size={20} aria-hidden />
      </Button>
      <HistoryDialog
        open={open}
        onClose={() => setOpen(false)}
        title="What this study was"
        states={queryFor(endpoints.listStudyHistory, { id })}
        stateAt={(revision) =>
          queryFor(endpoints.getStudyRevision, { id, revision: String(revision) })
        }
        words={changeWords}
        onRestore={(document) => change(() => document)}
      >
        {({ title, palette }) => (
          <>
            <p className="font-serif text-lg">{title}</p>
            {palette.swatches.length === 0 ? (
              <p className="text-soft">It had no palette yet.</p>
            ) : (
              <Stave
                swatches={palette.swatches}
                scale={settings.scale}
                height={90}
                label={staveWords(palette.swatches)}
              />
            )}
          </>
        )}
      </HistoryDialog>
    </>
  );
}

function changeWords(state: StudyRevision, first: boolean): string[] {
  if (state.changed.length > 0) return state.changed.map((part) => PART_WORDS[part](state));
  const size = several(state.swatches, 'swatch', 'swatches');
  return first ? [state.swatches === 0 ? 'begun' : `begun, with ${size}`] : ['saved again'];
}
