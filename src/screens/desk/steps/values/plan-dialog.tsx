'use client';

import { useState } from 'react';
import { Dialog } from '@/ui/dialog';
import { useSettings } from '@/ui/settings';
import { useDeskStore } from '../../desk-store';
import { DrawingFiles, DrawingPreview } from '../../drawing-files';
import { gridOf } from '../../grid-choice';
import { useAnswer } from '../../use-answer';
import { DEFAULT_PLAN, PlanSettingsForm, type ChosenPlan } from './plan-settings-form';

/** The zones as a sheet to print and paint from. */
export function PlanDialog({ onClose }: { onClose: () => void }) {
  const { values, title } = useDeskStore().getState().history.present;
  const { settings } = useSettings();
  const [chosen, setChosen] = useState<ChosenPlan>({ ...DEFAULT_PLAN, zones: values.zones });
  const { zones, paper, fill, numbers, leastMass } = chosen;
  // Another number than the study's is cut anew: hand-set thresholds are for theirs alone.
  const cut =
    zones === values.zones
      ? values
      : {
          ...values,
          zones,
          breaks: values.breaks === 'even' ? ('even' as const) : ('natural' as const),
        };
  const { value: plan, stale } = useAnswer<'plan'>({
    kind: 'plan',
    plan: {
      values: cut,
      title,
      paper,
      fill,
      numbers: numbers === 'numbers',
      leastMass,
      grid: gridOf(chosen),
      scale: settings.scale,
    },
  });
  // The earlier plan is still shown, but is not offered under the new name.
  const made = stale ? null : plan;
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title="Value plan"
      about="The zones as a sheet to print, with a key and a grid for carrying it to the canvas."
    >
      <div className="grid gap-6 sm:grid-cols-[1fr_19rem]">
        <DrawingPreview
          drawing={plan?.drawing ?? null}
          alt={`Value plan in ${plan?.zones.length ?? 0} values`}
        />
        <div className="flex flex-col gap-3">
          <PlanSettingsForm
            settings={chosen}
            onChange={(part) => setChosen({ ...chosen, ...part })}
          />
          <DrawingFiles drawing={made?.drawing ?? null} title={title} about={`${zones} values`} />
        </div>
      </div>
    </Dialog>
  );
}
