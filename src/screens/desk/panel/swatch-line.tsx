import type { ReactNode } from 'react';
import { hexFromOklab } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import type { Focus } from '../extension-points';
import { Pointing } from './pointing';

/** One line of a list: its colours, what they are, a figure; pointed at, its part of the picture stays. */
export function SwatchLine({
  focus,
  colours,
  aside,
  children,
}: {
  focus: Focus;
  colours: readonly Oklab[];
  aside?: ReactNode;
  children: ReactNode;
}) {
  return (
    <Pointing
      focus={focus}
      className="flex items-center gap-2 border-b py-1 text-[15px] leading-tight"
    >
      <span className="flex shrink-0">
        {colours.map((colour, i) => (
          <span key={i} className="h-8 w-8" style={{ background: hexFromOklab(colour) }} />
        ))}
      </span>
      <span className="grow">{children}</span>
      {aside !== undefined && <span className="shrink-0">{aside}</span>}
    </Pointing>
  );
}
