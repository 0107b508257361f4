import type { Masses } from '../measure/masses';

/** Where a mass lies; places and lengths are shares of the picture's width or height. */
export interface MassExtent {
  /** The rows that 3 and 97 % of it lie above. */
  top: number;
  base: number;
  /** The mean of its rows. */
  middle: number;
  /** So many times as wide as high. */
  aspect: number;
  /** The parts of the upper and lower border of the picture that it takes. */
  upperBorder: number;
  lowerBorder: number;
  /** For each other mass that it stands on, the part of its lower edge that does. */
  standsOn: Map<number, number>;
  /** The masses beside it. */
  beside: Set<number>;
}

const TAIL = 0.03;

/** The extents of all masses. */
export function massExtents({ grid, labels, masses }: Masses): MassExtent[] {
  const { width, down, across } = grid;
  const height = labels.length / width;
  const rows = masses.map(() => new Uint32Array(height));
  const columns = masses.map(() => new Uint32Array(width));
  const below = masses.map(() => new Map<number, number>());
  const beside = masses.map(() => new Set<number>());
  for (let c = 0; c < labels.length; c++) {
    const mass = labels[c];
    if (mass < 0) continue;
    rows[mass][Math.floor(c / width)]++;
    columns[mass][c % width]++;
    const right = (c + 1) % width === 0 ? -1 : labels[c + 1];
    const under = c + width < labels.length ? labels[c + width] : -1;
    for (const other of [right, under])
      if (other >= 0 && other !== mass) {
        beside[mass].add(other);
        beside[other].add(mass);
      }
    if (under >= 0 && under !== mass) below[mass].set(under, (below[mass].get(under) ?? 0) + 1);
  }
  return masses.map((_, i) => {
    const across97 = spread(columns[i]);
    const down97 = spread(rows[i]);
    const edge = [...below[i].values()].reduce((sum, cells) => sum + cells, 0);
    return {
      top: down97.from / down,
      base: Math.min(1, down97.to / down),
      middle: down97.mean / down,
      aspect: (across97.to - across97.from) / Math.max(1, down97.to - down97.from),
      upperBorder: rows[i][0] / across,
      lowerBorder: rows[i][height - 1] / across,
      standsOn: new Map([...below[i]].map(([other, cells]) => [other, cells / edge])),
      beside: beside[i],
    };
  });
}

/** Between which places all but the tails of what is counted lies, and its mean. */
function spread(counts: Uint32Array): { from: number; to: number; mean: number } {
  let [cells, sum] = [0, 0];
  counts.forEach((count, i) => {
    cells += count;
    sum += count * (i + 0.5);
  });
  const at = (share: number) => {
    let passed = 0;
    for (let i = 0; i < counts.length; i++) {
      if (counts[i] > 0 && passed + counts[i] >= share * cells)
        return i + (share * cells - passed) / counts[i];
      passed += counts[i];
    }
    return counts.length;
  };
  return { from: at(TAIL), to: at(1 - TAIL), mean: sum / cells };
}
