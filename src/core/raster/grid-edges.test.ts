import fc from 'fast-check';
import { disjointSets, findRoot } from './disjoint-sets';
import { adjacentLabels, gridEdges } from './grid-edges';

const grids = fc
  .record({ width: fc.integer({ min: 1, max: 7 }), height: fc.integer({ min: 1, max: 7 }) })
  .chain(({ width, height }) =>
    fc.record({
      width: fc.constant(width),
      height: fc.constant(height),
      mask: fc.array(fc.integer({ min: 0, max: 1 }), {
        minLength: width * height,
        maxLength: width * height,
      }),
    }),
  );

describe('the edges of a grid', () => {
  it('join every two unmasked cells that share a side, each pair once', () => {
    fc.assert(
      fc.property(grids, ({ width, height, mask }) => {
        const ends = gridEdges({ width, height, mask });
        const found = Array.from({ length: ends.length / 2 }, (_, i) =>
          [ends[2 * i], ends[2 * i + 1]].join(),
        );
        const expected: string[] = [];
        mask.forEach((one, c) => {
          const right = c % width < width - 1 && mask[c + 1];
          if (one && right) expected.push([c, c + 1].join());
          if (one && mask[c + width]) expected.push([c, c + width].join());
        });
        expect(found).toEqual(expected);
      }),
    );
  });

  it('give each pair of labels that touch, and none that only meet at a corner', () => {
    const labels = [0, 0, 1, 2, 2, 1, 2, -1, 3];
    expect(adjacentLabels(labels, 3).sort()).toEqual([
      [0, 1],
      [0, 2],
      [1, 2],
      [1, 3],
    ]);
    expect(adjacentLabels([0, 1, 2, 0], 2).map(String)).not.toContain('0,0');
  });
});

describe('disjoint sets', () => {
  it('have one root for all that was joined, and others for the rest', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(19), fc.nat(19)), { maxLength: 40 }), (pairs) => {
        const parent = disjointSets(20);
        const naive = Array.from({ length: 20 }, (_, i) => i);
        for (const [a, b] of pairs) {
          parent[findRoot(parent, a)] = findRoot(parent, b);
          const [from, to] = [naive[a], naive[b]];
          naive.forEach((set, i) => (naive[i] = set === from ? to : set));
        }
        for (let i = 0; i < 20; i++)
          for (let j = 0; j < 20; j++)
            expect(findRoot(parent, i) === findRoot(parent, j)).toBe(naive[i] === naive[j]);
      }),
    );
  });
});
