'use client';

import { ZONE_LOOKS } from '@/contracts/study';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { useDesk, useDeskStore, useStepView } from '../../desk-store';
import { lensOf, LENSES_OF, valuesView, type Lens } from './values-view';

const TITLES: Record<Lens, string> = {
  picture: 'picture',
  squint: 'squint',
  greys: 'greys',
  zones: 'zones',
  sides: 'light and shadow',
  merging: 'what merges',
  edges: 'edges',
  haze: 'haze',
  busy: 'busy and quiet',
};

/** What is laid over the picture, and the line that parts the two. */
export function LensChoice() {
  const [view, lookIn] = useStepView(valuesView);
  const wipe = useDesk((state) => state.view.wipe);
  const { look } = useDeskStore().getState();
  const lens = lensOf(view);
  return (
    <div className="mb-2 flex flex-col gap-2">
      <div className="flex gap-2">
        <Choice
          label="Seen as"
          showLabel={false}
          value={lens}
          options={LENSES_OF[view.tab].map((value) => ({ value, title: TITLES[value] }))}
          onChange={(next) => lookIn({ lens: next })}
        />
        <Button
          aria-pressed={wipe !== null}
          disabled={lens === 'picture' || lens === 'edges'}
          className="grow aria-pressed:bg-ink aria-pressed:text-sheet"
          onClick={() => look({ wipe: wipe === null ? 0.5 : null })}
        >
          Wipe
        </Button>
      </div>
      {lens === 'zones' && (
        <Choice
          label="Zones as"
          value={view.zoneLook}
          options={ZONE_LOOKS.map((value) => ({
            value,
            title: { greys: 'greys', colours: 'colours', outlines: 'outlines' }[value],
          }))}
          onChange={(next) => lookIn({ zoneLook: next })}
        />
      )}
    </div>
  );
}
