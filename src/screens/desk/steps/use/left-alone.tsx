'use client';

import { keepNoPart } from '@/study/use-edits';
import { Button } from '@/ui/button';
import { Fold } from '@/ui/panel-parts';
import { several } from '@/ui/words';
import { useDeskStore, useDocument } from '../../desk-store';
import { BrushWidth, ToolChoice } from '../../panel/drawing-tools';

/** Parts that keep their own colours whatever is tried: skin, looped or brushed. */
export function LeftAlone() {
  const parts = useDocument((document) => document.use.parts.length);
  const { change } = useDeskStore().getState();
  return (
    <Fold title="Left as it is" aside={parts > 0 ? several(parts, 'part') : 'loop out skin'}>
      <div className="flex flex-col gap-2">
        <ToolChoice />
        <BrushWidth />
        {parts > 0 && <Button onClick={() => change(keepNoPart)}>Leave nothing as it is</Button>}
      </div>
    </Fold>
  );
}
