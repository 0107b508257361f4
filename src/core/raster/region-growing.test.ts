import fc from 'fast-check';
import { connectedComponents } from './connected-components';
import { growRegions } from './region-growing';

describe('region growing', () => {
  it('finds connected components where a region takes in what its seed holds', () => {
    const maps = fc.integer({ min: 1, max: 8 }).chain((width) =>
      fc.record({
        width: fc.constant(width),
        map: fc
          .array(fc.array(fc.nat(2), { minLength: width, maxLength: width }), {
            minLength: 1,
            maxLength: 8,
          })
          .map((rows) => rows.flat()),
      }),
    );
    fc.assert(
      fc.property(maps, ({ width, map }) => {
        const height = map.length / width;
        let own = -1;
        const labels = growRegions(
          { width, height, mask: map },
          {
            begin: (cell) => (own = map[cell]),
            accepts: (cell) => map[cell] === own,
            join: () => undefined,
          },
        );
        expect(labels).toEqual(connectedComponents(map, width, height, 0).labels);
      }),
    );
  });

  it('tells the rule of every cell of a region once', () => {
    const joined: number[] = [];
    growRegions(
      { width: 3, height: 2, mask: [1, 1, 0, 1, 1, 1] },
      { begin: () => undefined, accepts: () => true, join: (cell) => joined.push(cell) },
    );
    expect(joined.sort()).toEqual([0, 1, 3, 4, 5]);
  });
});
