'use client';

import { useEffect, useRef, useState } from 'react';
import { useDrawing, type Given } from './drawing-room';

interface Props {
  given: Given;
  /** CSS pixels; the drawing is fitted into them. */
  width: number;
  height: number;
  /** How often it is repeated along the shorter side; 1 for the motif alone. */
  repeats?: number;
  /** Left out where its name stands beside it. */
  label?: string;
}

/** The drawing in some colours at the size of a thumbnail: drawn once, so that many of them scroll as pictures do. */
export function DrawnCanvas({ given, width, height, repeats = 1, label }: Props) {
  const room = useDrawing();
  const canvas = useRef<HTMLCanvasElement>(null);
  const [failed, setFailed] = useState(false);
  const { worker, thumbnail, facts } = room;
  useEffect(() => {
    if (!worker || width < 1 || height < 1) return;
    let stopped = false;
    const draw = async () => {
      const image = await thumbnail(given);
      if (stopped || !canvas.current) return;
      drawTiles(canvas.current, image, facts, { width, height }, repeats);
      canvas.current.dataset.drawn = '';
      setFailed(false);
    };
    draw().catch(() => {
      if (!stopped) setFailed(true);
    });
    return () => {
      stopped = true;
    };
  }, [worker, thumbnail, facts, given, width, height, repeats]);
  return (
    <span className="relative block" style={{ width, height }}>
      <canvas
        ref={canvas}
        {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
        className="absolute inset-0 h-full w-full"
      />
      {failed && (
        <span className="absolute inset-0 bg-panel p-2 text-sm">It could not be drawn.</span>
      )}
    </span>
  );
}

function drawTiles(
  canvas: HTMLCanvasElement,
  image: CanvasImageSource,
  tile: { width: number; height: number },
  { width, height }: { width: number; height: number },
  repeats: number,
): void {
  const density = window.devicePixelRatio || 1;
  canvas.width = Math.round(width * density);
  canvas.height = Math.round(height * density);
  const context = canvas.getContext('2d');
  if (!context) return;
  context.scale(density, density);
  context.imageSmoothingQuality = 'high';
  const scale =
    repeats === 1
      ? Math.min(width / tile.width, height / tile.height)
      : Math.min(width, height) / (repeats * Math.min(tile.width, tile.height));
  const [wide, high] = [tile.width * scale, tile.height * scale];
  // What is bare is paper, here as where it stands large.
  context.fillStyle = '#ffffff';
  if (repeats === 1) {
    const [left, top] = [(width - wide) / 2, (height - high) / 2];
    context.fillRect(left, top, wide, high);
    context.drawImage(image, left, top, wide, high);
    return;
  }
  context.fillRect(0, 0, width, height);
  for (let y = 0; y < height; y += high)
    for (let x = 0; x < width; x += wide) context.drawImage(image, x, y, wide, high);
}
