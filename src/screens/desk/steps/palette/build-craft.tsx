'use client';

import { Choice } from '@/ui/choice';
import { useDesk, useDeskStore } from '../../desk-store';
import type { PaletteActions } from '../../use-palette';
import type { Build } from '../../view';
import { FollowForm } from './follow-form';
import { HarmonyForm } from './harmony-form';
import { LadderForm } from './ladder-form';
import { LimitForm } from './limit-form';

const TITLES: Record<Build, string> = {
  ladder: 'ladder',
  harmony: 'harmony',
  follow: 'derive',
  limit: 'limit',
};

/** Colours made from a colour: its tones, a harmony, what follows from it, and what a few can make. */
export function BuildCraft({ palette }: { palette: PaletteActions }) {
  const build = useDesk((state) => state.view.build);
  const { look } = useDeskStore().getState();
  return (
    <>
      <div className="mb-3">
        <Choice
          label="What is built"
          showLabel={false}
          fill
          value={build}
          options={Object.entries(TITLES).map(([value, title]) => ({
            value: value as Build,
            title,
          }))}
          onChange={(next) => look({ build: next })}
        />
      </div>
      {build === 'ladder' && <LadderForm palette={palette} />}
      {build === 'harmony' && <HarmonyForm palette={palette} />}
      {build === 'follow' && <FollowForm palette={palette} />}
      {build === 'limit' && <LimitForm />}
    </>
  );
}
