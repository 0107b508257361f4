'use client';

import { ownedTubes } from '@/study/shelf';
import type { ShelfContent } from '@/contracts/shelf';
import type { TraySwatch } from '@/contracts/study';
import { useAnswer } from '../../use-answer';
import { lackSentence, OUT_OF_REACH } from './lack-sentence';
import { workerTube } from '../../media-queries';

interface Props {
  swatch: TraySwatch;
  /** How far its best mixture misses it: CIEDE2000. */
  miss: number;
  shelf: ShelfContent;
}

/** What one tube more would do for a colour that no mixture comes near. */
export function OutOfReach({ swatch: { name, colour }, miss, shelf }: Props) {
  const { value, stale } = useAnswer<'missingTube'>(
    miss > OUT_OF_REACH
      ? { kind: 'missingTube', colour, tubes: ownedTubes(shelf).map(workerTube) }
      : null,
  );
  if (miss <= OUT_OF_REACH) return null;
  return (
    <p className="mb-2 text-[15px] leading-snug" data-testid="out-of-reach">
      {lackSentence({ name, miss }, stale ? null : value)}
    </p>
  );
}
