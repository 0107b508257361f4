import fc from 'fast-check';
import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { oklabFromBytes, oklabFromHex, type Bytes } from '../colour/hex';
import type { Oklab } from '../colour/oklab';
import { randomFrom } from '../seeded';
import { anySrgb } from '../testing';
import { mergedColour, nearDuplicates, nearestOf } from './near-duplicates';

const of = (hex: string) => oklabFromHex(hex) as Oklab;
const differs = (one: Oklab, other: Oklab) => ciede2000(labFromOklab(one), labFromOklab(other));

describe('near-duplicates', () => {
  it('finds groups that were planted, and leaves alone what stands by itself', () => {
    const planted: [hex: string, members: number][] = [
      ['#7a3f36', 4],
      ['#46618f', 1],
      ['#b9a06a', 2],
      ['#2c3530', 1],
      ['#9a7f9c', 5],
    ];
    const colours = planted.flatMap(([hex, members]) => {
      const base = of(hex);
      return Array.from({ length: members }, (_, n) => ({ ...base, L: base.L + n * 0.006 }));
    });
    expect(nearDuplicates(colours, 5)).toEqual([
      [0, 1, 2, 3],
      [5, 6],
      [8, 9, 10, 11, 12],
    ]);
  });

  it('joins no chain of small steps', () => {
    const steps = Array.from({ length: 6 }, (_, i) => ({ L: 0.4 + i * 0.03, a: 0, b: 0 }));
    for (const group of nearDuplicates(steps, 5))
      expect(differs(steps[group[0]], steps[group[group.length - 1]])).toBeLessThanOrEqual(5);
    expect(nearDuplicates(steps, 5).flat().length).toBeGreaterThan(2);
  });

  it('has every two of a group within the threshold, and none when all are farther', () => {
    fc.assert(
      fc.property(
        fc.array(anySrgb, { maxLength: 14 }),
        fc.double({ min: 1, max: 15, noNaN: true }),
        (colours, threshold) => {
          const groups = nearDuplicates(colours, threshold);
          for (const group of groups)
            for (const i of group)
              for (const j of group)
                expect(differs(colours[i], colours[j])).toBeLessThanOrEqual(threshold);
          expect(new Set(groups.flat()).size).toBe(groups.flat().length);
          // Nothing is left that could still be joined to a single one.
          const left = colours.map((_, i) => i).filter((i) => !groups.flat().includes(i));
          for (const i of left)
            for (const j of left)
              if (i < j) expect(differs(colours[i], colours[j])).toBeGreaterThan(threshold);
        },
      ),
    );
  });

  it('takes a library of thousands in a moment, every two of a group within the threshold', () => {
    const random = randomFrom(5);
    const colours = Array.from({ length: 3000 }, () =>
      oklabFromBytes([random() * 256, random() * 256, random() * 256].map(Math.floor) as Bytes),
    );
    const groups = nearDuplicates(colours, 5);
    expect(groups.length).toBeGreaterThan(300);
    for (const group of groups.slice(0, 100))
      for (const i of group)
        for (const j of group) expect(differs(colours[i], colours[j])).toBeLessThanOrEqual(5);
    // Joined pair by pair over all groups it would take many minutes.
  }, 20_000);

  it('merges by share, and evenly where none has any', () => {
    const one = { L: 0.2, a: 0.1, b: 0 };
    const other = { L: 0.6, a: -0.1, b: 0.2 };
    expect(mergedColour([one, other], [0.3, 0.1]).L).toBeCloseTo(0.3, 12);
    expect(mergedColour([one, other], [0, 0]).a).toBeCloseTo(0, 12);
  });

  it('knows the nearest of some', () => {
    const colours = ['#203050', '#c04030', '#f0e0c0'].map(of);
    expect(nearestOf(of('#c24434'), colours)).toMatchObject({ index: 1 });
    expect(nearestOf(of('#c24434'), colours)?.difference).toBeLessThan(2);
    expect(nearestOf(of('#000000'), [])).toBeNull();
  });
});
