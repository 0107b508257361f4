'use client';

import { useMemo } from 'react';
import { nearDuplicates } from '@/core/palette/near-duplicates';
import { useDrawing } from './drawing-room';
import { useContent } from './use-pattern';

/** How many colours of the drawing pass for another one, and are not merged. */
export function useDuplicates(): number {
  const { painted, facts } = useDrawing();
  const threshold = useContent((content) => content.threshold);
  return useMemo(() => {
    if (facts.regions) return 0;
    const groups = nearDuplicates(
      painted.paints.map(({ colour }) => colour),
      threshold,
    );
    return groups.reduce((sum, group) => sum + group.length - 1, 0);
  }, [painted, facts, threshold]);
}
