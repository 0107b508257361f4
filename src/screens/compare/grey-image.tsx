'use client';

import { useEffect, useRef } from 'react';
import { greyPicture } from '@/core/picture/value-map';
import { showError } from '@/ui/notices';

/** Enough for half of a wide screen. */
const MAX_SIDE = 960;

/** A picture in greys of equal lightness. */
export function GreyImage({ src, className }: { src: string; className: string }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    let isGone = false;
    const image = new Image();
    image.src = src;
    image.decode().then(
      () => {
        if (canvas.current && !isGone) draw(image, canvas.current);
      },
      () => isGone || showError(new Error('The picture could not be read.')),
    );
    return () => {
      isGone = true;
    };
  }, [src]);
  return <canvas ref={canvas} role="img" aria-label="in greys" className={className} />;
}

function draw(image: HTMLImageElement, canvas: HTMLCanvasElement): void {
  const by = Math.min(1, MAX_SIDE / Math.max(image.naturalWidth, image.naturalHeight));
  const width = Math.max(1, Math.round(image.naturalWidth * by));
  const height = Math.max(1, Math.round(image.naturalHeight * by));
  canvas.width = width;
  canvas.height = height;
  const pen = canvas.getContext('2d', { willReadFrequently: true });
  if (!pen) return;
  pen.drawImage(image, 0, 0, width, height);
  const { data } = pen.getImageData(0, 0, width, height);
  const grey = greyPicture({ width, height, data });
  pen.putImageData(new ImageData(new Uint8ClampedArray(grey.data), width, height), 0, 0);
}
