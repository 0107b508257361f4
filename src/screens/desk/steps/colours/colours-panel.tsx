'use client';

import type { ColourStudy } from '@/core/measure/colour-study';
import { Choice } from '@/ui/choice';
import { useSettings } from '@/ui/settings';
import { useDeskStore, useDocument, useStepView } from '../../desk-store';
import { useAnswer } from '../../use-answer';
import { Finding } from '../../panel/panel-parts';
import { PlaceQuestions } from './place-questions';
import { ChromaTab } from './chroma-tab';
import { COLOUR_TABS, coloursView, type ColourTab } from './colours-view';
import { HarmonyTab } from './harmony-tab';
import { HuesTab } from './hues-tab';
import { ReadsAsTab } from './reads-as-tab';
import { WarmthTab } from './warmth-tab';

const TITLES: Record<ColourTab, string> = {
  hues: 'hues',
  warmth: 'warmth',
  chroma: 'intensity',
  harmony: 'harmony',
  'reads-as': 'reads as',
};
const TABS: Record<ColourTab, (props: { reading: ColourStudy }) => React.ReactNode> = {
  hues: HuesTab,
  warmth: WarmthTab,
  chroma: ChromaTab,
  harmony: HarmonyTab,
  'reads-as': ReadsAsTab,
};

/** What colours the picture is in, and how they stand to each other. */
export function ColoursPanel() {
  const [{ tab }, look] = useStepView(coloursView);
  const { set } = useDeskStore().getState();
  const values = useDocument((document) => document.values);
  const corrections = useDocument((document) => document.lightAndShadow.corrections);
  const { settings } = useSettings();
  const { value: reading, stale } = useAnswer<'colours'>({
    kind: 'colours',
    settings: values,
    corrections,
    wheel: settings.wheel,
  });
  const Tab = TABS[tab];
  return (
    <>
      <PlaceQuestions />
      <div className="mb-3">
        <Choice
          label="What is asked"
          showLabel={false}
          fill
          value={tab}
          options={COLOUR_TABS.map((value) => ({ value, title: TITLES[value] }))}
          onChange={(next) => {
            look({ tab: next });
            set({ hovered: null, pinned: null });
          }}
        />
      </div>
      {!reading && <Finding>Reading the colours …</Finding>}
      {reading && (
        <div data-stale={stale || undefined} aria-busy={stale}>
          <Tab reading={reading} />
        </div>
      )}
    </>
  );
}
