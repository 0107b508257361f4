'use client';

import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { useDesk, useDeskStore } from '../../desk-store';
import { ZONE_LOOKS, type Lens } from '../../view';

const TITLES: Record<Lens, string> = {
  picture: 'picture',
  squint: 'squint',
  greys: 'greys',
  zones: 'zones',
  sides: 'light and shadow',
  merging: 'what merges',
  edges: 'edges',
  busy: 'busy and quiet',
};

/** What is laid over the picture, and the line that parts the two. */
export function LensChoice({ lenses }: { lenses: readonly Lens[] }) {
  const { lens, wipe, zoneLook } = useDesk((state) => state.view);
  const { look } = useDeskStore().getState();
  return (
    <div className="mb-2 flex flex-col gap-2">
      <div className="flex gap-2">
        <Choice
          label="Seen as"
          showLabel={false}
          value={lens}
          options={lenses.map((value) => ({ value, title: TITLES[value] }))}
          onChange={(next) => look({ lens: next })}
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
          value={zoneLook}
          options={ZONE_LOOKS.map((value) => ({
            value,
            title: { greys: 'greys', colours: 'colours', outlines: 'outlines' }[value],
          }))}
          onChange={(next) => look({ zoneLook: next })}
        />
      )}
    </div>
  );
}
