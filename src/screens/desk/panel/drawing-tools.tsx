'use client';

import { Brush, Lasso, MousePointer2 } from 'lucide-react';
import { Button } from '@/ui/button';
import { Slider } from '@/ui/slider';
import { useDesk, useDeskStore } from '../desk-store';
import type { Tool } from '../extension-points';

const MIN_BRUSH = 0.004;
const MAX_BRUSH = 0.08;
const TOOLS: { tool: Tool; title: string; icon: typeof Brush }[] = [
  { tool: 'look', title: 'Look', icon: MousePointer2 },
  { tool: 'brush', title: 'Brush', icon: Brush },
  { tool: 'lasso', title: 'Lasso', icon: Lasso },
];

/** The tool that draws parts of the picture, if one is in use. */
export function ToolChoice() {
  const tool = useDesk((state) => state.tool);
  const { set } = useDeskStore().getState();
  return (
    <div className="flex border border-ink" role="group" aria-label="Tool">
      {TOOLS.map(({ tool: one, title, icon: Icon }) => (
        <Button
          key={one}
          weight="quiet"
          aria-pressed={tool === one}
          className="grow border-0 not-first:border-l not-first:border-ink aria-pressed:bg-ink aria-pressed:text-sheet"
          onClick={() => set({ tool: one, hovered: null, pinned: null })}
        >
          <Icon size={17} aria-hidden /> {title}
        </Button>
      ))}
    </div>
  );
}

export function BrushWidth() {
  const brush = useDesk((state) => state.brush);
  const { set } = useDeskStore().getState();
  return (
    <Slider
      label="Brush"
      words={`${(brush.radius * 200).toFixed(1)} %`}
      min={MIN_BRUSH}
      max={MAX_BRUSH}
      step={0.002}
      value={brush.radius}
      onChange={(radius) => set({ brush: { ...brush, radius } })}
    />
  );
}
