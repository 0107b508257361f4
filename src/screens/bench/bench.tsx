'use client';

import { useState } from 'react';
import { useStore } from 'zustand';
import type { Shelf } from '@/contracts/shelf';
import { useShelf } from '@/materials/use-shelf';
import { addressOf } from '@/ui/address';
import { Choice } from '@/ui/choice';
import { SavedAndUndo } from '@/ui/saved-and-undo';
import { TopLine } from '@/ui/shell';
import { useAddress } from '@/ui/use-address';
import { useMedia } from '@/ui/use-media';
import { benchCodec, BENCH_TABS, type BenchTab, type BenchView } from './bench-view';
import { MixingRoom } from './mixing-room';
import { ShelfHistory } from './shelf-history';
import { ShelfTab } from './shelf-tab';
import { InksTab, PencilsTab, SticksTab } from './items-tab';
import { StringsTab } from './strings-tab';
import { TriesTab } from './tries-tab';

const TAB_TITLES: Readonly<Record<BenchTab, string>> = {
  shelf: 'tubes',
  mixing: 'mixing room',
  strings: 'strings',
  tries: 'kept mixtures',
  sticks: 'sticks',
  pencils: 'pencils',
  inks: 'inks',
};
const TABS = {
  shelf: ShelfTab,
  mixing: MixingRoom,
  strings: StringsTab,
  tries: TriesTab,
  sticks: SticksTab,
  pencils: PencilsTab,
  inks: InksTab,
};

/** Here the parts of the bench don't stand in one row. */
const NARROW = '(width < 48rem)';
const PHONE_COLUMNS = 4;

/** What a painter works with, and what comes of mixing it. */
export function Bench({ opened, view: first }: { opened: Shelf; view: BenchView }) {
  const store = useShelf(opened);
  const { history, saveState, undo, redo } = useStore(store);
  const [view, setView] = useState(first);
  const look = (part: Partial<BenchView>) => setView((was) => ({ ...was, ...part }));
  useAddress(addressOf(benchCodec, view));
  const Tab = TABS[view.tab];
  const isNarrow = useMedia(NARROW);
  return (
    <div className="min-h-screen bg-panel">
      <TopLine>
        <SavedAndUndo {...{ history, saveState, undo, redo }} />
      </TopLine>
      <main>
        <div className="flex flex-wrap items-center justify-between gap-x-6 gap-y-2 border-b px-4 py-2 sm:px-6">
          <h1 className="font-serif text-3xl leading-tight">Bench</h1>
          <div className="flex flex-wrap items-center gap-2">
            <ShelfHistory onRestore={(was) => store.getState().change(() => was)} />
            <Choice
              label="Part of the bench"
              showLabel={false}
              columns={isNarrow ? PHONE_COLUMNS : undefined}
              value={view.tab}
              options={BENCH_TABS.map((value) => ({ value, title: TAB_TITLES[value] }))}
              onChange={(tab) => look({ tab })}
            />
          </div>
        </div>
        <Tab shelf={history.present} store={store} view={view} look={look} />
      </main>
    </div>
  );
}
