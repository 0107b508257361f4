'use client';

import { useEffect, useRef, useState } from 'react';
import { Button } from '@/ui/button';
import { useMedia } from '@/ui/use-media';
import { useSize } from '@/ui/use-size';
import { fitted, PictureCanvas, type BothPictures } from './picture-canvas';

/** Milliseconds that each picture stays: faster turns flicker, which hurts some people. */
const TURN_AFTER = 1200;

/** One picture after the other in the same place; by hand where motion is reduced, or when the person stops it. */
export function InTurn({ pictures, titles }: Omit<BothPictures, 'marks'>) {
  const room = useRef<HTMLDivElement>(null);
  const size = useSize(room);
  const [which, setWhich] = useState<0 | 1>(1);
  const isReduced = useMedia('(prefers-reduced-motion: reduce)');
  const [isOn, setOn] = useState(true);
  const goes = isOn && !isReduced;
  useEffect(() => {
    if (!goes) return;
    const timer = setInterval(() => setWhich((was) => (was === 0 ? 1 : 0)), TURN_AFTER);
    return () => clearInterval(timer);
  }, [goes]);
  const box = fitted(pictures[1].width / pictures[1].height, size.width - 32, size.height - 80);
  return (
    <div ref={room} className="absolute inset-0 flex flex-col items-center justify-center gap-2">
      <div className="relative" style={box} data-testid="check-turn" data-shown={titles[which]}>
        <PictureCanvas picture={pictures[which]} label={titles[which]} />
        <span className="absolute top-0 left-0 bg-sheet px-2 py-0.5 text-sm">{titles[which]}</span>
      </div>
      <div className="flex gap-2">
        <Button onClick={() => setWhich(which === 0 ? 1 : 0)}>The other one</Button>
        {!isReduced && (
          <Button aria-pressed={!isOn} onClick={() => setOn(!isOn)}>
            {isOn ? 'Stop turning' : 'Turn by itself'}
          </Button>
        )}
      </div>
    </div>
  );
}
