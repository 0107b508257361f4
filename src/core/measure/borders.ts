import type { Place } from '../picture/framing';
import type { Masses } from './masses';

/** How plainly two masses part along a stretch of their border. */
export type Edge = 'found' | 'soft' | 'lost';

/** Where two masses meet. */
export interface Border {
  /** The two masses, the larger first. */
  one: number;
  other: number;
  /** Its length, as a share of all border between masses, 0–1. */
  length: number;
  /** Parts of its length that are found, soft and lost; together 1. */
  found: number;
  soft: number;
  lost: number;
  /** Its middle, in fractions of the picture. */
  place: Place;
  /** Single stretches, a cell's side long each, in cells: from corner to corner. */
  stretches: { x0: number; y0: number; x1: number; y1: number; edge: Edge }[];
}

/** A step of value across the border that makes it found, and one below which it is lost. */
const FOUND = 1;
const LOST = 0.5;
/** How far to either side values are compared, in cells. */
const REACH = 2;

/**
 * The borders between masses, the longest first. Each stretch is found where value steps by at least
 * one across it, lost where it steps by less than a half, soft between; the step is measured over a
 * short way, so that a slow turn is lost as well.
 */
export function bordersOf({ grid, of }: Masses): Border[] {
  const { width, height, value } = grid;
  const borders = new Map<number, Border>();
  let all = 0;
  const meet = (c: number, d: number, along: number, stretch: [number, number, number, number]) => {
    if (of[c] === of[d] || of[c] < 0 || of[d] < 0) return;
    const one = Math.min(of[c], of[d]);
    const other = Math.max(of[c], of[d]);
    const key = one * 0x10000 + other;
    let border = borders.get(key);
    if (!border) {
      border = {
        one,
        other,
        length: 0,
        found: 0,
        soft: 0,
        lost: 0,
        place: { x: 0, y: 0 },
        stretches: [],
      };
      borders.set(key, border);
    }
    const inner = backed(of, c, -along, width);
    const outer = backed(of, d, along, width);
    const step = Math.abs(value[inner] - value[outer]);
    const edge: Edge = step >= FOUND ? 'found' : step < LOST ? 'lost' : 'soft';
    border[edge]++;
    border.length++;
    const [x0, y0, x1, y1] = stretch;
    border.stretches.push({ x0, y0, x1, y1, edge });
    all++;
  };
  for (let y = 0, c = 0; y < height; y++)
    for (let x = 0; x < width; x++, c++) {
      if (x + 1 < width) meet(c, c + 1, 1, [x + 1, y, x + 1, y + 1]);
      if (y + 1 < height) meet(c, c + width, width, [x, y + 1, x + 1, y + 1]);
    }
  return [...borders.values()]
    .map((border) => {
      const n = border.length;
      const middle = nearestToMean(border.stretches);
      return {
        ...border,
        length: n / all,
        found: border.found / n,
        soft: border.soft / n,
        lost: border.lost / n,
        place: {
          x: Math.min(1, (middle.x0 + middle.x1) / 2 / grid.across),
          y: Math.min(1, (middle.y0 + middle.y1) / 2 / grid.down),
        },
      };
    })
    .sort((a, b) => b.length - a.length);
}

/** The cell some way back from a border, as far as its own mass goes. */
function backed(of: Int16Array, cell: number, along: number, width: number): number {
  let at = cell;
  for (let i = 1; i < REACH; i++) {
    const next = at + along;
    const wraps = Math.abs(along) === 1 && Math.floor(next / width) !== Math.floor(at / width);
    if (wraps || next < 0 || next >= of.length || of[next] !== of[cell]) break;
    at = next;
  }
  return at;
}

/** The stretch that lies nearest to the middle of them all: a place on the border itself. */
function nearestToMean(stretches: Border['stretches']): Border['stretches'][number] {
  const x = stretches.reduce((sum, { x0, x1 }) => sum + (x0 + x1) / 2, 0) / stretches.length;
  const y = stretches.reduce((sum, { y0, y1 }) => sum + (y0 + y1) / 2, 0) / stretches.length;
  const away = ({ x0, y0, x1, y1 }: Border['stretches'][number]) =>
    Math.hypot((x0 + x1) / 2 - x, (y0 + y1) / 2 - y);
  return stretches.reduce((best, stretch) => (away(stretch) < away(best) ? stretch : best));
}
