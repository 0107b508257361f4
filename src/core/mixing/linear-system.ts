/**
 * Solves a system of linear equations by elimination with the largest pivot of each column; each row ends with its
 * right side, and is written over.
 */
export function solved<R extends Float64Array | number[]>(rows: R[]): number[] {
  const n = rows.length;
  for (let i = 0; i < n; i++) {
    let pivot = i;
    for (let j = i + 1; j < n; j++) if (Math.abs(rows[j][i]) > Math.abs(rows[pivot][i])) pivot = j;
    [rows[i], rows[pivot]] = [rows[pivot], rows[i]];
    for (let j = i + 1; j < n; j++) {
      const factor = rows[j][i] / rows[i][i];
      if (factor !== 0) for (let k = i; k <= n; k++) rows[j][k] -= factor * rows[i][k];
    }
  }
  const out = new Array<number>(n).fill(0);
  for (let i = n - 1; i >= 0; i--) {
    let sum = rows[i][n];
    for (let j = i + 1; j < n; j++) sum -= rows[i][j] * out[j];
    out[i] = sum / rows[i][i];
  }
  return out;
}
