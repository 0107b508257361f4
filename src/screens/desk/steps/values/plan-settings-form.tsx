import { MIN_ZONES, MAX_ZONES } from '@/core/measure/zones';
import { PLAN_PAPERS, type PlanPaper } from '@/core/plan/value-plan';
import { Choice } from '@/ui/choice';
import { Slider } from '@/ui/slider';
import { GridChoice, type ChosenGrid } from '../../grid-choice';

/** What a person says of a plan. */
export interface ChosenPlan extends ChosenGrid {
  zones: number;
  paper: PlanPaper;
  fill: 'greys' | 'outlines';
  numbers: 'numbers' | 'none';
  /** The share of the picture under which a mass is left out. */
  leastMass: number;
}

export const DEFAULT_PLAN: Omit<ChosenPlan, 'zones'> = {
  paper: 'A4',
  fill: 'greys',
  numbers: 'numbers',
  grid: 'squares',
  short: 6,
  leastMass: 0.002,
};

/** How a plan is drawn, and on what paper. */
export function PlanSettingsForm({
  settings,
  onChange,
}: {
  settings: ChosenPlan;
  onChange: (part: Partial<ChosenPlan>) => void;
}) {
  const { zones, paper, fill, numbers, grid, short, leastMass } = settings;
  return (
    <>
      <Slider
        label="Values"
        words={String(zones)}
        min={MIN_ZONES}
        max={MAX_ZONES}
        value={zones}
        onChange={(zones) => onChange({ zones })}
      />
      <Choice
        label="Shown as"
        value={fill}
        options={[
          { value: 'greys', title: 'greys' },
          { value: 'outlines', title: 'outlines' },
        ]}
        onChange={(fill) => onChange({ fill })}
      />
      <Slider
        label="Least mass"
        said="Least size of a mass"
        words={leastMass === 0 ? 'any' : `${(leastMass * 100).toFixed(1)} %`}
        min={0}
        max={0.03}
        step={0.001}
        value={leastMass}
        onChange={(next) => onChange({ leastMass: Math.round(next * 1000) / 1000 })}
      />
      <Choice
        label="Numbers"
        value={numbers}
        options={[
          { value: 'numbers', title: 'on' },
          { value: 'none', title: 'off' },
        ]}
        onChange={(numbers) => onChange({ numbers })}
      />
      <GridChoice grid={grid} short={short} onChange={onChange} />
      <Choice
        label="Paper"
        value={paper}
        options={(Object.keys(PLAN_PAPERS) as PlanPaper[]).map((value) => ({
          value,
          title: value,
        }))}
        onChange={(paper) => onChange({ paper })}
      />
    </>
  );
}
