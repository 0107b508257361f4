/** The height that every picture hangs at, the least width of a study, and the gap between two. */
export const PICTURE_HEIGHT = 200;
const MIN_WIDTH = 168;
const MAX_ASPECT = 2.2;
export const GAP = 24;

/** How wide a study hangs, in pixels; `aspect` is its picture's width / height. */
export function studyWidth(aspect: number): number {
  return Math.max(MIN_WIDTH, Math.round(PICTURE_HEIGHT * Math.min(aspect, MAX_ASPECT)));
}

/**
 * Studies in rows as they wrap within a width: as many in each as fit, at least one.
 *
 * @param aspects width / height of each one's picture
 * @returns for each row the places of its studies
 */
export function rowsWithin(aspects: readonly number[], width: number): number[][] {
  const rows: number[][] = [];
  let left = 0;
  aspects.forEach((aspect, at) => {
    const wide = studyWidth(aspect);
    const row = rows.at(-1);
    if (row && left >= GAP + wide) {
      row.push(at);
      left -= GAP + wide;
    } else {
      rows.push([at]);
      left = width - wide;
    }
  });
  return rows;
}
