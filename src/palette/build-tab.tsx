'use client';

import { Choice } from '@/ui/choice';
import { DerivedForm } from './derived-form';
import { HarmonyForm } from './harmony-form';
import { LadderForm } from './ladder-form';
import { LimitedForm } from './limited-form';

/** What is built. */
export const BUILDS = ['ladder', 'harmony', 'derived', 'limited'] as const;
export type Build = (typeof BUILDS)[number];

const TITLES: Record<Build, string> = {
  ladder: 'ladder',
  harmony: 'harmony',
  derived: 'derived',
  limited: 'limited palette',
};

interface Props {
  build: Build;
  onBuild: (build: Build) => void;
  /** The swatches of a limited palette. */
  limited: readonly string[];
  onLimited: (ids: readonly string[]) => void;
}

/** Colours made from a colour: its tones, a harmony, what follows from it, and what a few can make. */
export function BuildTab({ build, onBuild, limited, onLimited }: Props) {
  return (
    <>
      <div className="mb-3">
        <Choice
          label="What is built"
          showLabel={false}
          fill
          value={build}
          options={BUILDS.map((value) => ({ value, title: TITLES[value] }))}
          onChange={onBuild}
        />
      </div>
      {build === 'ladder' && <LadderForm />}
      {build === 'harmony' && <HarmonyForm />}
      {build === 'derived' && <DerivedForm />}
      {build === 'limited' && <LimitedForm chosen={limited} onChoose={onLimited} />}
    </>
  );
}
