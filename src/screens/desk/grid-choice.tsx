import { MAX_SQUARES, MIN_SQUARES, type TransferGrid } from '@/core/plan/transfer-grid';
import { Choice } from '@/ui/choice';
import { Slider } from '@/ui/slider';

/** The grid of a sheet, and how many squares there would be along the shorter side. */
export interface ChosenGrid {
  grid: TransferGrid['kind'];
  short: number;
}

export const gridOf = ({ grid, short }: ChosenGrid): TransferGrid =>
  grid === 'squares' ? { kind: grid, short } : { kind: grid };

/** How a sheet is divided for carrying it over to the canvas. */
export function GridChoice({
  grid,
  short,
  onChange,
}: ChosenGrid & { onChange: (part: Partial<ChosenGrid>) => void }) {
  return (
    <>
      <Choice
        label="Grid"
        value={grid}
        options={[
          { value: 'none', title: 'none' },
          { value: 'thirds', title: 'thirds' },
          { value: 'squares', title: 'squares' },
        ]}
        onChange={(next) => onChange({ grid: next })}
      />
      {grid === 'squares' && (
        <Slider
          label="Short side"
          words={`${short}`}
          min={MIN_SQUARES}
          max={MAX_SQUARES}
          value={short}
          onChange={(next) => onChange({ short: next })}
        />
      )}
    </>
  );
}
