'use client';

import { useDrag } from '@use-gesture/react';
import { useEffect, useRef } from 'react';

interface Props {
  left: number;
  top: number;
  height: number;
  wipe: number;
  onMove: (clientX: number) => void;
  onChange: (wipe: number) => void;
}

/** The line between the picture (left) and the lens (right). */
export function WipeHandle({ left, top, height, wipe, onMove, onChange }: Props) {
  const handle = useRef<HTMLDivElement>(null);
  useDrag(({ xy: [x] }) => onMove(x), { target: handle, pointer: { keys: false } });
  // The stage listens natively too, and would pan along.
  useEffect(() => {
    const element = handle.current;
    const stop = (event: Event) => event.stopPropagation();
    element?.addEventListener('pointerdown', stop);
    return () => element?.removeEventListener('pointerdown', stop);
  }, []);
  return (
    <div
      ref={handle}
      role="slider"
      tabIndex={0}
      aria-label="Wipe between the picture and the lens"
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round(wipe * 100)}
      aria-valuetext={`picture to ${Math.round(wipe * 100)} % of the width`}
      onKeyDown={(event) => {
        if (event.key !== 'ArrowLeft' && event.key !== 'ArrowRight') return;
        event.preventDefault();
        event.stopPropagation();
        onChange(wipe + (event.key === 'ArrowLeft' ? -0.02 : 0.02));
      }}
      className="absolute flex w-10 -translate-x-1/2 cursor-ew-resize touch-none justify-center"
      style={{ left, top, height }}
    >
      <span className="h-full w-px bg-white outline outline-black" />
      <span className="absolute top-1/2 h-10 w-4 -translate-y-1/2 border border-black bg-white" />
    </div>
  );
}
