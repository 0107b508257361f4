'use client';

import type { Picture } from '@/core/picture/picture';
import type { StartedDrawings } from '@/workers/browser/start-drawings';
import { imageOf } from './image-of';

/** Pixels along the longer side of what thumbnails are drawn from. */
const SIDE = 320;

const weighing = new WeakMap<StartedDrawings, Promise<boolean>>();

/** Renders a drawing in as many colours as its worker wants to know its paints' weights from; once for each drawing. False for one that is no sum of its paints. */
export function weighed(
  worker: StartedDrawings,
  size: { width: number; height: number },
): Promise<boolean> {
  const known = weighing.get(worker);
  if (known) return known;
  const work = weigh(worker, size);
  weighing.set(worker, work);
  return work;
}

async function weigh(
  { drawings }: StartedDrawings,
  { width, height }: { width: number; height: number },
): Promise<boolean> {
  const layers = await drawings.layers();
  if (layers.length === 0) return false;
  const scale = SIDE / Math.max(width, height);
  const [across, down] = [width, height].map((side) => Math.max(1, Math.round(side * scale)));
  const renderings: Picture[] = [];
  for (const layer of layers) {
    const canvas = new OffscreenCanvas(across, down);
    const context = canvas.getContext('2d', { willReadFrequently: true });
    if (!context) return false;
    context.drawImage(await imageOf(layer), 0, 0, across, down);
    const { data } = context.getImageData(0, 0, across, down);
    renderings.push({ width: across, height: down, data: data as Uint8ClampedArray });
  }
  await drawings.weigh(renderings);
  return true;
}

/** A picture as something that can be drawn. */
export function asCanvas({ width, height, data }: Picture): OffscreenCanvas {
  const canvas = new OffscreenCanvas(width, height);
  canvas
    .getContext('2d')
    ?.putImageData(new ImageData(new Uint8ClampedArray(data), width, height), 0, 0);
  return canvas;
}
