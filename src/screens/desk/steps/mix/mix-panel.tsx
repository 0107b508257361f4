'use client';

import { useQuery } from '@tanstack/react-query';
import { useStore } from 'zustand';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { Shelf } from '@/contracts/shelf';
import { MEDIA } from '@/contracts/study';
import { useShelf } from '@/materials/use-shelf';
import { Choice } from '@/ui/choice';
import { Finding } from '@/ui/panel-parts';
import { queryFor } from '@/ui/queries';
import { useDeskStore, useDocument, useStepView } from '../../desk-store';
import { MIX_TABS, mixView, type MixTab } from './mix-view';
import { MorningTab } from './morning-tab';
import { NoTubes } from './no-tubes';
import { RecipesTab } from './recipes-tab';
import { LayeredPanel } from './media/layered-panel';
import { TubesTab } from './tubes-tab';
import { useMix, type MixTabProps } from './use-mix';

const TITLES: Readonly<Record<MixTab, { title: string; said?: string }>> = {
  recipes: { title: 'recipes' },
  morning: { title: 'morning', said: 'the morning’s plan' },
  tubes: { title: 'tubes', said: 'which tubes' },
};
const TABS = { recipes: RecipesTab, morning: MorningTab, tubes: TubesTab };

/** How each colour of the palette is mixed from what lies on the painter's own. */
export function MixPanel() {
  const { data: shelf } = useQuery(queryFor(endpoints.getShelf, {}));
  return shelf ? <MixFromShelf shelf={shelf} /> : <Finding stale>Fetching what you have …</Finding>;
}

/** The study speaks one medium at a time; recipes of another stay with their swatches. */
function MixFromShelf({ shelf: opened }: { shelf: Shelf }) {
  const store = useShelf(opened);
  const shelf = useStore(store, ({ history }) => history.present);
  const medium = useDocument((document) => document.medium);
  const { change } = useDeskStore().getState();
  return (
    <>
      <div className="mb-3">
        <Choice
          label="Medium"
          showLabel={false}
          columns={3}
          value={medium}
          options={MEDIA.map((value) => ({ value, title: value }))}
          onChange={(next) => change((was) => ({ ...was, medium: next }))}
        />
      </div>
      {medium === 'paint' ? (
        <PaintPanel shelf={shelf} store={store} />
      ) : (
        <LayeredPanel medium={medium} shelf={shelf} store={store} />
      )}
    </>
  );
}

function PaintPanel({ shelf, store }: Pick<MixTabProps, 'shelf' | 'store'>) {
  const [{ tab }, look] = useStepView(mixView);
  const mix = useMix(shelf);
  if (mix.onPalette.length === 0) return <NoTubes />;
  const Tab = TABS[tab];
  return (
    <>
      <div className="mb-3">
        <Choice
          label="What is done"
          showLabel={false}
          fill
          value={tab}
          options={MIX_TABS.map((value) => ({ value, ...TITLES[value] }))}
          onChange={(next) => look({ tab: next })}
        />
      </div>
      <Tab mix={mix} shelf={shelf} store={store} />
    </>
  );
}
