'use client';

import { useState } from 'react';
import { PaletteStave } from '@/palette/palette-stave';
import { Button } from '@/ui/button';
import { useDeskStore, useDocument } from '../desk-store';
import { goFor, useSteps } from '../step';
import { usePalette } from '../use-palette';
import { SaveDialog } from './save-dialog';

/** The study's palette as a stave, always in view. */
export function Tray() {
  const palette = usePalette();
  const { swatches, count } = useDocument((document) => document.palette);
  const store = useDeskStore();
  const steps = useSteps();
  const [saving, setSaving] = useState(false);
  return (
    <>
      <PaletteStave
        empty="Extract colours, or pick them from the picture."
        onSelect={() => {
          store.getState().look({ at: null });
          goFor(steps, 'look at a swatch', store.getState());
        }}
      >
        <div className="flex w-40 shrink-0 flex-col justify-center gap-2 border-l px-3 max-sm:w-24 max-sm:px-1.5 max-sm:[&_button]:px-1">
          <Button disabled={palette.busy} onClick={() => void palette.extract(count)}>
            {palette.busy ? 'Extracting …' : swatches.length === 0 ? 'Extract' : 'Extract again'}
          </Button>
          <Button weight="strong" disabled={swatches.length === 0} onClick={() => setSaving(true)}>
            Save to Drawers
          </Button>
        </div>
      </PaletteStave>
      {saving && <SaveDialog onClose={() => setSaving(false)} />}
    </>
  );
}
