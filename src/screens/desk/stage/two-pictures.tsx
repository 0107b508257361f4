'use client';

import { useRef } from 'react';
import { Image, Layer, Stage as Konva } from 'react-konva';
import { useSettings } from '@/ui/settings';
import { useDesk, useDeskStore } from '../desk-store';
import { usePicture } from '../picture-room';
import type { Point } from '../view';
import { readingKeys } from './reading-keys';
import { Ring } from './shapes';
import { useSize } from '@/ui/use-size';
import { twoFrames } from './two-frames';

type Drawn = HTMLCanvasElement | null;

interface Props {
  label: string;
  testId: string;
  titles: readonly [string, string];
  pictures: readonly [Drawn, Drawn];
  /** Laid over both. */
  over: Drawn;
}

/** The picture in two ways side by side; what is pointed at in one is pointed at in the other. */
export function TwoPictures({ label, testId, titles, pictures, over }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const store = useDeskStore();
  const { canvas } = usePicture();
  const { settings } = useSettings();
  const pointer = useDesk((state) => state.pointer);
  const frames = twoFrames((canvas?.width ?? 1) / (canvas?.height ?? 1), size);

  const placeUnder = (clientX: number, clientY: number): Point | null => {
    const box = frame.current?.getBoundingClientRect();
    if (!box) return null;
    for (const { x, y, width, height } of frames) {
      const place = { x: (clientX - box.left - x) / width, y: (clientY - box.top - y) / height };
      if (place.x >= 0 && place.x < 1 && place.y >= 0 && place.y < 1) return place;
    }
    return null;
  };

  return (
    <div
      ref={frame}
      role="application"
      aria-label={`${label} Arrow keys move the place that is read.`}
      tabIndex={0}
      onKeyDown={readingKeys(store, () => undefined)}
      onPointerMove={(event) =>
        store.getState().set({ pointer: placeUnder(event.clientX, event.clientY) })
      }
      onPointerDown={(event) =>
        store.getState().set({ pointer: placeUnder(event.clientX, event.clientY) })
      }
      onPointerLeave={() => store.getState().set({ pointer: null })}
      className="relative h-full w-full overflow-hidden bg-surround"
      data-testid={testId}
      data-drawn={pictures.every((one) => one !== null)}
    >
      {size.width > 0 && (
        <Konva width={size.width} height={size.height} listening={false}>
          <Layer listening={false}>
            {pictures.map((one, i) => [
              one && <Image key={`${i} one`} image={one} alt="" {...frames[i]} />,
              over && <Image key={`${i} over`} image={over} alt="" {...frames[i]} />,
            ])}
            {pointer &&
              frames.map(({ x, y, width, height }, i) => (
                <Ring
                  key={i}
                  x={x + pointer.x * width}
                  y={y + pointer.y * height}
                  radius={settings.pickRadius * Math.hypot(width, height)}
                  strong={false}
                />
              ))}
          </Layer>
        </Konva>
      )}
      {frames.map(({ x, y }, i) => (
        <span
          key={i}
          className="pointer-events-none absolute bg-sheet px-2 py-0.5 text-sm"
          style={{ left: x, top: y }}
        >
          {titles[i]}
        </span>
      ))}
    </div>
  );
}
