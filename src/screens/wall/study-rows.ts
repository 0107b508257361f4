/** The height that pictures hang at where nothing else is asked, and how far a full row may part from it. */
export const PICTURE_HEIGHT = 210;
const MIN_HEIGHT = 150;
const MAX_HEIGHT = 320;
/** A narrow picture hangs in the middle of so much: its words need it. */
const MIN_WIDTH = 150;
export const GAP = 24;

/** Studies that hang side by side, their pictures whole and of one height. */
export interface StudyRow {
  /** Which studies. */
  places: number[];
  height: number;
  /** Of each one's place, in pixels; together with the gaps they fill the row, unless it is the last. */
  widths: number[];
}

/** How wide a study hangs at a height; `aspect` is its picture's width / height. */
export const studyWidth = (aspect: number, height: number): number =>
  Math.max(MIN_WIDTH, aspect * height);

/**
 * Studies in full rows: as many in each as bring its height nearest to the usual one.
 *
 * @param aspects width / height of each one's picture
 * @param width of the wall, in pixels
 */
export function rowsWithin(aspects: readonly number[], width: number): StudyRow[] {
  const rows: StudyRow[] = [];
  let from = 0;
  while (from < aspects.length) {
    const row = rowFrom(aspects, from, width);
    rows.push(row);
    from = row.places[row.places.length - 1] + 1;
  }
  return rows;
}

function rowFrom(aspects: readonly number[], from: number, width: number): StudyRow {
  let best: { count: number; height: number } | null = null;
  for (let count = 1; from + count <= aspects.length; count++) {
    const height = fullHeight(aspects.slice(from, from + count), width);
    if (best && height < MIN_HEIGHT) break;
    const isNearer =
      !best || Math.abs(height - PICTURE_HEIGHT) < Math.abs(best.height - PICTURE_HEIGHT);
    if (isNearer) best = { count, height };
    if (height < PICTURE_HEIGHT) break;
  }
  const { count, height: full } = best as { count: number; height: number };
  const isLast = from + count === aspects.length;
  // The last row is not blown up to fill what nothing else fills.
  const height = Math.min(full, isLast && full > MAX_HEIGHT ? PICTURE_HEIGHT : MAX_HEIGHT);
  return {
    places: Array.from({ length: count }, (_, i) => from + i),
    height,
    widths: aspects
      .slice(from, from + count)
      .map((aspect) => Math.min(width, studyWidth(aspect, height))),
  };
}

/** The height at which studies fill a width: their widths grow with it, so it is found by halving. */
function fullHeight(aspects: readonly number[], width: number): number {
  const room = width - GAP * (aspects.length - 1);
  let low = 1;
  let high = 4000;
  for (let i = 0; i < 40; i++) {
    const height = (low + high) / 2;
    const wide = aspects.reduce((sum, aspect) => sum + studyWidth(aspect, height), 0);
    if (wide < room) low = height;
    else high = height;
  }
  return low;
}
