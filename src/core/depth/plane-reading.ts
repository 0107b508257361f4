import type { Oklab } from '../colour/oklab';
import { temperature } from '../colour/temperature';
import type { Masses } from '../measure/masses';
import type { ColourGrid } from '../picture/colour-grid';
import { clampShare } from '../share';

/** What is measured of all that lies at one distance, or faces one way. */
export interface PlaneReading {
  /** Of the picture, 0–1. */
  share: number;
  colour: Oklab;
  /** Mean Munsell value, and the spread between its 5th and 95th percentile. */
  value: number;
  contrast: number;
  /** Mean OKLCH chroma, and mean temperature. */
  chroma: number;
  temperature: number;
  /** Its masses, indices. */
  masses: number[];
}

/** Hundredths of a Munsell step, for percentiles. */
const BINS = 1001;

/** The cells of some masses as one; null where there are none. `grid` has the cells of `masses.grid`. */
export function planeReading(
  { labels, masses }: Masses,
  grid: ColourGrid,
  which: readonly number[],
): PlaneReading | null {
  if (which.length === 0) return null;
  const isIn = masses.map((_, i) => which.includes(i));
  const counts = new Uint32Array(BINS);
  let cells = 0;
  const sums = { L: 0, a: 0, b: 0, value: 0, chroma: 0 };
  for (let c = 0; c < labels.length; c++) {
    if (labels[c] < 0 || !isIn[labels[c]]) continue;
    const [L, a, b] = [grid.oklab[c * 3], grid.oklab[c * 3 + 1], grid.oklab[c * 3 + 2]];
    cells++;
    sums.L += L;
    sums.a += a;
    sums.b += b;
    sums.value += grid.value[c];
    sums.chroma += Math.sqrt(a * a + b * b);
    counts[Math.min(BINS - 1, Math.max(0, Math.round(grid.value[c] * 100)))]++;
  }
  if (cells === 0) return null;
  const colour = { L: sums.L / cells, a: sums.a / cells, b: sums.b / cells };
  return {
    share: clampShare(which.reduce((sum, i) => sum + masses[i].share, 0)),
    colour,
    value: sums.value / cells,
    contrast: percentile(counts, cells, 0.95) - percentile(counts, cells, 0.05),
    chroma: sums.chroma / cells,
    temperature: temperature(colour),
    masses: [...which],
  };
}

function percentile(counts: Uint32Array, cells: number, share: number): number {
  let passed = 0;
  for (let i = 0; i < counts.length; i++) {
    passed += counts[i];
    if (passed >= share * cells) return i / 100;
  }
  return (counts.length - 1) / 100;
}
