'use client';

import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { EMPTY_HAND, useDesk, useDeskStore, useStepView } from '../../desk-store';
import {
  HIDDEN_LENSES,
  HIDDEN_TABS,
  hiddenView,
  type HiddenLens,
  type HiddenTab,
} from './hidden-view';
import { LeaveAloneTab } from './leave-alone-tab';
import { ListTab } from './list-tab';
import { StrengthenTab } from './strengthen-tab';

const TAB_TITLES: Record<HiddenTab, string> = {
  list: 'hidden',
  strengthen: 'strengthen',
  'leave-alone': 'leave alone',
};
const TABS: Record<HiddenTab, () => React.ReactNode> = {
  list: ListTab,
  strengthen: StrengthenTab,
  'leave-alone': LeaveAloneTab,
};
const LENS_TITLES: Record<HiddenLens, string> = {
  strengthened: 'stronger',
  beside: 'both',
  greys: 'greys',
  map: 'map',
  picture: 'plain',
};

/** Colours that are barely there: found, strengthened, and kept in bounds. */
export function HiddenPanel() {
  const [{ tab, lens }, lookIn] = useStepView(hiddenView);
  const wipe = useDesk((state) => state.view.wipe);
  const { look, set } = useDeskStore().getState();
  const Tab = TABS[tab];
  return (
    <>
      <Choice
        label="What is done"
        showLabel={false}
        fill
        value={tab}
        options={HIDDEN_TABS.map((value) => ({ value, title: TAB_TITLES[value] }))}
        onChange={(next) => {
          lookIn({ tab: next });
          set(EMPTY_HAND);
        }}
      />
      <div className="mt-2 mb-3 flex gap-2">
        <Choice
          label="Seen as"
          showLabel={false}
          fill
          value={lens}
          options={HIDDEN_LENSES.map((value) => ({ value, title: LENS_TITLES[value] }))}
          onChange={(next) => lookIn({ lens: next })}
        />
        <Button
          aria-pressed={wipe !== null}
          disabled={lens !== 'strengthened' && lens !== 'map'}
          className="grow px-2 aria-pressed:bg-ink aria-pressed:text-sheet"
          onClick={() => look({ wipe: wipe === null ? 0.5 : null })}
        >
          Wipe
        </Button>
      </div>
      <Tab />
    </>
  );
}
