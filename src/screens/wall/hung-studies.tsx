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
  const isMeasured = width > 0;
  // The measured width is rounded: a row that is wider than the wall by a fraction would break.
  const rows = useMemo(
    () => (isMeasured ? rowsWithin(aspects, width - 1) : []),
    [aspects, width, isMeasured],
  );
  const see = useCallback(
    (from: number, to: number) => {
      if (rows.length > 0)
        onSee(rows[from].places[0], rows[Math.min(to, rows.length - 1)].places.at(-1)!);
    },
    [rows, onSee],
  );
  const isLong = studies.length > STUDIES_PAGE;
  const inRow = ({ places, height, widths }: StudyRow) =>
    places.map((at, i) => {
      const card = studies[at];
      const size = { width: widths[i], height };
      return card ? children(card, size) : <Coming key={at} size={size} />;
    });
  // All in one list, measured or not: a card that moved to another parent would lose a menu that was opened.
  const flat = isMeasured
    ? rows.flatMap((row) => [...inRow(row), <RowEnd key={`end ${row.places[0]}`} />])
    : studies.slice(0, STUDIES_PAGE).map(
        (card, at) =>
          card &&
          children(card, {
            width: studyWidth(aspects[at] ?? card.aspect, PICTURE_HEIGHT),
            height: PICTURE_HEIGHT,
          }),
      );
  return (
    <div ref={frame}>
      {isMeasured && isLong ? (
        <LongList
          label="Rows of studies"
          isBare
          count={rows.length}
          tall={ROW_HEIGHT}
          keyOf={(row) => rows[row].places[0]}
          onSee={see}
        >
          {(row) => <ul className="flex gap-x-6 pb-8">{inRow(rows[row])}</ul>}
        </LongList>
      ) : (
        // Until a long wall is measured nothing on it answers, rather than open and be gone.
        <ul className={`flex flex-wrap gap-x-6 ${isMeasured ? '' : 'gap-y-8'}`} inert={isLong}>
          {flat}
        </ul>
      )}
    </div>
  );
}

/** Ends a row of the list, whether or not it is full. */
const RowEnd = () => <li aria-hidden className="h-8 basis-full" />;

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
