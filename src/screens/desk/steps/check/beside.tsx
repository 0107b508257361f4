'use client';

import { useRef, type PointerEvent } from 'react';
import { useSize } from '@/ui/use-size';
import { useDesk, useDeskStore } from '../../desk-store';
import { clampToUnit, readingKeys } from '../../stage/reading-keys';
import { twoFrames } from '../../stage/two-frames';
import { Marks, PictureCanvas, type BothPictures } from './picture-canvas';

/** Both pictures at once; where they lie in one frame, the place of the model that is read is ringed in both. */
export function Beside({
  pictures,
  titles,
  marks,
  isInFrame,
}: BothPictures & { isInFrame: boolean }) {
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const store = useDeskStore();
  const pointer = useDesk((state) => state.pointer);
  const frames = twoFrames(pictures[1].width / pictures[1].height, size);
  const read = ({ clientX, clientY, currentTarget }: PointerEvent<HTMLElement>) => {
    if (!isInFrame) return;
    const box = currentTarget.getBoundingClientRect();
    store.getState().set({
      pointer: {
        x: clampToUnit((clientX - box.left) / box.width),
        y: clampToUnit((clientY - box.top) / box.height),
      },
    });
  };
  const place =
    pointer && isInFrame
      ? [{ id: 'pointer', x: pointer.x, y: pointer.y, label: '', isStrong: false }]
      : [];
  return (
    <div
      ref={frame}
      role="application"
      tabIndex={0}
      aria-label={`${titles[0]} and ${titles[1]}. Arrow keys move the place of the model that is read.`}
      onKeyDown={readingKeys(store, () => undefined)}
      className="absolute inset-0 overflow-hidden"
      data-testid="check-beside"
    >
      {size.width > 0 &&
        pictures.map((picture, i) => {
          const { x, y, width, height } = frames[i];
          return (
            <figure
              key={i}
              className="absolute"
              style={{ left: x, top: y, width, height }}
              onPointerMove={read}
              onPointerDown={read}
              onPointerLeave={() => store.getState().set({ pointer: null })}
            >
              <PictureCanvas picture={picture} label={titles[i]} />
              <Marks marks={[...marks, ...place]} />
              <figcaption className="absolute top-0 left-0 bg-sheet px-2 py-0.5 text-sm">
                {titles[i]}
              </figcaption>
            </figure>
          );
        })}
    </div>
  );
}
