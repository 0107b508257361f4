'use client';

import { Choice } from '@/ui/choice';
import { useStepView } from '../../desk-store';
import { BelongsTab } from './belongs-tab';
import { KeptTab } from './kept-tab';
import { KeyTab } from './key-tab';
import { MoodsTab } from './moods-tab';
import { PaletteTab } from './palette-tab';
import { transferView, USE_TABS, type UseTab } from './transfer-view';
import { useTakeOnArrival } from './use-take-colours';
import { WhatIfTab } from './what-if-tab';

const TABS: Readonly<Record<UseTab, () => React.ReactNode>> = {
  palette: PaletteTab,
  moods: MoodsTab,
  'what-if': WhatIfTab,
  key: KeyTab,
  belongs: BelongsTab,
  kept: KeptTab,
};
const TITLES: Readonly<Record<UseTab, string>> = {
  palette: 'other colours',
  moods: 'another mood',
  'what-if': 'what if',
  key: 'one key',
  belongs: 'what belongs',
  kept: 'kept',
};

/** The picture's values with colours from elsewhere, the same scene in another mood, and what else can be tried on it. */
export function TransferPanel() {
  const [{ tab }, look] = useStepView(transferView);
  useTakeOnArrival();
  const Tab = TABS[tab];
  return (
    <>
      <div className="mb-3">
        <Choice
          label="What is done"
          showLabel={false}
          columns={3}
          value={tab}
          options={USE_TABS.map((value) => ({ value, title: TITLES[value] }))}
          onChange={(next) => look({ tab: next, mass: null })}
        />
      </div>
      <Tab />
    </>
  );
}
