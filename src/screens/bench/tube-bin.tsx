'use client';

import { formatDistanceToNowStrict } from 'date-fns';
import type { ShelfContent } from '@/contracts/shelf';
import { TUBE_BIN_DAYS } from '@/study/shelf';
import { Button } from '@/ui/button';
import { Fold } from '@/ui/panel-parts';
import { several } from '@/ui/words';

interface Props {
  tubes: ShelfContent['bin'];
  onPutBack: (id: string) => void;
}

/** Tubes that were taken off the shelf, to be put back as they were. */
export function TubeBin({ tubes, onPutBack }: Props) {
  if (tubes.length === 0) return null;
  return (
    <Fold title="Bin" aside={several(tubes.length, 'tube')}>
      <p className="text-sm text-soft">
        Held for {TUBE_BIN_DAYS} days; mixtures that were tried with them teach nothing meanwhile.
      </p>
      <ul aria-label="Tubes in the bin" className="border-t">
        {tubes.map(({ id, name, pigments, removedAt }) => (
          <li key={id} className="flex items-center justify-between gap-3 border-b py-1">
            <span className="min-w-0 text-[15px] leading-snug">
              <span className="block truncate">{name}</span>
              <span className="block text-sm text-soft">
                {pigments.join(' + ')}, {formatDistanceToNowStrict(new Date(removedAt))} ago
              </span>
            </span>
            <Button aria-label={`Put ${name} back on the shelf`} onClick={() => onPutBack(id)}>
              Put back
            </Button>
          </li>
        ))}
      </ul>
    </Fold>
  );
}
