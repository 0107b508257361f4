import { quantileOf } from '../raster/quantile';
import {
  fittedHomography,
  mapped,
  type Correspondence,
  type Homography,
} from '../raster/homography';

export interface Point {
  x: number;
  y: number;
}

/** Rows and columns that points stand in, seen in perspective. */
export interface Lattice {
  columns: number;
  rows: number;
  /** From column and row (whole numbers at the middles) to the picture. */
  toPicture: Homography;
  /** For each point its column and row; null for one that stands in none. */
  cells: (readonly [column: number, row: number] | null)[];
}

/** A neighbour lies within this angle of its axis, and at this many pitches at most. */
const NEAR_AXIS = Math.tan((32 * Math.PI) / 180);
const MAX_STEP = 1.45;
/** Points around one, by whose steps the pitch there is known. */
const NEARBY = 12;
/** The quantile of these that is the pitch: points that are missing lengthen some. */
const PITCH = 0.25;
/** A point stands in the cell whose middle is nearer than this share of the pitch. */
const IN_CELL = 0.42;
const REFITS = 6;
/** Where walks begin: quantiles across and down. */
const START_SHARES = [
  [0.5, 0.5],
  [0.25, 0.3],
  [0.75, 0.3],
  [0.3, 0.75],
  [0.7, 0.7],
] as const;
/** Times the usual distance beyond which a point's place is taken for a mistake. */
const FAR_OFF = 3;
/** A row or a column takes at least this share of the points that it could have. */
const MIN_FILLED = 0.25;

/**
 * The lattice that most of some points stand in: steps to the right and down between neighbours give each its place, and
 * a projective map is fitted to these places again and again. Null where too few stand in one.
 */
export function fittedLattice(points: readonly Point[]): Lattice | null {
  if (points.length < 6) return null;
  const right = pitches(points, 'x');
  const below = pitches(points, 'y');
  if (!right || !below) return null;
  const found = startsAmong(points).flatMap((start) => {
    let cells = walked(points, start, right, below);
    for (let i = 0; i < REFITS; i++) {
      const toPicture = robustHomography(correspondences(points, cells));
      if (!toPicture) return [];
      cells = assigned(points, cells, toPicture);
    }
    return bounded(points, cells) ?? [];
  });
  const held = ({ cells }: Lattice) => cells.filter((cell) => cell !== null).length;
  return found.reduce<Lattice | null>(
    (best, one) => (!best || held(one) > held(best) ? one : best),
    null,
  );
}

/** The points nearest some places of the middle: a walk from one may go wrong where neighbours are missing. */
function startsAmong(points: readonly Point[]): number[] {
  const at = (axis: 'x' | 'y', share: number) =>
    quantileOf(
      Float64Array.from(points, (point) => point[axis]),
      share,
    );
  const starts = START_SHARES.map(([x, y]) => {
    const place = { x: at('x', x), y: at('y', y) };
    const away = (point: Point) => Math.hypot(point.x - place.x, point.y - place.y);
    return points.reduce((best, point, i) => (away(point) < away(points[best]) ? i : best), 0);
  });
  return [...new Set(starts)];
}

/** The usual distance between neighbours along an axis, around each point: it shrinks with perspective. */
function pitches(points: readonly Point[], axis: 'x' | 'y'): number[] | null {
  const other = axis === 'x' ? 'y' : 'x';
  const steps = points.map((point) => {
    let nearest = Infinity;
    for (const to of points) {
      const along = to[axis] - point[axis];
      if (along <= 0 || Math.abs(to[other] - point[other]) > NEAR_AXIS * along) continue;
      nearest = Math.min(nearest, along);
    }
    return nearest;
  });
  const around = points.map((point) => {
    const near = points
      .map((to, i) => ({ away: Math.hypot(to.x - point.x, to.y - point.y), step: steps[i] }))
      .filter(({ step }) => Number.isFinite(step))
      .sort((one, next) => one.away - next.away)
      .slice(0, NEARBY);
    return near.length < 3
      ? NaN
      : quantileOf(
          Float64Array.from(near, ({ step }) => step),
          PITCH,
        );
  });
  return around.every((pitch) => pitch > 0) ? around : null;
}

/** Places by walking from neighbour to neighbour. */
function walked(
  points: readonly Point[],
  start: number,
  right: readonly number[],
  below: readonly number[],
): Lattice['cells'] {
  const cells: Lattice['cells'] = points.map(() => null);
  cells[start] = [0, 0];
  const queue = [start];
  for (let i = queue.shift(); i !== undefined; i = queue.shift()) {
    const [column, row] = cells[i]!;
    for (const [dx, dy] of [
      [1, 0],
      [-1, 0],
      [0, 1],
      [0, -1],
    ]) {
      let nearest = -1;
      let best = Infinity;
      points.forEach((to, j) => {
        if (j === i) return;
        const [u, v] = [(to.x - points[i].x) / right[i], (to.y - points[i].y) / below[i]];
        const along = u * dx + v * dy;
        const aside = Math.abs(u * dy + v * dx);
        if (along <= 0.4 || along > MAX_STEP || aside > NEAR_AXIS * along) return;
        const cost = along + aside;
        if (cost < best) [best, nearest] = [cost, j];
      });
      if (nearest < 0 || cells[nearest]) continue;
      cells[nearest] = [column + dx, row + dy];
      queue.push(nearest);
    }
  }
  return cells;
}

function correspondences(points: readonly Point[], cells: Lattice['cells']): Correspondence[] {
  return points.flatMap(({ x, y }, i) => {
    const cell = cells[i];
    return cell ? [{ from: cell, to: [x, y] as const }] : [];
  });
}

/** The map that most correspondences agree on: those that are far off against the others are left out, again and again. */
function robustHomography(some: readonly Correspondence[]): Homography | null {
  let kept = some;
  let found = fittedHomography(kept);
  for (let i = 0; i < REFITS && found; i++) {
    const map = found;
    const off = some.map(({ from, to }) => {
      const [x, y] = mapped(map, from[0], from[1]);
      return Math.hypot(x - to[0], y - to[1]);
    });
    const usual = quantileOf(Float64Array.from(off), 0.5);
    kept = some.filter((_, j) => off[j] <= FAR_OFF * usual);
    found = fittedHomography(kept);
  }
  return found;
}

/** Every point in the cell whose middle it is nearest to, one point a cell; none where no middle is near. */
function assigned(
  points: readonly Point[],
  was: Lattice['cells'],
  toPicture: Homography,
): Lattice['cells'] {
  const has = was.flatMap((cell) => cell ?? []);
  const columns = has.filter((_, i) => i % 2 === 0);
  const rows = has.filter((_, i) => i % 2 === 1);
  const taken = new Map<string, { i: number; off: number }>();
  for (let row = Math.min(...rows) - 1; row <= Math.max(...rows) + 1; row++)
    for (let column = Math.min(...columns) - 1; column <= Math.max(...columns) + 1; column++) {
      const [x, y] = mapped(toPicture, column, row);
      const [rx, ry] = mapped(toPicture, column + 1, row);
      const [bx, by] = mapped(toPicture, column, row + 1);
      const across = Math.hypot(rx - x, ry - y);
      const down = Math.hypot(bx - x, by - y);
      points.forEach((point, i) => {
        const off = Math.hypot((point.x - x) / across, (point.y - y) / down);
        const key = `${column} ${row}`;
        if (off < IN_CELL && off < (taken.get(key)?.off ?? Infinity)) taken.set(key, { i, off });
      });
    }
  const cells: Lattice['cells'] = points.map(() => null);
  for (const [key, { i }] of taken) {
    const [column, row] = key.split(' ').map(Number);
    cells[i] = [column, row];
  }
  return cells;
}

/** The lattice from its first to its last row and column that are filled well enough, counted from 0. */
function bounded(points: readonly Point[], cells: Lattice['cells']): Lattice | null {
  const there = cells.flatMap((cell) => (cell ? [cell] : []));
  if (there.length < 6) return null;
  const span = (at: 0 | 1) => {
    const counts = new Map<number, number>();
    for (const cell of there) counts.set(cell[at], (counts.get(cell[at]) ?? 0) + 1);
    const usual = Math.max(...counts.values());
    const kept = [...counts].filter(([, count]) => count >= MIN_FILLED * usual).map(([n]) => n);
    return [Math.min(...kept), Math.max(...kept)] as const;
  };
  const [left, last] = span(0);
  const top = Math.min(...there.map(([, row]) => row));
  const bottom = Math.max(...there.map(([, row]) => row));
  const moved = cells.map((cell) => {
    if (!cell) return null;
    const [column, row] = cell;
    return column >= left && column <= last ? ([column - left, row - top] as const) : null;
  });
  const toPicture = fittedHomography(correspondences(points, moved));
  return toPicture && { columns: last - left + 1, rows: bottom - top + 1, toPicture, cells: moved };
}
