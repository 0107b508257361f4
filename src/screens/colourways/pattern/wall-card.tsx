'use client';

import { useRef, type ReactNode } from 'react';
import type { WayColour } from '@/core/pattern/way-colours';
import { useSettings } from '@/ui/settings';
import { Stave, staveWords } from '@/ui/stave';
import { useSize } from '@/ui/use-size';
import { DrawnCanvas } from './drawn-canvas';
import type { Given } from './drawing-room';

interface Props {
  name: string;
  given: Given;
  colours: readonly WayColour[];
  repeats: number;
  onOpen: () => void;
  compared?: boolean;
  onCompare?: () => void;
  /** What else can be done with it. */
  children?: ReactNode;
}

/** One colourway on the wall: the drawing, its stave, its name. */
export function WallCard({
  name,
  given,
  colours,
  repeats,
  onOpen,
  compared,
  onCompare,
  children,
}: Props) {
  const { settings } = useSettings();
  const frame = useRef<HTMLButtonElement>(null);
  const { width } = useSize(frame);
  return (
    <li className="bg-sheet">
      <button
        ref={frame}
        type="button"
        title={name}
        onClick={onOpen}
        className="block w-full text-left hover:outline-2 hover:outline-ink"
      >
        <span className="block aspect-square overflow-hidden bg-surround">
          <DrawnCanvas given={given} width={width} height={width} repeats={repeats} />
        </span>
        <Stave swatches={colours} scale={settings.scale} height={26} label={staveWords(colours)} />
        <span className="line-clamp-2 min-h-[2.3rem] px-1.5 pt-0.5 text-sm leading-tight">
          {name}
        </span>
      </button>
      <span className="flex h-10 items-center justify-between">
        {onCompare ? (
          <label className="flex h-10 min-w-10 items-center justify-center">
            <input
              type="checkbox"
              aria-label={`Compare ${name}`}
              title="Compare"
              className="h-5 w-5 accent-ink"
              checked={compared}
              onChange={onCompare}
            />
          </label>
        ) : (
          <span />
        )}
        {children}
      </span>
    </li>
  );
}
