'use client';

import { Choice } from '@/ui/choice';
import { useStepView } from '../../desk-store';
import { DerivedForm } from './derived-form';
import { HarmonyForm } from './harmony-form';
import { LadderForm } from './ladder-form';
import { LimitedForm } from './limited-form';
import { BUILDS, paletteView, type Build } from './palette-view';

const TITLES: Record<Build, string> = {
  ladder: 'ladder',
  harmony: 'harmony',
  derived: 'derived',
  limited: 'limited palette',
};

const FORMS: Record<Build, () => React.ReactNode> = {
  ladder: LadderForm,
  harmony: HarmonyForm,
  derived: DerivedForm,
  limited: LimitedForm,
};

/** Colours made from a colour: its tones, a harmony, what follows from it, and what a few can make. */
export function BuildTab() {
  const [{ build }, look] = useStepView(paletteView);
  const Form = FORMS[build];
  return (
    <>
      <div className="mb-3">
        <Choice
          label="What is built"
          showLabel={false}
          fill
          value={build}
          options={BUILDS.map((value) => ({ value, title: TITLES[value] }))}
          onChange={(next) => look({ build: next })}
        />
      </div>
      <Form />
    </>
  );
}
