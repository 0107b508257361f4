import type { Place } from '../picture/framing';

/** A straight piece of a line, from corner to corner of a grid. */
export interface Segment {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

/** Consecutive segments, each by its index among those that were chained; one point more than segments. */
export interface Polyline {
  points: Place[];
  segments: number[];
}

/**
 * Segments joined where their ends meet, each used once: lines from end to end, or closed ones
 * whose last point is their first. Where more than two meet, lines end.
 */
export function chainSegments(segments: readonly Segment[]): Polyline[] {
  const at = new Map<string, number[]>();
  const key = (x: number, y: number) => `${x},${y}`;
  const add = (end: string, i: number) => at.set(end, [...(at.get(end) ?? []), i]);
  segments.forEach(({ x0, y0, x1, y1 }, i) => {
    add(key(x0, y0), i);
    add(key(x1, y1), i);
  });
  const used = new Uint8Array(segments.length);
  const follow = (first: number, fromStart: boolean): Polyline => {
    const line: Place[] = [];
    const along: number[] = [];
    let i = first;
    let forward = fromStart;
    for (;;) {
      used[i] = 1;
      along.push(i);
      const { x0, y0, x1, y1 } = segments[i];
      const [from, to] = forward
        ? [
            { x: x0, y: y0 },
            { x: x1, y: y1 },
          ]
        : [
            { x: x1, y: y1 },
            { x: x0, y: y0 },
          ];
      if (line.length === 0) line.push(from);
      line.push(to);
      const here = at.get(key(to.x, to.y)) ?? [];
      const next = here.length === 2 ? here.find((one) => !used[one]) : undefined;
      if (next === undefined) return { points: line, segments: along };
      i = next;
      forward = segments[i].x0 === to.x && segments[i].y0 === to.y;
    }
  };
  const lines: Polyline[] = [];
  // From loose ends and crossings first; what is left then are closed lines.
  for (const onlyEnds of [true, false])
    segments.forEach(({ x0, y0, x1, y1 }, i) => {
      if (used[i]) return;
      const startsHere = at.get(key(x0, y0))?.length !== 2;
      const endsHere = at.get(key(x1, y1))?.length !== 2;
      if (onlyEnds && !startsHere && !endsHere) return;
      lines.push(follow(i, startsHere || !endsHere));
    });
  return lines;
}

/**
 * A line along the cells of a grid without their steps: each point the mean of those within `reach`
 * of it, fewer near an end, so that ends stay where they are; a closed line goes round.
 */
export function smoothPolyline(line: readonly Place[], reach = 3): Place[] {
  const last = line.length - 1;
  const closed = last > 2 * reach && line[0].x === line[last].x && line[0].y === line[last].y;
  return line.map((_, i) => {
    const within = closed ? reach : Math.min(reach, i, last - i);
    let x = 0;
    let y = 0;
    for (let k = i - within; k <= i + within; k++) {
      // The last point of a closed line is its first.
      const point = closed ? line[((k % last) + last) % last] : line[k];
      x += point.x;
      y += point.y;
    }
    return { x: x / (2 * within + 1), y: y / (2 * within + 1) };
  });
}

/** The means of numbers along a line, each of those within `reach` of it. */
export function movingAverage(numbers: readonly number[], reach: number): number[] {
  return numbers.map((_, i) => {
    const near = numbers.slice(Math.max(0, i - reach), i + reach + 1);
    return near.reduce((sum, n) => sum + n, 0) / near.length;
  });
}

/** The area of a closed ring, whichever way it runs. */
export function ringArea(ring: readonly number[][]): number {
  let twice = 0;
  for (let i = 0; i + 1 < ring.length; i++)
    twice += ring[i][0] * ring[i + 1][1] - ring[i + 1][0] * ring[i][1];
  return Math.abs(twice) / 2;
}
