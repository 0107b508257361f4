'use client';

import { useEffect, useMemo, useState } from 'react';
import { svgOf } from '@/core/plan/drawing';
import type { Plan } from '@/core/plan/value-plan';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { fileName, keepFile } from '@/ui/keep-file';
import { showError } from '@/ui/notices';
import { usePrinted } from '@/ui/use-printed';
import { useSettings } from '@/ui/settings';
import { useDeskStore } from '../../desk-store';
import { useAnswer } from '../../use-answer';
import { pngOfPlan } from './plan-png';
import { DEFAULT_PLAN, PlanSettingsForm, type ChosenPlan } from './plan-settings-form';

/** The zones as a sheet to print and paint from. */
export function PlanDialog({ onClose }: { onClose: () => void }) {
  const { values, title } = useDeskStore().getState().history.present;
  const { settings } = useSettings();
  const [chosen, setChosen] = useState<ChosenPlan>({ ...DEFAULT_PLAN, zones: values.zones });
  const { zones, paper, fill, numbers, grid, short, leastMass } = chosen;
  const { printing, print } = usePrinted();
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
      grid: grid === 'squares' ? { kind: grid, short } : { kind: grid },
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
        <Preview plan={plan} />
        <div className="flex flex-col gap-3">
          <PlanSettingsForm
            settings={chosen}
            onChange={(part) => setChosen({ ...chosen, ...part })}
          />
          <Button
            weight="strong"
            className="mt-2"
            disabled={!made || printing}
            onClick={() => made && void print([made.drawing], title, `${zones} values`)}
          >
            {printing ? 'Printing …' : 'Save PDF'}
          </Button>
          <div className="flex gap-2">
            <Button
              className="grow"
              disabled={!made}
              onClick={() =>
                made &&
                void pngOfPlan(made.drawing).then(
                  (png) => keepFile(png, fileName(title, `${zones} values`, 'png')),
                  showError,
                )
              }
            >
              Save PNG
            </Button>
            <Button
              className="grow"
              disabled={!made}
              onClick={() =>
                made &&
                keepFile(
                  new Blob([svgOf(made.drawing)], { type: 'image/svg+xml' }),
                  fileName(title, `${zones} values`, 'svg'),
                )
              }
            >
              Save SVG
            </Button>
          </div>
        </div>
      </div>
    </Dialog>
  );
}

function Preview({ plan }: { plan: Plan | null }) {
  const source = useMemo(
    () => plan && URL.createObjectURL(new Blob([svgOf(plan.drawing)], { type: 'image/svg+xml' })),
    [plan],
  );
  useEffect(() => () => void (source && URL.revokeObjectURL(source)), [source]);
  return (
    <div className="flex min-h-64 items-center justify-center bg-surround p-3">
      {source && plan ? (
        <img
          src={source}
          alt={`Value plan in ${plan.zones.length} values`}
          className="max-h-[60vh] max-w-full"
          style={{ aspectRatio: plan.drawing.width / plan.drawing.height }}
        />
      ) : (
        <p role="status" className="bg-sheet px-4 py-2">
          Drawing the plan …
        </p>
      )}
    </div>
  );
}
