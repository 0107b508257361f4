'use client';

import { useEffect, useMemo, useState } from 'react';
import { svgOf } from '@/core/plan/drawing';
import type { Plan, PlanPaper } from '@/core/plan/value-plan';
import { PLAN_PAPERS } from '@/core/plan/value-plan';
import { MIN_SQUARES, MAX_SQUARES } from '@/core/plan/transfer-grid';
import { MIN_ZONES, MAX_ZONES } from '@/core/measure/zones';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { callForFile } from '@/ui/api';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { Dialog } from '@/ui/dialog';
import { fileName, keepFile } from '@/ui/keep-file';
import { showError } from '@/ui/notices';
import { useSettings } from '@/ui/settings';
import { Slider } from '@/ui/slider';
import { useDeskStore } from '../../desk-store';
import { useAnswer } from '../../use-answer';
import { pngOfPlan } from './plan-png';

/** The zones as a sheet to print and paint from. */
export function PlanDialog({ onClose }: { onClose: () => void }) {
  const { values, title } = useDeskStore().getState().history.present;
  const { settings } = useSettings();
  const [zones, setZones] = useState(values.zones);
  const [paper, setPaper] = useState<PlanPaper>('A4');
  const [fill, setFill] = useState<'greys' | 'outlines'>('greys');
  const [numbers, setNumbers] = useState<'numbers' | 'none'>('numbers');
  const [grid, setGrid] = useState<'none' | 'thirds' | 'squares'>('squares');
  const [short, setShort] = useState(6);
  const [leastMass, setLeastMass] = useState(0.002);
  const [printing, setPrinting] = useState(false);
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
  /** On the printer's own paper, in its true size. */
  const savePdf = async ({ drawing }: Plan) => {
    setPrinting(true);
    try {
      const pdf = await callForFile(endpoints.printDrawing, { body: drawing });
      keepFile(pdf, fileName(title, `${zones} values`, 'pdf'));
    } catch (error) {
      showError(error);
    } finally {
      setPrinting(false);
    }
  };
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
          <Slider
            label="Values"
            words={String(zones)}
            min={MIN_ZONES}
            max={MAX_ZONES}
            value={zones}
            onChange={setZones}
          />
          <Choice
            label="Shown as"
            value={fill}
            options={[
              { value: 'greys', title: 'greys' },
              { value: 'outlines', title: 'outlines' },
            ]}
            onChange={setFill}
          />
          <Slider
            label="Least mass"
            said="Least size of a mass"
            words={leastMass === 0 ? 'any' : `${(leastMass * 100).toFixed(1)} %`}
            min={0}
            max={0.03}
            step={0.001}
            value={leastMass}
            onChange={(next) => setLeastMass(Math.round(next * 1000) / 1000)}
          />
          <Choice
            label="Numbers"
            value={numbers}
            options={[
              { value: 'numbers', title: 'on' },
              { value: 'none', title: 'off' },
            ]}
            onChange={setNumbers}
          />
          <Choice
            label="Grid"
            value={grid}
            options={[
              { value: 'none', title: 'none' },
              { value: 'thirds', title: 'thirds' },
              { value: 'squares', title: 'squares' },
            ]}
            onChange={setGrid}
          />
          {grid === 'squares' && (
            <Slider
              label="Short side"
              words={`${short}`}
              min={MIN_SQUARES}
              max={MAX_SQUARES}
              value={short}
              onChange={setShort}
            />
          )}
          <Choice
            label="Paper"
            value={paper}
            options={(Object.keys(PLAN_PAPERS) as PlanPaper[]).map((value) => ({
              value,
              title: value,
            }))}
            onChange={setPaper}
          />
          <Button
            weight="strong"
            className="mt-2"
            disabled={!made || printing}
            onClick={() => made && void savePdf(made)}
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
