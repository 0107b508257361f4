'use client';

import { Choice } from '@/ui/choice';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { Fold } from '../../panel/panel-parts';

/** The scale that every value is shown on: schools differ, and what is stored does not. */
export function ScaleSetting() {
  const { settings, change } = useSettings();
  const { scale } = settings;
  const last = scale.first + scale.steps - 1;
  return (
    <Fold title="Your value scale" aside={`${scale.first} to ${last}, high is ${scale.highIs}`}>
      <Slider
        label="Steps"
        words={String(scale.steps)}
        min={2}
        max={11}
        value={scale.steps}
        onChange={(steps) => change({ scale: { ...scale, steps } })}
      />
      <div className="flex flex-col gap-2">
        <Choice
          label="Counted from"
          value={String(scale.first) as '0' | '1'}
          options={[
            { value: '0', title: '0' },
            { value: '1', title: '1' },
          ]}
          onChange={(first) => change({ scale: { ...scale, first: first === '0' ? 0 : 1 } })}
        />
        <Choice
          label="The high end is"
          value={scale.highIs}
          options={[
            { value: 'light', title: 'light' },
            { value: 'dark', title: 'dark' },
          ]}
          onChange={(highIs) => change({ scale: { ...scale, highIs } })}
        />
      </div>
    </Fold>
  );
}
