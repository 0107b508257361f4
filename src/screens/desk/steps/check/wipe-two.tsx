'use client';

import { useRef, useState } from 'react';
import { useSize } from '@/ui/use-size';
import { WipeHandle } from '../../stage/wipe-handle';
import { fitted, Marks, PictureCanvas, type BothPictures } from './picture-canvas';

/** Both pictures in one frame, parted by a line that is dragged. */
export function WipeTwo({ pictures, titles, marks }: BothPictures) {
  const room = useRef<HTMLDivElement>(null);
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(room);
  const [wipe, setWipe] = useState(0.5);
  const { width, height } = fitted(
    pictures[1].width / pictures[1].height,
    size.width - 32,
    size.height - 32,
  );
  const move = (to: number) => setWipe(Math.min(1, Math.max(0, to)));
  return (
    <div ref={room} className="absolute inset-0 flex items-center justify-center overflow-hidden">
      <div ref={frame} className="relative" style={{ width, height }} data-testid="check-wipe">
        <PictureCanvas picture={pictures[0]} label={titles[0]} />
        <div className="absolute inset-0" style={{ clipPath: `inset(0 0 0 ${wipe * 100}%)` }}>
          <PictureCanvas picture={pictures[1]} label={titles[1]} />
        </div>
        <Marks marks={marks} />
        <span className="absolute top-0 left-0 bg-sheet px-2 py-0.5 text-sm">{titles[0]}</span>
        <span className="absolute top-0 right-0 bg-sheet px-2 py-0.5 text-sm">{titles[1]}</span>
        <WipeHandle
          left={wipe * width}
          top={0}
          height={height}
          wipe={wipe}
          onMove={(clientX) => {
            const box = frame.current?.getBoundingClientRect();
            if (box) move((clientX - box.left) / box.width);
          }}
          onChange={move}
        />
      </div>
    </div>
  );
}
