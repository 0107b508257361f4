import fc from 'fast-check';
import { connectedComponents, componentSizes } from './connected-components';
import { chainSegments, movingAverage, smoothPolyline, type Segment } from './polylines';
import { placeWords } from '../picture/place-words';

const ABSENT = 9;

/** The plain way: fill each piece from its first pixel on. */
function filled(map: readonly number[], width: number): number[] {
  const sizes: number[] = [];
  const visited = new Set<number>();
  map.forEach((entry, start) => {
    if (entry === ABSENT || visited.has(start)) return;
    const waiting = [start];
    visited.add(start);
    let size = 0;
    for (let p = waiting.pop(); p !== undefined; p = waiting.pop()) {
      size++;
      const x = p % width;
      for (const [beside, there] of [
        [p - 1, x > 0],
        [p + 1, x < width - 1],
        [p - width, true],
        [p + width, true],
      ] as const)
        if (there && map[beside] === entry && !visited.has(beside)) {
          visited.add(beside);
          waiting.push(beside);
        }
    }
    sizes.push(size);
  });
  return sizes;
}

describe('pieces', () => {
  it('are those that filling finds, in the same order', () => {
    const maps = fc.integer({ min: 1, max: 9 }).chain((width) =>
      fc.record({
        width: fc.constant(width),
        map: fc
          .array(fc.constantFrom(0, 1, 1, 2, ABSENT), { minLength: width, maxLength: 90 })
          .map((map) => map.slice(0, map.length - (map.length % width))),
      }),
    );
    fc.assert(
      fc.property(maps, ({ width, map }) => {
        const found = connectedComponents(map, width, map.length / width, ABSENT);
        expect(found.size).toEqual(filled(map, width));
        const { entry, size } = componentSizes(map, width, map.length / width, ABSENT);
        expect({ entry, size }).toEqual({ entry: found.entry, size: found.size });
        found.labels.forEach((piece, p) =>
          expect(piece < 0 ? ABSENT : found.entry[piece]).toBe(map[p]),
        );
      }),
    );
  });
});

describe('lines', () => {
  const side = (x0: number, y0: number, x1: number, y1: number): Segment => ({ x0, y0, x1, y1 });

  it('are put together from stretches, ends first, then closed ones', () => {
    const path = [side(1, 0, 2, 0), side(0, 0, 1, 0), side(2, 0, 2, 1)];
    const square = [side(5, 5, 6, 5), side(6, 6, 5, 6), side(6, 5, 6, 6), side(5, 6, 5, 5)];
    const lines = chainSegments([...square, ...path]);
    expect(lines.map(({ points }) => points.length)).toEqual([4, 5]);
    expect(lines[1].points[0]).toEqual(lines[1].points[4]);
    expect(lines.flatMap(({ segments }) => segments).sort()).toEqual([0, 1, 2, 3, 4, 5, 6]);
  });

  it('end where more than two stretches meet', () => {
    const star = [side(0, 0, 1, 0), side(1, 0, 2, 0), side(1, 0, 1, 1)];
    expect(chainSegments(star)).toHaveLength(3);
  });

  it('lose the steps of the grid and keep their ends', () => {
    const stairs = Array.from({ length: 41 }, (_, i) => ({
      x: Math.ceil(i / 2),
      y: Math.floor(i / 2),
    }));
    const smooth = smoothPolyline(stairs);
    expect(smooth[0]).toEqual(stairs[0]);
    expect(smooth[40]).toEqual(stairs[40]);
    for (const { x, y } of smooth.slice(4, -4)) expect(Math.abs(x - y - 0.5)).toBeLessThan(0.1);
    expect(movingAverage([0, 0, 3, 0, 0], 1)).toEqual([0, 1, 1, 1, 0]);
  });
});

describe('a place in words', () => {
  it.each([
    [0.1, 0.1, 'upper left'],
    [0.5, 0.1, 'at the top'],
    [0.5, 0.5, 'in the middle'],
    [0.9, 0.5, 'on the right'],
    [0.9, 1, 'lower right'],
    [0.4, 0.9, 'at the bottom'],
  ])('%d, %d is %s', (x, y, words) => expect(placeWords({ x, y })).toBe(words));
});
