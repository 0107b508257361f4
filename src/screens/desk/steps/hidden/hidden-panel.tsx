'use client';

import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { useDesk, useDeskStore } from '../../desk-store';
import type { PaletteActions } from '../../use-palette';
import { QUESTS, SIGHTS, type Quest, type Sight } from '../../view';
import { FoundQuest } from './found-quest';
import { ProtectQuest } from './protect-quest';
import { PushQuest } from './push-quest';

const QUEST_TITLES: Record<Quest, string> = { found: 'found', push: 'push', protect: 'protect' };
const SIGHT_TITLES: Record<Sight, string> = {
  pushed: 'pushed',
  beside: 'both',
  greys: 'greys',
  map: 'map',
  picture: 'plain',
};

/** Colours that are barely there: found, pushed up, and kept in bounds. */
export function HiddenPanel({ studyId, palette }: { studyId: string; palette: PaletteActions }) {
  const { quest, sight, wipe } = useDesk((state) => state.view);
  const { look, set } = useDeskStore().getState();
  return (
    <>
      <Choice
        label="What is done"
        showLabel={false}
        fill
        value={quest}
        options={QUESTS.map((value) => ({ value, title: QUEST_TITLES[value] }))}
        onChange={(next) => {
          look({ quest: next });
          set({ tool: 'look', hovered: null, pinned: null });
        }}
      />
      <div className="mt-2 mb-3 flex gap-2">
        <Choice
          label="Seen as"
          showLabel={false}
          value={sight}
          options={SIGHTS.map((value) => ({ value, title: SIGHT_TITLES[value] }))}
          onChange={(next) => look({ sight: next })}
        />
        <Button
          aria-pressed={wipe !== null}
          disabled={sight !== 'pushed' && sight !== 'map'}
          className="grow px-2 aria-pressed:bg-ink aria-pressed:text-sheet"
          onClick={() => look({ wipe: wipe === null ? 0.5 : null })}
        >
          Wipe
        </Button>
      </div>
      {quest === 'found' && <FoundQuest studyId={studyId} palette={palette} />}
      {quest === 'push' && <PushQuest />}
      {quest === 'protect' && <ProtectQuest />}
    </>
  );
}
