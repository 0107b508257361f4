import fc from 'fast-check';
import { disjointSets, findRoot } from './disjoint-sets';

/** Which of `count` numbers belong together after the unions, by following them one by one. */
function closure(count: number, unions: readonly (readonly [number, number])[]): number[] {
  const label = Array.from({ length: count }, (_, i) => i);
  for (const [one, other] of unions) {
    const [to, from] = [label[one], label[other]];
    label.forEach((of, i) => {
      if (of === from) label[i] = to;
    });
  }
  return label;
}

describe('disjoint sets', () => {
  it('begin as one set for each element', () => {
    const parent = disjointSets(4);
    expect([0, 1, 2, 3].map((i) => findRoot(parent, i))).toEqual([0, 1, 2, 3]);
    expect(disjointSets(0)).toHaveLength(0);
  });

  it('let the caller choose the root that survives', () => {
    const parent = disjointSets(3);
    parent[findRoot(parent, 0)] = findRoot(parent, 2);
    parent[findRoot(parent, 1)] = findRoot(parent, 0);
    expect([0, 1, 2].map((i) => findRoot(parent, i))).toEqual([2, 2, 2]);
  });

  it('shorten the path that was followed, and change no root by it', () => {
    // A chain: each the child of the next.
    const parent = Int32Array.from([1, 2, 3, 4, 5, 5]);
    expect(findRoot(parent, 0)).toBe(5);
    expect(Array.from(parent)).toEqual([2, 2, 4, 4, 5, 5]);
    expect([0, 1, 2, 3, 4, 5].map((i) => findRoot(parent, i))).toEqual([5, 5, 5, 5, 5, 5]);
  });

  it('hold together exactly what unions connect', () => {
    const element = fc.integer({ min: 0, max: 19 });
    fc.assert(
      fc.property(fc.array(fc.tuple(element, element), { maxLength: 40 }), (unions) => {
        const parent = disjointSets(20);
        for (const [one, other] of unions) parent[findRoot(parent, other)] = findRoot(parent, one);
        const expected = closure(20, unions);
        for (let i = 0; i < 20; i++)
          for (let k = 0; k < i; k++)
            expect(findRoot(parent, i) === findRoot(parent, k)).toBe(expected[i] === expected[k]);
      }),
    );
  });
});
