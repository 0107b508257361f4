import type { ReactNode } from 'react';
import { Finding as PlainFinding, unbroken } from '@/ui/panel-parts';
import type { Focus } from '../extension-points';
import { Pointing } from './pointing';

export { Fold, Section } from '@/ui/panel-parts';

/** What a panel found, in a sentence that leads to the part of the picture it speaks of most. */
export function Finding({
  children,
  focus,
  stale,
}: {
  children: ReactNode;
  focus?: Focus | null;
  /** Whether a newer reading is on its way. */
  stale?: boolean;
}) {
  const words = typeof children === 'string' ? unbroken(children) : children;
  return (
    <PlainFinding stale={stale}>
      {focus ? <Pointing focus={focus}>{words}</Pointing> : words}
    </PlainFinding>
  );
}
