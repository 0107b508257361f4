'use client';

import { useState, type ReactNode } from 'react';
import { BuildTab, type Build } from '@/palette/build-tab';
import { DuplicatesTab } from '@/palette/duplicates-tab';
import { usePaletteState, useSwatches } from '@/palette/host';
import { ProportionsTab } from '@/palette/proportions-tab';
import { SeveralSwatches } from '@/palette/several-swatches';
import { Choice } from '@/ui/choice';

/** A screen without room for the tools beside the list. */
export const NARROW = '(width < 48rem)';
const TABS = ['swatch', 'add', 'merge', 'proportions', 'build', 'about'] as const;
export type LibraryTab = (typeof TABS)[number];

/** Tabs that a selected swatch takes the place of; the others work on it. */
const GIVES_WAY: readonly LibraryTab[] = ['add', 'about'];
export const tabForSwatch = (tab: LibraryTab): LibraryTab =>
  GIVES_WAY.includes(tab) ? 'swatch' : tab;

interface Props {
  tab: LibraryTab;
  onTab: (tab: LibraryTab) => void;
  /** All of the swatch that is selected; null where it stands in the list. */
  swatch: ReactNode;
  about: ReactNode;
  add: ReactNode;
}

/** What is done to the library as a whole, with the tools that a study's palette has. */
export function LibraryPanel({ tab, onTab, swatch, about, add }: Props) {
  const [build, setBuild] = useState<Build>('ladder');
  const [limited, setLimited] = useState<readonly string[]>([]);
  const swatches = useSwatches();
  const chosen = usePaletteState((state) => state.chosen);
  const there = swatches.filter(({ id }) => chosen.includes(id)).map(({ id }) => id);
  return (
    <aside
      aria-label="Tools"
      className="min-w-0 pt-4 md:sticky md:top-52 md:max-h-[calc(100vh-13rem)] md:self-start md:overflow-y-auto md:py-4"
    >
      <div className="mb-3">
        <Choice
          label="What is done"
          showLabel={false}
          fill
          value={tab}
          options={TABS.filter((value) => value !== 'swatch' || swatch !== null).map((value) => ({
            value,
            title: value,
          }))}
          onChange={onTab}
        />
      </div>
      {there.length > 1 && <SeveralSwatches ids={there} />}
      {tab === 'swatch' && there.length < 2 && swatch}
      {tab === 'about' && about}
      {tab === 'add' && add}
      {tab === 'merge' && <DuplicatesTab />}
      {tab === 'proportions' && <ProportionsTab />}
      {tab === 'build' && (
        <BuildTab build={build} onBuild={setBuild} limited={limited} onLimited={setLimited} />
      )}
    </aside>
  );
}
