'use client';

import { format } from 'date-fns';
import { Button } from '@/ui/button';
import { Fold } from '@/ui/panel-parts';
import { several } from '@/ui/words';

interface Props {
  bin: readonly { id: string; title: string; goneAt: string }[];
  onRestore: (id: string) => void;
}

/** Patterns that were deleted, to be put back for thirty days. */
export function PatternBin({ bin, onRestore }: Props) {
  if (bin.length === 0) return null;
  return (
    <div className="mt-8 max-w-xl">
      <Fold title="Bin" aside={several(bin.length, 'pattern')}>
        <ul aria-label="Patterns in the bin">
          {bin.map(({ id, title, goneAt }) => (
            <li key={id} className="flex items-center justify-between gap-3 border-b py-1">
              <span className="min-w-0 text-[15px] leading-snug">
                <span className="block truncate">{title}</span>
                <span className="block text-sm text-soft">
                  gone for good on {format(new Date(goneAt), 'd MMM yyyy')}
                </span>
              </span>
              <Button aria-label={`Put ${title} back`} onClick={() => onRestore(id)}>
                Put back
              </Button>
            </li>
          ))}
        </ul>
      </Fold>
    </div>
  );
}
