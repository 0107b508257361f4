import fc from 'fast-check';
import type { Place } from './framing';
import { framedStrokes, layStroke, type Stroke } from './strokes';

const SIZE = { width: 60, height: 40 };

function covered(stroke: Stroke): Set<number> {
  const pixels = new Set<number>();
  layStroke(stroke, SIZE.width, SIZE.height, (row, first, last) => {
    for (let x = first; x <= last; x++) pixels.add(row * SIZE.width + x);
  });
  return pixels;
}

/** The distance of a point to a line of points, in pixels. */
function distanceTo(points: readonly Place[], x: number, y: number): number {
  const at = points.map((point) => ({ x: point.x * SIZE.width, y: point.y * SIZE.height }));
  return Math.min(
    ...at.map((b, i) => {
      const a = at[Math.max(0, i - 1)];
      const square = (b.x - a.x) ** 2 + (b.y - a.y) ** 2;
      const along = square && ((x - a.x) * (b.x - a.x) + (y - a.y) * (b.y - a.y)) / square;
      const t = Math.min(1, Math.max(0, along));
      return Math.hypot(a.x + t * (b.x - a.x) - x, a.y + t * (b.y - a.y) - y);
    }),
  );
}

const place = fc.record({
  x: fc.double({ min: -0.2, max: 1.2, noNaN: true }),
  y: fc.double({ min: -0.2, max: 1.2, noNaN: true }),
});

describe('a stroke', () => {
  it('of a brush covers exactly what lies within its radius of its line', () => {
    fc.assert(
      fc.property(
        fc.array(place, { minLength: 1, maxLength: 5 }),
        fc.double({ min: 0.02, max: 0.2, noNaN: true }),
        (points, radius) => {
          const reach = radius * Math.hypot(SIZE.width, SIZE.height);
          const pixels = covered({ tool: 'brush', radius, points });
          const wrong: number[][] = [];
          for (let y = 0; y < SIZE.height; y++)
            for (let x = 0; x < SIZE.width; x++) {
              const away = distanceTo(points, x + 0.5, y + 0.5);
              // On the rim itself rounding decides.
              if (Math.abs(away - reach) < 1e-6) continue;
              if (pixels.has(y * SIZE.width + x) !== away < reach) wrong.push([x, y]);
            }
          expect(wrong).toEqual([]);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('of a lasso covers what its loop encloses', () => {
    const points = [
      { x: 0.25, y: 0.25 },
      { x: 0.75, y: 0.25 },
      { x: 0.75, y: 0.75 },
      { x: 0.25, y: 0.75 },
    ];
    const pixels = covered({ tool: 'lasso', radius: 0, points });
    expect(pixels.size).toBe(30 * 20);
    expect(pixels.has(20 * SIZE.width + 30)).toBe(true);
    // A figure of eight leaves out nothing but what lies outside both rings.
    const [a, b, c, d] = points;
    expect(covered({ tool: 'lasso', radius: 0, points: [a, c, b, d] }).size).toBeGreaterThan(200);
    expect(covered({ tool: 'lasso', radius: 0, points: [a, b] }).size).toBe(0);
  });

  it('marks the pixel under a point however thin it is, and nothing outside the picture', () => {
    expect(covered({ tool: 'brush', radius: 0, points: [{ x: 0.505, y: 0.51 }] }).size).toBe(1);
    expect(covered({ tool: 'brush', radius: 0.01, points: [{ x: 3, y: 3 }] }).size).toBe(0);
  });

  it('stays on its place of the original when the picture is cropped', () => {
    const [framed] = framedStrokes(
      [{ tool: 'brush' as const, radius: 0.1, points: [{ x: 0.5, y: 0.5 }] }],
      { angle: 0, crop: { x: 0.25, y: 0.5, width: 0.5, height: 0.5 } },
      { width: 400, height: 300 },
      { width: 200, height: 150 },
    );
    expect(framed.points).toEqual([{ x: 0.5, y: 0 }]);
    expect(framed.radius).toBeCloseTo(0.2, 9);
  });
});
