'use client';

import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import type { StudyCard as Card } from '@/contracts/study';
import { LongList } from '@/ui/long-list';
import { rowsWithin } from './study-rows';

/** So many hang in the page all at once; of more only the rows that are seen. */
const MAX_AT_ONCE = 120;
/** About how tall a row is. */
const ROW_HEIGHT = 360;

interface Props {
  studies: readonly Card[];
  children: (card: Card) => ReactNode;
}

/** The studies side by side, in rows. */
export function HungStudies({ studies, children }: Props) {
  if (studies.length > MAX_AT_ONCE) return <ManyStudies studies={studies}>{children}</ManyStudies>;
  return <ul className="flex flex-wrap gap-x-6 gap-y-8">{studies.map(children)}</ul>;
}

function ManyStudies({ studies, children }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(0);
  useEffect(() => {
    const watch = new ResizeObserver(([entry]) => setWidth(entry.contentRect.width));
    if (frame.current) watch.observe(frame.current);
    return () => watch.disconnect();
  }, []);
  const rows = useMemo(() => (width > 0 ? rowsWithin(studies, width) : []), [studies, width]);
  return (
    <div ref={frame}>
      <LongList
        label="Rows of studies"
        isBare
        count={rows.length}
        tall={ROW_HEIGHT}
        keyOf={(at) => rows[at][0].id}
      >
        {(at) => <ul className="flex gap-x-6 pb-8">{rows[at].map(children)}</ul>}
      </LongList>
    </div>
  );
}
