export interface Row {
  name: string;
  /** The fastest of its runs. */
  milliseconds: number;
  /** Against a plain conversion: the median of the ratios of runs that stood next to each other. */
  ratio: number;
}

async function timed(work: () => unknown): Promise<number> {
  const start = performance.now();
  await work();
  return performance.now() - start;
}

/**
 * Times a piece of work by turns with a yardstick. Machines are noisy for seconds at a time, so a
 * ratio is taken of two runs side by side, and of those the median.
 */
export async function measured(
  name: string,
  runs: number,
  yardstick: () => unknown,
  work: () => unknown,
): Promise<Row> {
  const ratios: number[] = [];
  let milliseconds = Infinity;
  for (let run = 0; run < runs; run++) {
    const before = await timed(yardstick);
    const own = await timed(work);
    const after = await timed(yardstick);
    milliseconds = Math.min(milliseconds, own);
    ratios.push((2 * own) / (before + after));
  }
  ratios.sort((one, other) => one - other);
  return { name, milliseconds, ratio: ratios[Math.floor(ratios.length / 2)] };
}

/** Each row's time and its ratio to one plain conversion of the same picture. */
export function table(rows: readonly Row[]): string {
  const width = Math.max(...rows.map(({ name }) => name.length));
  return rows
    .map(
      ({ name, milliseconds, ratio }) =>
        `${name.padEnd(width)}  ${milliseconds.toFixed(1).padStart(8)} ms  ${ratio.toFixed(2).padStart(7)} ×`,
    )
    .join('\n');
}

const quantileOf = (sorted: readonly number[], share: number) =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))];

/** A line of a table: median, 95th percentile and longest of some times, milliseconds. */
export function timesLine(name: string, times: readonly number[]): string {
  const sorted = [...times].sort((one, other) => one - other);
  const figures = [0.5, 0.95, 0.999].map(
    (share) => `${quantileOf(sorted, share).toFixed(1).padStart(8)} ms`,
  );
  return `  ${name.padEnd(44)}${figures.join('')}`;
}
