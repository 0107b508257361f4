export interface Row {
  name: string;
  milliseconds: number;
}

/** The fastest of several runs: the least disturbed one, since machines are noisy. */
export async function fastest(runs: number, work: () => unknown): Promise<number> {
  let least = Infinity;
  for (let run = 0; run < runs; run++) {
    const start = performance.now();
    await work();
    least = Math.min(least, performance.now() - start);
  }
  return least;
}

/** Each row's time and its ratio to one plain conversion of the same picture in the same run. */
export function table(rows: readonly Row[], conversion: number): string {
  const width = Math.max(...rows.map(({ name }) => name.length));
  return rows
    .map(
      ({ name, milliseconds }) =>
        `${name.padEnd(width)}  ${milliseconds.toFixed(1).padStart(8)} ms  ${(milliseconds / conversion).toFixed(2).padStart(7)} ×`,
    )
    .join('\n');
}
