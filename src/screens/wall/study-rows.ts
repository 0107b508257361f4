/** The height that every picture hangs at, the least width of a study, and the gap between two. */
export const PICTURE_HEIGHT = 200;
const MIN_WIDTH = 168;
const MAX_ASPECT = 2.2;
export const GAP = 24;

/** How wide a study hangs, in pixels; `aspect` is its picture's width / height. */
export function studyWidth(aspect: number): number {
  return Math.max(MIN_WIDTH, Math.round(PICTURE_HEIGHT * Math.min(aspect, MAX_ASPECT)));
}

/** Studies in rows as they wrap within a width: as many in each as fit, at least one. */
export function rowsWithin<T extends { aspect: number }>(
  studies: readonly T[],
  width: number,
): T[][] {
  const rows: T[][] = [];
  let left = 0;
  for (const one of studies) {
    const wide = studyWidth(one.aspect);
    const row = rows.at(-1);
    if (row && left >= GAP + wide) {
      row.push(one);
      left -= GAP + wide;
    } else {
      rows.push([one]);
      left = width - wide;
    }
  }
  return rows;
}
