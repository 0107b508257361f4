'use client';

import { Choice } from '@/ui/choice';
import { useStepView } from '../../desk-store';
import { MoodsTab } from './moods-tab';
import { PaletteTab } from './palette-tab';
import { transferView, USE_TABS } from './transfer-view';

const TABS = { palette: PaletteTab, moods: MoodsTab };
const TITLES = { palette: 'other colours', moods: 'another mood' };

/** The picture's values with colours from elsewhere, or the same scene in another mood. */
export function TransferPanel() {
  const [{ tab }, look] = useStepView(transferView);
  const Tab = TABS[tab];
  return (
    <>
      <div className="mb-3">
        <Choice
          label="What is done"
          showLabel={false}
          fill
          value={tab}
          options={USE_TABS.map((value) => ({ value, title: TITLES[value] }))}
          onChange={(next) => look({ tab: next })}
        />
      </div>
      <Tab />
    </>
  );
}
