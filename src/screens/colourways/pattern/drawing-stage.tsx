'use client';

import { useEffect, useRef, useState } from 'react';
import { useSize } from '@/ui/use-size';
import { useDrawing, type Given } from './drawing-room';
import { usePanZoom, viewByKey, type PanZoom } from './use-pan-zoom';

const MARGIN = 24;

interface Props {
  given: Given;
  label: string;
  view: PanZoom;
  setView: (edit: (was: PanZoom) => PanZoom) => void;
  /** Told a place of the drawing (shares of its sides) that was touched. */
  onPlace?: (x: number, y: number) => void;
  /** Laid over the drawing, in shares of its sides. */
  marks?: readonly { x: number; y: number; title: string }[];
}

/** The drawing large: zoomed and panned as a vector, so that it stays sharp. */
export function DrawingStage({ given, label, view, setView, onPlace, marks = [] }: Props) {
  const { worker, write, facts, failed } = useDrawing();
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const [source, setSource] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  usePanZoom(frame, view, setView);
  useEffect(() => {
    if (!worker) return;
    let stopped = false;
    let url = '';
    write(given).then(
      (blob) => {
        if (stopped) return;
        url = URL.createObjectURL(blob);
        setSource(url);
        setWrong(null);
      },
      (error: Error) => {
        if (!stopped) setWrong(error.message);
      },
    );
    return () => {
      stopped = true;
      // The next one takes its place first.
      if (url) setTimeout(() => URL.revokeObjectURL(url), 1000);
    };
  }, [worker, write, given]);
  const fit = Math.min(
    Math.max(1, size.width - 2 * MARGIN) / facts.width,
    Math.max(1, size.height - 2 * MARGIN) / facts.height,
  );
  const width = facts.width * fit * view.zoom;
  const height = facts.height * fit * view.zoom;
  const box = {
    width,
    height,
    left: size.width / 2 + view.x - width / 2,
    top: size.height / 2 + view.y - height / 2,
  };
  const problem = failed ?? wrong;
  return (
    <div
      ref={frame}
      role="group"
      tabIndex={0}
      aria-label="The drawing: plus and minus zoom, arrows move it, 0 fits it"
      onKeyDown={(event) => {
        const edit = event.ctrlKey || event.metaKey ? null : viewByKey(event.key);
        if (!edit) return;
        event.preventDefault();
        setView(edit);
      }}
      className="relative h-full w-full touch-none overflow-hidden bg-surround -outline-offset-4"
      data-testid="drawing-stage"
      onClick={({ clientX, clientY, currentTarget }) => {
        const { left, top } = currentTarget.getBoundingClientRect();
        const x = (clientX - left - box.left) / box.width;
        const y = (clientY - top - box.top) / box.height;
        if (x >= 0 && x < 1 && y >= 0 && y < 1) onPlace?.(x, y);
      }}
    >
      {source && (
        <img
          src={source}
          alt={label}
          draggable={false}
          data-testid="drawing"
          className="absolute max-w-none bg-white select-none"
          style={box}
        />
      )}
      {marks.map(({ x, y, title }, i) => (
        <span
          key={i}
          title={title}
          className="absolute h-7 w-7 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-black outline-2 outline-white"
          style={{ left: box.left + x * box.width, top: box.top + y * box.height }}
        />
      ))}
      {!source && !problem && (
        <p role="status" className="absolute inset-0 m-auto h-fit w-fit bg-panel px-4 py-2">
          Reading the drawing …
        </p>
      )}
      {problem && (
        <p role="alert" className="absolute inset-x-8 top-8 bg-panel px-4 py-3">
          {`The drawing can’t be shown: ${problem}. Your work is kept; reload the page to try again.`}
        </p>
      )}
    </div>
  );
}
