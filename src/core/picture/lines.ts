import type { Place } from './framing';

/** A straight piece of a line, from corner to corner of a grid. */
export interface Stretch {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

/**
 * Stretches put together where their ends meet, each used once: lines from end to end, or closed ones
 * whose last point is their first. Where more than two meet, lines end.
 */
export function chained(stretches: readonly Stretch[]): Place[][] {
  const at = new Map<string, number[]>();
  const key = (x: number, y: number) => `${x},${y}`;
  const add = (end: string, i: number) => at.set(end, [...(at.get(end) ?? []), i]);
  stretches.forEach(({ x0, y0, x1, y1 }, i) => {
    add(key(x0, y0), i);
    add(key(x1, y1), i);
  });
  const used = new Uint8Array(stretches.length);
  const follow = (first: number, fromStart: boolean): Place[] => {
    const line: Place[] = [];
    let i = first;
    let forward = fromStart;
    for (;;) {
      used[i] = 1;
      const { x0, y0, x1, y1 } = stretches[i];
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
      if (next === undefined) return line;
      i = next;
      forward = stretches[i].x0 === to.x && stretches[i].y0 === to.y;
    }
  };
  const lines: Place[][] = [];
  // From loose ends and crossings first; what is left then are closed lines.
  for (const onlyEnds of [true, false])
    stretches.forEach(({ x0, y0, x1, y1 }, i) => {
      if (used[i]) return;
      const startsHere = at.get(key(x0, y0))?.length !== 2;
      const endsHere = at.get(key(x1, y1))?.length !== 2;
      if (onlyEnds && !startsHere && !endsHere) return;
      lines.push(follow(i, startsHere || !endsHere));
    });
  return lines;
}

/** A line with its corners cut twice, its ends kept. Source: G. Chaikin, 1974. */
export function smoothed(line: readonly Place[], rounds = 2): Place[] {
  let points = [...line];
  for (let round = 0; round < rounds && points.length > 2; round++) {
    const next = [points[0]];
    for (let i = 0; i + 1 < points.length; i++) {
      const [a, b] = [points[i], points[i + 1]];
      next.push(
        { x: a.x * 0.75 + b.x * 0.25, y: a.y * 0.75 + b.y * 0.25 },
        { x: a.x * 0.25 + b.x * 0.75, y: a.y * 0.25 + b.y * 0.75 },
      );
    }
    next.push(points[points.length - 1]);
    points = next;
  }
  return points;
}
