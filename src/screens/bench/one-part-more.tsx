'use client';

import { hexFromOklab } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { changeBetween } from '@/ui/miss-words';
import { Section } from '@/ui/panel-parts';
import { useSettings } from '@/ui/settings';
import type { Heap } from './heap';

interface Props {
  heaps: readonly Heap[];
  colourOf: (heaps: readonly Heap[]) => Oklab;
}

/** What one part more of each tube does to the pile. */
export function OnePartMore({ heaps, colourOf }: Props) {
  const { scale } = useSettings().settings;
  const now = colourOf(heaps);
  if (heaps.length < 2) return null;
  return (
    <Section title="One part more of">
      <ul>
        {heaps.map(({ tube }, i) => {
          const more = colourOf(
            heaps.map((heap, k) => (k === i ? { ...heap, parts: heap.parts + 1 } : heap)),
          );
          return (
            <li key={tube.id} className="flex items-center gap-3 border-b py-1.5 text-[15px]">
              <span aria-hidden className="flex shrink-0">
                <span className="block h-7 w-7" style={{ background: hexFromOklab(now) }} />
                <span className="block h-7 w-7" style={{ background: hexFromOklab(more) }} />
              </span>
              <span className="min-w-0 leading-snug">
                {tube.name}: {changeBetween(now, more, scale)}
              </span>
            </li>
          );
        })}
      </ul>
    </Section>
  );
}
