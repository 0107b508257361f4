'use client';

import { useState } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { Pattern } from '@/contracts/pattern-drawing';
import { call } from '@/ui/api';
import { Button } from '@/ui/button';
import { showError } from '@/ui/notices';
import { Finding } from '@/ui/panel-parts';
import { Slider } from '@/ui/slider';
import { Tick } from '@/ui/tick';
import { capital, several } from '@/ui/words';
import { choose } from '@/study/pattern-edits';
import { useDrawing } from './drawing-room';
import { useChange, useContent } from './use-pattern';

/** Per cent of the longer side. */
const DEFAULT_GAP = 1.5;
const MAX_GAP = 5;

/** A drawing of lines alone: the panes between them are found and filled, below the lines. */
export function LinesTab({ imported }: { imported: Pattern['drawings'][number] | undefined }) {
  const { patternId, facts, addDrawing, painted } = useDrawing();
  const drawing = useContent((content) => content.drawing);
  const change = useChange();
  const [gap, setGap] = useState(DEFAULT_GAP);
  const [repeats, setRepeats] = useState(false);
  const [isFilling, setFilling] = useState(false);
  const fill = async () => {
    setFilling(true);
    try {
      const from = imported?.hash ?? drawing;
      const filled = await call(endpoints.fillRegions, {
        id: patternId,
        body: { drawing: from, gap: gap / 100, repeats },
      });
      addDrawing(filled.hash, filled.facts);
      change((was) => choose({ by: 'area' })({ ...was, drawing: filled.hash }));
    } catch (error) {
      showError(error);
    } finally {
      setFilling(false);
    }
  };
  return (
    <>
      <Finding>{findingOf(facts, painted.paints.length)}</Finding>
      {facts.regions && facts.regions.bridged.length > 0 && (
        <p className="mb-2 text-[15px] leading-snug text-soft">
          Each bridged gap has a ring on the drawing.
        </p>
      )}
      <Slider
        label="Gaps up to"
        value={gap}
        min={0}
        max={MAX_GAP}
        step={0.25}
        words={`${gap} %`}
        onChange={setGap}
      />
      <p className="mb-1 text-sm text-soft">of the longer side are bridged.</p>
      <Tick checked={repeats} onChange={setRepeats}>
        It repeats: panes go on at the other side
      </Tick>
      <Button weight="strong" className="w-full" disabled={isFilling} onClick={() => void fill()}>
        {isFilling
          ? 'Looking for panes …'
          : facts.regions
            ? 'Fill the panes again'
            : 'Find and fill the panes'}
      </Button>
      {facts.regions && imported && (
        <Button
          className="mt-2 w-full"
          onClick={() => change((was) => ({ ...was, drawing: imported.hash }))}
        >
          Lines alone again
        </Button>
      )}
      <p className="mt-3 text-[15px] leading-snug text-soft">
        Panes get the palette’s colours by its proportions, neighbours different ones. The lines
        stay as they are drawn, and can be given a colour like anything else.
      </p>
    </>
  );
}

function findingOf(
  {
    regions,
    bare,
  }: { regions: { count: number; bridged: readonly unknown[] } | null; bare: number },
  paints: number,
): string {
  if (regions)
    return `${capital(several(regions.count, 'pane'))} filled; ${
      regions.bridged.length === 0
        ? 'the lines closed them all.'
        : `${several(regions.bridged.length, 'gap')} in the lines ${regions.bridged.length === 1 ? 'was' : 'were'} bridged.`
    }`;
  return paints <= 3 && bare > 0.5
    ? 'This is a drawing of lines: its panes can be filled.'
    : 'This drawing has fills of its own; only what it leaves bare would be filled.';
}
