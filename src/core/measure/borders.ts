import type { ColourGrid } from '../picture/colour-grid';
import type { Place } from '../picture/framing';
import { chainSegments, movingAverage, smoothPolyline, type Segment } from '../raster/polylines';
import type { Masses } from './masses';

/** How plainly two masses part along a stretch of their border. */
export type Edge = 'found' | 'soft' | 'lost';

/** A line between two masses that is of one kind all along. */
export interface EdgeLine {
  edge: Edge;
  /** In fractions of the picture. */
  points: Place[];
}

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
  /** The place on it that is nearest its middle, in fractions of the picture. */
  place: Place;
  lines: EdgeLine[];
}

/** A step of value across the border that makes it found, and one below which it is lost. */
const FOUND = 1;
const LOST = 0.5;
/** How far to either side values are compared, in cells. */
const REACH = 2;
/** Steps are evened out over so many stretches to either side: a brush's hair is no edge. */
const EVENED = 4;
/** Shorter runs are not drawn. */
const MIN_RUN = 4;

type Step = Segment & { step: number };

/**
 * The borders between masses, the longest first. A stretch of one is found where value steps by at
 * least one across it, lost where it steps by less than a half, soft between; the step is measured
 * over a short way, so that a slow turn is lost as well.
 */
export function bordersOf(masses: Masses): Border[] {
  const borders = meetings(masses);
  const all = [...borders.values()].reduce((sum, { steps }) => sum + steps.length, 0);
  return [...borders.values()]
    .map(({ one, other, steps }) => described(one, other, steps, all, masses.grid))
    .sort((a, b) => b.length - a.length);
}

/** For each pair of masses that meet, the sides of cells where they do. */
function meetings({ grid: { width, height, value }, labels }: Masses) {
  const borders = new Map<number, { one: number; other: number; steps: Step[] }>();
  const meet = (c: number, d: number, along: number, stretch: Segment) => {
    if (labels[c] === labels[d] || labels[c] < 0 || labels[d] < 0) return;
    const one = Math.min(labels[c], labels[d]);
    const other = Math.max(labels[c], labels[d]);
    const key = one * 0x10000 + other;
    const border = borders.get(key) ?? { one, other, steps: [] };
    const inner = backed(labels, c, -along, width);
    const outer = backed(labels, d, along, width);
    border.steps.push({ ...stretch, step: Math.abs(value[inner] - value[outer]) });
    borders.set(key, border);
  };
  for (let y = 0, c = 0; y < height; y++)
    for (let x = 0; x < width; x++, c++) {
      if (x + 1 < width) meet(c, c + 1, 1, { x0: x + 1, y0: y, x1: x + 1, y1: y + 1 });
      if (y + 1 < height) meet(c, c + width, width, { x0: x, y0: y + 1, x1: x + 1, y1: y + 1 });
    }
  return borders;
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

function described(
  one: number,
  other: number,
  steps: readonly Step[],
  all: number,
  { across, down }: ColourGrid,
): Border {
  const counts: Record<Edge, number> = { found: 0, soft: 0, lost: 0 };
  const lines: EdgeLine[] = [];
  const onPicture = ({ x, y }: Place): Place => ({
    x: Math.min(1, x / across),
    y: Math.min(1, y / down),
  });
  for (const { points, segments } of chainSegments(steps)) {
    const edges = movingAverage(
      segments.map((i) => steps[i].step),
      EVENED,
    ).map(edgeOf);
    const curve = smoothPolyline(points);
    for (let from = 0, to = 0; from < edges.length; from = to) {
      while (to < edges.length && edges[to] === edges[from]) to++;
      counts[edges[from]] += to - from;
      if (to - from >= MIN_RUN || to - from === edges.length)
        lines.push({ edge: edges[from], points: curve.slice(from, to + 1).map(onPicture) });
    }
  }
  return {
    one,
    other,
    length: steps.length / all,
    found: counts.found / steps.length,
    soft: counts.soft / steps.length,
    lost: counts.lost / steps.length,
    place: onPicture(middleOf(steps)),
    lines,
  };
}

function edgeOf(step: number): Edge {
  return step >= FOUND ? 'found' : step < LOST ? 'lost' : 'soft';
}

/** The middle of the stretch that lies nearest to the middle of them all: a place on the border itself. */
function middleOf(stretches: readonly Segment[]): Place {
  const middles = stretches.map(({ x0, y0, x1, y1 }) => ({ x: (x0 + x1) / 2, y: (y0 + y1) / 2 }));
  const x = middles.reduce((sum, middle) => sum + middle.x, 0) / middles.length;
  const y = middles.reduce((sum, middle) => sum + middle.y, 0) / middles.length;
  const away = (place: Place) => Math.hypot(place.x - x, place.y - y);
  return middles.reduce((best, place) => (away(place) < away(best) ? place : best));
}
