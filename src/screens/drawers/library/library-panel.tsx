'use client';

import { useState, type ReactNode } from 'react';
import { BuildTab, type Build } from '@/palette/build-tab';
import { DuplicatesTab } from '@/palette/duplicates-tab';
import { usePaletteState, useSwatches } from '@/palette/host';
import { ProportionsTab } from '@/palette/proportions-tab';
import { SeveralSwatches } from '@/palette/several-swatches';
import { Choice } from '@/ui/choice';

const TABS = ['about', 'add', 'merge', 'proportions', 'build'] as const;
export type LibraryTab = (typeof TABS)[number];

interface Props {
  first: LibraryTab;
  about: ReactNode;
  add: ReactNode;
}

/** What is done to the library as a whole, with the tools that a study's palette has. */
export function LibraryPanel({ first, about, add }: Props) {
  const [tab, setTab] = useState(first);
  const [build, setBuild] = useState<Build>('ladder');
  const [limited, setLimited] = useState<readonly string[]>([]);
  const swatches = useSwatches();
  const chosen = usePaletteState((state) => state.chosen);
  const there = swatches.filter(({ id }) => chosen.includes(id)).map(({ id }) => id);
  return (
    <aside aria-label="Tools" className="min-w-0">
      <div className="mb-3">
        <Choice
          label="What is done"
          showLabel={false}
          fill
          value={tab}
          options={TABS.map((value) => ({ value, title: value }))}
          onChange={setTab}
        />
      </div>
      {there.length > 1 && <SeveralSwatches ids={there} />}
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
