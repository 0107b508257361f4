'use client';

import { Choice } from '@/ui/choice';
import { EMPTY_HAND, useDesk, useDeskStore, useDocument, useStepView } from '../../desk-store';
import { BuildTab } from '@/palette/build-tab';
import { DuplicatesTab } from '@/palette/duplicates-tab';
import { OneSwatch } from './one-swatch';
import { PALETTE_TABS, paletteView, type PaletteTab } from './palette-view';
import { PickTab } from './pick-tab';
import { ProportionsTab } from '@/palette/proportions-tab';
import { SeveralSwatches } from '@/palette/several-swatches';
import { TestTab } from './test-tab';

/** As they stand in the row, and as they are said. */
const TITLES: Record<PaletteTab, { title: string; said?: string }> = {
  pick: { title: 'pick' },
  duplicates: { title: 'merge', said: 'merge near-duplicates' },
  proportions: { title: 'proportions' },
  test: { title: 'test', said: 'test on the picture' },
  build: { title: 'build' },
};
const TABS: Record<PaletteTab, () => React.ReactNode> = {
  pick: PickTab,
  duplicates: DuplicatesTab,
  proportions: ProportionsTab,
  test: TestTab,
  build: BuildOnDesk,
};

/** What is built is kept in the address, and what a few can make is drawn over the picture. */
function BuildOnDesk() {
  const [{ build, limited }, look] = useStepView(paletteView);
  return (
    <BuildTab
      build={build}
      onBuild={(next) => look({ build: next })}
      limited={limited}
      onLimited={(next) => look({ limited: next })}
    />
  );
}

/** What is done to the palette; whatever is selected in the tray is looked at closely. */
export function PalettePanel() {
  const [{ tab }, lookIn] = useStepView(paletteView);
  const selected = useDesk((state) => state.selected);
  const swatches = useDocument((document) => document.palette.swatches);
  // What an undo has taken away is chosen no more.
  const chosen = useDesk((state) => state.chosen).filter((one) =>
    swatches.some(({ id }) => id === one),
  );
  const { look, set } = useDeskStore().getState();
  const swatch = swatches.find(({ id }) => id === (chosen.length === 1 ? chosen[0] : selected));
  const Tab = TABS[tab];
  return (
    <>
      <div className="mb-3">
        <Choice
          label="What is done"
          showLabel={false}
          fill
          value={tab}
          options={PALETTE_TABS.map((value) => ({ value, ...TITLES[value] }))}
          onChange={(next) => {
            lookIn({ tab: next });
            // Elsewhere the picture itself is extracted from.
            if (next !== 'pick') look({ pickFrom: 'picture' });
            set(EMPTY_HAND);
          }}
        />
      </div>
      {chosen.length > 1 && <SeveralSwatches ids={chosen} />}
      {chosen.length < 2 && swatch && <OneSwatch key={swatch.id} swatch={swatch} />}
      <Tab />
    </>
  );
}
