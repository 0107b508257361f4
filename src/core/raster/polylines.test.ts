import fc from 'fast-check';
import { chainSegments, movingAverage, ringArea, smoothPolyline, type Segment } from './polylines';

const segment = (x0: number, y0: number, x1: number, y1: number): Segment => ({ x0, y0, x1, y1 });
/** The outline of a box of cells, a segment for each side of a cell, in an order that is no help. */
function outline(width: number, height: number): Segment[] {
  const across = Array.from({ length: width }, (_, x) => [
    segment(x, 0, x + 1, 0),
    segment(x + 1, height, x, height),
  ]);
  const down = Array.from({ length: height }, (_, y) => [
    segment(0, y, 0, y + 1),
    segment(width, y + 1, width, y),
  ]);
  return [...across.flat(), ...down.flat()].sort((one, other) => one.x0 - other.x0);
}

describe('segments chained to polylines', () => {
  it('meet end to end, whichever way each of them runs', () => {
    const [line, ...rest] = chainSegments([
      segment(1, 0, 2, 0),
      segment(3, 1, 2, 0),
      segment(1, 0, 0, 0),
    ]);
    expect(rest).toEqual([]);
    const ends = [line.points[0], line.points[line.points.length - 1]].map(({ x }) => x);
    expect(ends.sort()).toEqual([0, 3]);
    expect([...line.segments].sort()).toEqual([0, 1, 2]);
  });

  it('end where more than two meet', () => {
    const lines = chainSegments([
      segment(0, 0, 1, 0),
      segment(1, 0, 2, 0),
      segment(1, 0, 1, 1),
      segment(1, 1, 1, 2),
    ]);
    expect(lines.map(({ segments }) => segments.length).sort()).toEqual([1, 1, 2]);
    for (const { points } of lines)
      expect([points[0], points[points.length - 1]]).toContainEqual({ x: 1, y: 0 });
  });

  it('close where they go round, and use each segment once', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 1, max: 6 }), (w, h) => {
        const segments = outline(w, h);
        const [ring, ...rest] = chainSegments(segments);
        expect(rest).toEqual([]);
        expect(ring.points[ring.points.length - 1]).toEqual(ring.points[0]);
        expect([...ring.segments].sort((a, b) => a - b)).toEqual([...segments.keys()]);
        expect(ringArea(ring.points.map(({ x, y }) => [x, y]))).toBeCloseTo(w * h, 9);
      }),
    );
  });

  it('are none of none', () => {
    expect(chainSegments([])).toEqual([]);
  });
});

describe('a smoothed polyline', () => {
  it('keeps its ends, and a straight line as it is', () => {
    const straight = Array.from({ length: 12 }, (_, i) => ({ x: i, y: 2 * i }));
    expect(smoothPolyline(straight)).toEqual(straight);
    const steps = Array.from({ length: 12 }, (_, i) => ({ x: i >> 1, y: (i + 1) >> 1 }));
    const smooth = smoothPolyline(steps);
    expect([smooth[0], smooth[11]]).toEqual([steps[0], steps[11]]);
  });

  it('goes round a closed line, and leaves it closed', () => {
    const [ring] = chainSegments(outline(6, 4));
    const smooth = smoothPolyline(ring.points);
    expect(smooth).toHaveLength(ring.points.length);
    expect(smooth[smooth.length - 1]).toEqual(smooth[0]);
    // Corners are cut: it goes in, and never out.
    const area = ringArea(smooth.map(({ x, y }) => [x, y]));
    expect(area).toBeLessThan(24);
    expect(area).toBeGreaterThan(16);
  });
});

describe('a moving average', () => {
  it('is of what is there at the ends', () => {
    expect(movingAverage([0, 3, 6, 9], 1)).toEqual([1.5, 3, 6, 7.5]);
    expect(movingAverage([5], 3)).toEqual([5]);
    expect(movingAverage([], 3)).toEqual([]);
  });
});

it('a ring’s area is the same whichever way it runs', () => {
  const ring = [
    [0, 0],
    [4, 0],
    [4, 3],
    [0, 0],
  ];
  expect(ringArea(ring)).toBe(6);
  expect(ringArea([...ring].reverse())).toBe(6);
});
