'use client';

import { Choice } from '@/ui/choice';
import { useDeskStore, useStepView, EMPTY_HAND } from '../../desk-store';
import { DepthTab } from './depth-tab';
import { FocusTab } from './focus-tab';
import { FormTab } from './form-tab';
import { GreysTab } from './greys-tab';
import { LightTab } from './light-tab';
import { SeparationTab } from './separation-tab';
import { VALUE_TABS, valuesView, type ValueTab } from './values-view';
import { ZonesTab } from './zones-tab';

const TITLES: Record<ValueTab, string> = {
  zones: 'range',
  light: 'light',
  separation: 'separation',
  form: 'form',
  depth: 'depth',
  focus: 'focus',
  greys: 'greys',
};
const TABS: Record<ValueTab, () => React.ReactNode> = {
  zones: ZonesTab,
  light: LightTab,
  separation: SeparationTab,
  form: FormTab,
  depth: DepthTab,
  focus: FocusTab,
  greys: GreysTab,
};

/** The picture in values alone, under seven tabs. */
export function ValuesPanel() {
  const [{ tab }, look] = useStepView(valuesView);
  const { set } = useDeskStore().getState();
  const Tab = TABS[tab];
  return (
    <>
      <div className="mb-3">
        <Choice
          label="What is asked"
          showLabel={false}
          columns={4}
          value={tab}
          options={VALUE_TABS.map((value) => ({ value, title: TITLES[value] }))}
          onChange={(next) => {
            look({ tab: next, lens: null });
            set(EMPTY_HAND);
          }}
        />
      </div>
      <Tab />
    </>
  );
}
