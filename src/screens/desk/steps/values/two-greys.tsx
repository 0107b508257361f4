'use client';

import { useRef } from 'react';
import { Image, Layer, Stage as Konva } from 'react-konva';
import { useSettings } from '@/ui/settings';
import { stepOf } from '@/ui/words';
import { useDesk, useDeskStore, type Point } from '../../desk-store';
import { usePicture } from '../../picture-room';
import { readingKeys } from '../../stage/reading-keys';
import { Ring } from '../../stage/shapes';
import { useSize } from '../../stage/stage';
import { useDrawn } from '../../use-drawn';
import { useVeil } from '../../use-lens';
import { twoFrames } from './two-frames';

const TITLES = ['by lightness', 'by brightness'];

/** The picture in two greys side by side, hatched where they part by more than a step. */
export function TwoGreys() {
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const store = useDeskStore();
  const { canvas } = usePicture();
  const { settings } = useSettings();
  const step = stepOf(settings.scale);
  const pointer = useDesk((state) => state.pointer);
  const focus = useDesk((state) => state.hovered ?? state.pinned);
  const lightness = useDrawn('lightness', (desk) => desk.greys());
  const brightness = useDrawn('brightness', (desk) => desk.brightness());
  const marks = useDrawn(`marks ${step}`, (desk) => desk.misledMarks(step));
  const veil = useVeil(focus);
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
      aria-label="Two greys of the picture. Arrow keys move the place that is read."
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
      data-testid="two-greys"
      data-drawn={lightness !== null && brightness !== null && marks !== null}
    >
      {size.width > 0 && (
        <Konva width={size.width} height={size.height} listening={false}>
          <Layer listening={false}>
            {[lightness, brightness].map((grey, i) => {
              const over = focus?.kind === 'misled' ? veil : marks;
              return [
                grey && <Image key={`${i} grey`} image={grey} alt="" {...frames[i]} />,
                over && <Image key={`${i} over`} image={over} alt="" {...frames[i]} />,
              ];
            })}
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
          {TITLES[i]}
        </span>
      ))}
    </div>
  );
}
