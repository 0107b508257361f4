import { PAINTERS_WHEEL } from '../colour/wheel';
import { colourAt } from './making';
import { allRegions, boundsOf, regionKey, regionOf } from './region';

describe('regions of colour', () => {
  it('have colours of theirs, and a key each', () => {
    expect(allRegions().length).toBeGreaterThan(90);
    expect(new Set(allRegions().map(regionKey)).size).toBe(allRegions().length);
    for (const region of allRegions()) {
      const { value, chroma, position } = boundsOf(region);
      const middle = ([from, to]: readonly [number, number]) => (from + to) / 2;
      const colour = colourAt(PAINTERS_WHEEL, middle(position), middle(value), middle(chroma));
      expect(regionOf(colour)).toEqual(region);
    }
  });
});
