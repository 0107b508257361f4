import { oklchFromOklab } from '../colour/oklab';
import { oklabFromHex } from '../colour/hex';
import { innerSet } from './inner-set';
import { tubesOf, TWELVE } from './testing/mixtures';
import { whichTubes } from './which-tubes';

const tubes = tubesOf(TWELVE);
const wanted = (...hexes: string[]) =>
  hexes.map((hex) => ({ colour: oklabFromHex(hex)!, share: 1 / hexes.length }));
const dusk = wanted('#6d7683', '#8a8378', '#b4bcb4', '#4e4a48', '#9a9488', '#c8301e');

it('dull mixtures of two tubes carry the quiet colours with white', () => {
  const set = innerSet(dusk, tubes, 3)!;
  expect(set.quiet).toEqual([0, 1, 2, 3, 4]);
  expect(set.piles.length).toBeGreaterThan(0);
  expect(set.piles.length).toBeLessThanOrEqual(3);
  for (const { parts, tint } of set.piles) {
    expect(parts).toHaveLength(2);
    expect(oklchFromOklab(tint).C).toBeLessThanOrEqual(0.06 + 1e-9);
  }
  expect(set.miss).toBeLessThan(3);
  // Nearer than as many tubes as they come from could be expected to be alone: three tubes and white.
  const plain = whichTubes(
    set.quiet.map((i) => dusk[i]),
    tubes,
    4,
  ).at(-1)!;
  expect(set.miss).toBeLessThan(plain.miss + 1.5);
});

it('more piles are never worse', () => {
  const misses = [1, 2, 3].map((most) => innerSet(dusk, tubes, most)!.miss);
  expect(misses[1]).toBeLessThanOrEqual(misses[0] + 1e-9);
  expect(misses[2]).toBeLessThanOrEqual(misses[1] + 1e-9);
});

it('there is none of strong colours, without white, or of tubes that don’t dull each other', () => {
  expect(innerSet(wanted('#c8301e', '#1e50c8'), tubes, 3)).toBeNull();
  expect(innerSet(dusk, tubesOf(['PB29', 'PBr7-burnt-sienna']), 3)).toBeNull();
  expect(innerSet(dusk, tubesOf(['PW6', 'PY35', 'PO20']), 3)).toBeNull();
});
