import { oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { withValue } from '@/core/colour/at-value';
import { DEFAULT_SETTINGS } from '@/contracts/settings';
import { partingSentence } from './parting-sentence';

const { scale } = DEFAULT_SETTINGS;
const at = (name: string, hex: string, value: number) => ({
  name,
  colour: withValue(oklabFromHex(hex) as Oklab, value),
});

describe('which candidate parts better from a ground', () => {
  const ground = at('cream', '#f0e6c8', 8);

  it('says by how many steps each stands from it, and which is better, by name', () => {
    expect(
      partingSentence([at('fog', '#9aa0a4', 7.5), at('umber', '#6b4f3a', 6.5)], ground, scale),
    ).toMatch(
      /^“umber” stands .* below “cream” and “fog” stands .* below it: “umber” parts best\.$/,
    );
  });

  it('goes by colour where values are alike, and says so of one that has the ground’s value', () => {
    expect(
      partingSentence([at('grey', '#c0c0c0', 8), at('rose', '#d98f94', 8)], ground, scale),
    ).toBe(
      '“grey” is one with “cream” in value and “rose” is one with it in value. In value two part alike; by colour “rose” parts best.',
    );
  });

  it('of one alone says both', () => {
    expect(partingSentence([at('rose', '#d98f94', 8)], ground, scale)).toMatch(
      /^“rose” is one with “cream” in value; in colour they are \d+ apart\.$/,
    );
    expect(partingSentence([], ground, scale)).toBe('');
  });
});
