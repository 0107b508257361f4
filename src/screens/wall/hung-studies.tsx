'use client';

import { useCallback, useMemo, useRef, type ReactNode } from 'react';
import type { StudyCard as Card } from '@/contracts/study';
import { STUDIES_PAGE } from '@/contracts/study-search';
import { LongList } from '@/ui/long-list';
import { useSize } from '@/ui/use-size';
import { PICTURE_HEIGHT, rowsWithin, studyWidth, type StudyRow } from './study-rows';

/** About how tall a row is. */
const ROW_HEIGHT = 360;

/** Of a picture on the Wall, in pixels. */
export interface HungSize {
  width: number;
  height: number;
}

interface Props {
  studies: readonly (Card | undefined)[];
  /** Width / height of each one's picture, known before the study is. */
  aspects: readonly number[];
  /** Says which studies are seen, so that they are fetched. */
  onSee: (from: number, to: number) => void;
  children: (card: Card, size: HungSize) => ReactNode;
}

/** The studies in full rows; of more than a page only the rows that are seen stand in the page. */
export function HungStudies({ studies, aspects, onSee, children }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const { width } = useSize(frame);
  const rows = useMemo(() => (width > 0 ? rowsWithin(aspects, width) : []), [aspects, width]);
  const see = useCallback(
    (from: number, to: number) => {
      if (rows.length > 0)
        onSee(rows[from].places[0], rows[Math.min(to, rows.length - 1)].places.at(-1)!);
    },
    [rows, onSee],
  );
  const isLong = studies.length > STUDIES_PAGE;
  const drawn = ({ places, height, widths }: StudyRow, bottom: string) => (
    <ul key={places[0]} className={`flex gap-x-6 ${bottom}`}>
      {places.map((at, i) => {
        const card = studies[at];
        const size = { width: widths[i], height };
        return card ? children(card, size) : <Coming key={at} size={size} />;
      })}
    </ul>
  );
  return (
    <div ref={frame}>
      {width === 0 && (
        // Before the wall is measured: as they come.
        <ul className="flex flex-wrap gap-x-6 gap-y-8">
          {studies.slice(0, STUDIES_PAGE).map(
            (card, at) =>
              card &&
              children(card, {
                width: studyWidth(aspects[at] ?? card.aspect, PICTURE_HEIGHT),
                height: PICTURE_HEIGHT,
              }),
          )}
        </ul>
      )}
      {width > 0 && !isLong && rows.map((row) => drawn(row, 'pb-8'))}
      {width > 0 && isLong && (
        <LongList
          label="Rows of studies"
          isBare
          count={rows.length}
          tall={ROW_HEIGHT}
          keyOf={(row) => rows[row].places[0]}
          onSee={see}
        >
          {(row) => drawn(rows[row], 'pb-8')}
        </LongList>
      )}
    </div>
  );
}

/** Holds the place of a study that is on its way. */
function Coming({ size }: { size: HungSize }) {
  return (
    <li aria-hidden className="max-w-full" style={{ width: size.width }}>
      <div className="bg-faint" style={{ height: size.height }} />
      <div className="mt-1 h-15 bg-sheet" />
      <p className="h-13 pt-1.5 text-soft">…</p>
    </li>
  );
}
