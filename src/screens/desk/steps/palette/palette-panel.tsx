'use client';

import { Choice } from '@/ui/choice';
import { useDesk, useDeskStore, useDocument } from '../../desk-store';
import type { PaletteActions } from '../../use-palette';
import type { Craft } from '../../view';
import { BuildCraft } from './build-craft';
import { FitCraft } from './fit-craft';
import { OneSwatch } from './one-swatch';
import { PruneCraft } from './prune-craft';
import { SeveralSwatches } from './several-swatches';
import { TakeCraft } from './take-craft';
import { WeighCraft } from './weigh-craft';

const TITLES: Record<Craft, string> = {
  take: 'take',
  prune: 'prune',
  weigh: 'weigh',
  fit: 'fit',
  build: 'build',
};

/** Extract, pick, prune, weigh and build; whatever is selected in the tray is looked at closely. */
export function PalettePanel({ palette }: { palette: PaletteActions }) {
  const craft = useDesk((state) => state.view.craft);
  const selected = useDesk((state) => state.selected);
  const chosen = useDesk((state) => state.chosen);
  const { look, set } = useDeskStore().getState();
  const swatch = useDocument((document) =>
    document.palette.swatches.find(({ id }) => id === selected),
  );
  return (
    <>
      <div className="mb-3">
        <Choice
          label="What is done"
          showLabel={false}
          fill
          value={craft}
          options={Object.entries(TITLES).map(([value, title]) => ({
            value: value as Craft,
            title,
          }))}
          onChange={(next) => {
            look({ craft: next });
            set({ hovered: null, pinned: null, tool: 'look' });
          }}
        />
      </div>
      {chosen.length > 1 && <SeveralSwatches ids={chosen} palette={palette} />}
      {chosen.length < 2 && swatch && (
        <OneSwatch key={swatch.id} swatch={swatch} palette={palette} />
      )}
      {craft === 'take' && <TakeCraft palette={palette} />}
      {craft === 'prune' && <PruneCraft palette={palette} />}
      {craft === 'weigh' && <WeighCraft palette={palette} />}
      {craft === 'fit' && <FitCraft palette={palette} />}
      {craft === 'build' && <BuildCraft palette={palette} />}
    </>
  );
}
