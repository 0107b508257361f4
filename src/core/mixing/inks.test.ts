import fc from 'fast-check';
import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { oklabFromHex } from '../colour/hex';
import { linearFromOklab, oklabDistance, oklchFromOklab, type Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { lostTo, overprints, printed, separated } from './inks';

const of = (hex: string) => oklabFromHex(hex) as Oklab;
const THREE = { paper: of('#f4f0e4'), inks: [of('#e8c22c'), of('#c8423a'), of('#2d5f9a')] };
const far = (one: Oklab, other: Oklab) => ciede2000(labFromOklab(one), labFromOklab(other));
const covers = fc.tuple(
  fc.double({ min: 0, max: 1, noNaN: true }),
  fc.double({ min: 0, max: 1, noNaN: true }),
  fc.double({ min: 0, max: 1, noNaN: true }),
);

describe('overprints', () => {
  it('of three inks are seven colours and the paper', () => {
    const all = overprints(THREE);
    expect(all).toHaveLength(8);
    expect(all[0].inks).toEqual([]);
    expect(far(all[0].colour, THREE.paper)).toBeLessThan(0.1);
    for (const [i, ink] of THREE.inks.entries())
      expect(far(all[1 << i].colour, ink)).toBeLessThan(0.6);
    for (const [i, one] of all.entries())
      for (const other of all.slice(i + 1))
        expect(far(one.colour, other.colour)).toBeGreaterThan(5);
  });

  it('are darker than each ink in them, and what painters know: yellow and blue make a green', () => {
    const all = overprints(THREE);
    const value = (bits: number) => valueOfOklab(all[bits].colour);
    for (const bits of [3, 5, 6, 7])
      for (let i = 0; i < 3; i++)
        if (bits & (1 << i)) expect(value(bits)).toBeLessThan(value(1 << i) + 1e-6);
    const green = oklchFromOklab(all[5].colour).h;
    expect(green).toBeGreaterThan(120);
    expect(green).toBeLessThan(180);
    const orange = oklchFromOklab(all[3].colour).h;
    expect(orange).toBeGreaterThan(20);
    expect(orange).toBeLessThan(70);
  });

  it('of an ink that lies twice as thick let through the square of what it did', () => {
    const thick = { ...THREE, strengths: [1, 2, 1] };
    const value = (set: typeof THREE) => valueOfOklab(overprints(set)[2].colour);
    expect(value(thick)).toBeLessThan(value(THREE) - 0.3);
    expect(overprints(thick)[1].colour).toEqual(overprints(THREE)[1].colour);
    const grey = { paper: of('#ffffff'), inks: [of('#bcbcbc'), of('#2d5f9a')] };
    const [, once] = overprints(grey);
    const [, twice] = overprints({ ...grey, strengths: [2, 1] });
    expect(linearFromOklab(twice.colour).g).toBeCloseTo(linearFromOklab(once.colour).g ** 2, 2);
  });

  it('are of two to five inks', () => {
    expect(() => overprints({ ...THREE, inks: THREE.inks.slice(0, 1) })).toThrow(RangeError);
    expect(() => overprints({ ...THREE, inks: Array(6).fill(THREE.inks[0]) })).toThrow(RangeError);
  });
});

describe('separations', () => {
  it('come back to what was printed', () => {
    fc.assert(
      fc.property(covers, (cover) => {
        expect(separated(THREE, printed(THREE, cover)).deltaE).toBeLessThan(1);
      }),
      { numRuns: 60 },
    );
  });

  it('leave the paper free where the picture is the paper, and name the colours that are lost', () => {
    const paper = separated(THREE, THREE.paper);
    expect(Math.max(...paper.cover)).toBeLessThan(0.02);
    expect(oklabDistance(paper.colour, THREE.paper)).toBeLessThan(0.01);
    const palette = [THREE.inks[0], of('#7fe0d0'), of('#000000'), THREE.paper];
    const lost = lostTo(THREE, palette, 4);
    expect(lost).toContain(1);
    expect(lost).not.toContain(0);
    expect(lost).not.toContain(3);
  });
});
