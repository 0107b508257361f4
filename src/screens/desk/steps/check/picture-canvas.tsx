'use client';

import { useEffect, useRef } from 'react';

/** A place that is marked on both pictures. */
export interface CheckMark {
  id: string;
  x: number;
  y: number;
  label: string;
  isStrong: boolean;
}

type Canvas = HTMLCanvasElement;

/** What is drawn of both: first what the study is held against, then the study. */
export interface BothPictures {
  pictures: readonly [Canvas, Canvas];
  titles: readonly [string, string];
  marks: readonly CheckMark[];
}

/** A drawn picture as large as its frame. */
export function PictureCanvas({ picture, label }: { picture: Canvas; label: string }) {
  const canvas = useRef<Canvas>(null);
  useEffect(() => {
    canvas.current?.getContext('2d')?.drawImage(picture, 0, 0);
  }, [picture]);
  return (
    <canvas
      ref={canvas}
      key={`${picture.width} ${picture.height}`}
      width={picture.width}
      height={picture.height}
      role="img"
      aria-label={label}
      className="absolute inset-0 h-full w-full object-contain"
    />
  );
}

/** Numbered rings at the places that findings speak of; one without a number is hollow. */
export function Marks({ marks }: { marks: readonly CheckMark[] }) {
  return marks.map(({ id, x, y, label, isStrong }) => (
    <span
      key={id}
      aria-hidden
      className={`pointer-events-none absolute flex -translate-x-1/2 -translate-y-1/2 items-center justify-center rounded-full border-2 border-black text-sm font-semibold outline-2 outline-white ${label ? 'h-7 w-7' : 'h-4 w-4'} ${isStrong ? 'bg-white text-black' : label ? 'bg-black/70 text-white' : ''}`}
      style={{ left: `${x * 100}%`, top: `${y * 100}%` }}
    >
      {label}
    </span>
  ));
}

/** The largest box of a shape within another. */
export function fitted(aspect: number, width: number, height: number) {
  const w = Math.max(1, Math.min(width, height * aspect));
  return { width: w, height: w / aspect };
}
