import fc from 'fast-check';
import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { oklabFromHex } from '../colour/hex';
import type { Oklab } from '../colour/oklab';
import { anySrgb } from '../testing';
import { pairUp, SAME_COLOUR } from './pair-up';

const hex = (text: string) => oklabFromHex(text) as Oklab;

describe('pairing two palettes', () => {
  it('parts what is shared, near, and only in one', () => {
    const one = [hex('#203040'), hex('#c04020'), hex('#e0d8c0')];
    const other = [hex('#e2dac2'), hex('#c64a2c'), hex('#2a6a3a')];
    const { shared, near, onlyOne, onlyOther } = pairUp(one, other, 5);
    expect(shared.map((pair) => [pair.one, pair.other])).toEqual([[2, 0]]);
    expect(near.map((pair) => [pair.one, pair.other])).toEqual([[1, 1]]);
    expect(onlyOne).toEqual([0]);
    expect(onlyOther).toEqual([2]);
  });

  it('gives a colour to the nearest of two that want it', () => {
    const { near, shared, onlyOne } = pairUp(
      [hex('#808080'), hex('#848484')],
      [hex('#858585')],
      10,
    );
    expect([...shared, ...near].map((pair) => pair.one)).toEqual([1]);
    expect(onlyOne).toEqual([0]);
  });

  const list = fc.array(anySrgb, { maxLength: 12 });
  it('uses every colour once, leaves no two unpaired that are within, and says true distances', () => {
    fc.assert(
      fc.property(
        list,
        list,
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        (one, other, within) => {
          const { shared, near, onlyOne, onlyOther } = pairUp(one, other, within);
          const pairs = [...shared, ...near];
          expect([...pairs.map((pair) => pair.one), ...onlyOne].sort((a, b) => a - b)).toEqual(
            one.map((_, i) => i),
          );
          expect([...pairs.map((pair) => pair.other), ...onlyOther].sort((a, b) => a - b)).toEqual(
            other.map((_, i) => i),
          );
          const apart = (i: number, j: number) =>
            ciede2000(labFromOklab(one[i]), labFromOklab(other[j]));
          for (const i of onlyOne)
            for (const j of onlyOther) expect(apart(i, j)).toBeGreaterThan(within);
          for (const pair of pairs) expect(pair.apart).toBe(apart(pair.one, pair.other));
          for (const pair of shared) expect(pair.apart).toBeLessThanOrEqual(SAME_COLOUR);
        },
      ),
    );
  });
});
