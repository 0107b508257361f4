'use client';

import { useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import type { StudyCard as Card } from '@/contracts/study';
import { STUDIES_PAGE } from '@/contracts/study-search';
import { LongList } from '@/ui/long-list';
import { PICTURE_HEIGHT, rowsWithin, studyWidth } from './study-rows';

/** About how tall a row is. */
const ROW_HEIGHT = 360;

interface Props {
  studies: readonly (Card | undefined)[];
  /** Width / height of each one's picture, known before the study is. */
  aspects: readonly number[];
  /** Says which studies are seen, so that they are fetched. */
  onSee: (from: number, to: number) => void;
  children: (card: Card) => ReactNode;
}

/** The studies side by side, in rows; of more than a page only the rows that are seen stand in the page. */
export function HungStudies(props: Props) {
  const { studies, children } = props;
  if (studies.length > STUDIES_PAGE) return <ManyStudies {...props} />;
  return (
    <ul className="flex flex-wrap gap-x-6 gap-y-8">
      {studies.map((card) => card && children(card))}
    </ul>
  );
}

function ManyStudies({ studies, aspects, onSee, children }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(0);
  useEffect(() => {
    const watch = new ResizeObserver(([entry]) => setWidth(entry.contentRect.width));
    if (frame.current) watch.observe(frame.current);
    return () => watch.disconnect();
  }, []);
  const rows = useMemo(() => (width > 0 ? rowsWithin(aspects, width) : []), [aspects, width]);
  const see = useCallback(
    (from: number, to: number) => {
      if (rows.length > 0) onSee(rows[from][0], rows[Math.min(to, rows.length - 1)].at(-1)!);
    },
    [rows, onSee],
  );
  return (
    <div ref={frame}>
      <LongList
        label="Rows of studies"
        isBare
        count={rows.length}
        tall={ROW_HEIGHT}
        keyOf={(row) => rows[row][0]}
        onSee={see}
      >
        {(row) => (
          <ul className="flex gap-x-6 pb-8">
            {rows[row].map((at) => {
              const card = studies[at];
              return card ? children(card) : <Coming key={at} aspect={aspects[at]} />;
            })}
          </ul>
        )}
      </LongList>
    </div>
  );
}

/** Holds the place of a study that is on its way. */
function Coming({ aspect }: { aspect: number }) {
  return (
    <li aria-hidden className="max-w-full" style={{ width: studyWidth(aspect) }}>
      <div className="bg-faint" style={{ height: PICTURE_HEIGHT }} />
      <div className="mt-1 h-15 bg-sheet" />
      <p className="h-13 pt-1.5 text-soft">…</p>
    </li>
  );
}
