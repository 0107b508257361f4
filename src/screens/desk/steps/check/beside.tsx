'use client';

import { useRef } from 'react';
import { useSize } from '@/ui/use-size';
import { twoFrames } from '../../stage/two-frames';
import { Marks, PictureCanvas, type CheckMark } from './picture-canvas';

/** Both pictures at once. */
export function Beside({
  pictures,
  titles,
  marks,
}: {
  pictures: readonly [HTMLCanvasElement, HTMLCanvasElement];
  titles: readonly [string, string];
  marks: readonly CheckMark[];
}) {
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const frames = twoFrames(pictures[1].width / pictures[1].height, size);
  return (
    <div ref={frame} className="absolute inset-0 overflow-hidden" data-testid="check-beside">
      {size.width > 0 &&
        pictures.map((picture, i) => {
          const { x, y, width, height } = frames[i];
          return (
            <figure key={i} className="absolute" style={{ left: x, top: y, width, height }}>
              <PictureCanvas picture={picture} label={titles[i]} />
              <Marks marks={marks} />
              <figcaption className="absolute top-0 left-0 bg-sheet px-2 py-0.5 text-sm">
                {titles[i]}
              </figcaption>
            </figure>
          );
        })}
    </div>
  );
}
