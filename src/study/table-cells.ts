/** What spreadsheets would take for a formula, and the sign that keeps them from it. */
const FORMULA = /^[\s]*['=+\-@]/;

/** A cell that no spreadsheet takes for a formula. */
export const safeCell = (cell: string): string => (FORMULA.test(cell) ? `'${cell}` : cell);

/** A cell as it was before `safeCell`, without white space around it. */
export const plainCell = (cell: string | undefined): string =>
  (cell ?? '').trim().replace(/^'(?=[=+\-@'])/, '');
