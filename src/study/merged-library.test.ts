import { oklabFromHex, hexFromOklab } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import type { Swatch } from '@/contracts/library';
import { mergedLibrary } from './merged-library';
import { DEFAULT_LIBRARY_SWATCH } from './library';

const swatch = (id: string, name: string, hex: string, part: Partial<Swatch> = {}): Swatch => ({
  id,
  name,
  note: '',
  role: null,
  colour: oklabFromHex(hex) as Oklab,
  share: 0.5,
  ...DEFAULT_LIBRARY_SWATCH,
  ...part,
});
const one = {
  swatches: [
    swatch('a', 'lamp', '#f0a94c', { otherNames: ['glow'], share: 0.3, note: 'late' }),
    swatch('b', 'slate', '#3a4650'),
  ],
};
const other = {
  swatches: [
    swatch('b', 'amber', '#eeaa50', { share: 0.1, note: 'thin' }),
    swatch('c', 'leaf', '#4a7a4a', { share: null }),
  ],
};

describe('two libraries merged', () => {
  it('keep one of near-duplicates, and remember what the other was called', () => {
    const { swatches, pairs } = mergedLibrary(one, other, 5, 'first');
    expect(pairs).toHaveLength(1);
    expect(swatches.map(({ name }) => name)).toEqual(['slate', 'leaf', 'lamp']);
    expect(swatches[2]).toMatchObject({
      id: 'a',
      otherNames: ['glow', 'amber'],
      note: 'late\nthin',
      colour: one.swatches[0].colour,
    });
    expect(swatches[2].share).toBeCloseTo(0.2);
    expect(swatches[1].share).toBeNull();
  });

  it('take their mean by shares', () => {
    const lamp = mergedLibrary(one, other, 5, 'mean').swatches[2];
    expect(hexFromOklab(lamp.colour)).toBe('#f0a94d');
  });

  it('keep both, with ids of their own', () => {
    const { swatches } = mergedLibrary(one, other, 5, 'both');
    expect(swatches).toHaveLength(4);
    expect(new Set(swatches.map(({ id }) => id)).size).toBe(4);
    const total = swatches.reduce((sum, { share }) => sum + (share ?? 0), 0);
    expect(total).toBeCloseTo((0.3 + 0.5 + 0.1) / 2);
  });

  it('have no near-duplicates where nothing is that near', () => {
    expect(mergedLibrary(one, other, 0.5, 'first')).toMatchObject({ pairs: [] });
    expect(mergedLibrary(one, { swatches: [] }, 5, 'first').swatches).toHaveLength(2);
  });
});
