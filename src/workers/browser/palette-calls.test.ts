import { paintedBy } from '@/core/testing';
import { hexFromOklab, oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import type { Picture } from '@/core/picture/picture';
import { deriveImages } from './derived-images';
import { asking } from './testing/asking';
import { paletteCalls } from './palette-calls';

const PICTURE = { kind: 'picture' } as const;
const of = (hex: string) => oklabFromHex(hex) as Oklab;
/** A red, a cream and a blue side by side, the blue with grain. */
const bands = paintedBy(300, 200, (x, y) => {
  if (x < 100) return [190, 60, 50];
  if (x < 200) return [240, 225, 190];
  const grain = ((x * 31 + y * 17) % 9) - 4;
  return [50 + grain, 80 + grain, 150 + grain];
});
const held = deriveImages(bands, (strokes) => [...strokes]);
const desk = paletteCalls(
  () => held,
  (picture) => picture,
);
const pixel = ({ width, data }: Picture, x: number, y: number) =>
  Array.from(data.subarray((y * width + x) * 4, (y * width + x) * 4 + 4));

describe('what the Desk’s worker says of a palette', () => {
  it('extracts from all of it, or within a loop', () => {
    const all = desk.extract({ count: 3, region: null, from: PICTURE });
    expect(all.swatches.map(({ share }) => share)).toEqual([
      expect.closeTo(1 / 3, 6),
      expect.closeTo(1 / 3, 6),
      expect.closeTo(1 / 3, 6),
    ]);
    const left = [
      { x: 0, y: 0 },
      { x: 0.66, y: 0 },
      { x: 0.66, y: 1 },
      { x: 0, y: 1 },
    ];
    const two = desk.extract({ count: 2, region: left, from: PICTURE });
    expect(two.swatches.map(({ colour }) => hexFromOklab(colour))).toEqual(['#be3c32', '#f0e1be']);
    expect(desk.suggestCount([]).suggested).toBeGreaterThanOrEqual(3);
  });

  it('picks an area with what makes it, from the picture or the squint', () => {
    const edge = desk.pick({ x: 1 / 3, y: 0.5 }, 0.05, { kind: 'picture' });
    expect(edge?.components).toHaveLength(2);
    const flat = desk.pick({ x: 0.16, y: 0.5 }, 0.02, { kind: 'squint', squint: 0.01 });
    expect(hexFromOklab((flat as NonNullable<typeof flat>).probe.colour)).toBe('#be3c32');
    expect(desk.pick({ x: 0.5, y: 0.5 }, 0, { kind: 'picture' })?.probe.spread).toBe(0);
  });

  it('picks from zones in their mean colours, and from quiet colours pushed up', () => {
    const settings = { zones: 2, breaks: 'natural' as const, squint: 0 };
    const dark = desk.pick({ x: 0.16, y: 0.5 }, 0.01, { kind: 'zones', settings });
    const other = desk.pick({ x: 0.9, y: 0.5 }, 0.01, { kind: 'zones', settings });
    expect(dark?.probe.colour).toEqual(other?.probe.colour);
    const pushed = desk.pick({ x: 0.5, y: 0.5 }, 0.01, {
      kind: 'pushed',
      asked: asking({ quiet: 0.8 }),
    });
    const plain = desk.pick({ x: 0.5, y: 0.5 }, 0.01, { kind: 'picture' });
    const chroma = (found: typeof plain) =>
      Math.hypot(found?.probe.colour.a ?? 0, found?.probe.colour.b ?? 0);
    expect(chroma(pushed)).toBeGreaterThan(1.3 * chroma(plain));
    expect(pixel(bands, 150, 100)).toEqual([240, 225, 190, 255]);
  });

  it('redraws the picture in the palette, and leaves clear what it fails or reaches', () => {
    const palette = [of('#be3c32'), of('#f0e1be')];
    const mapped = desk.mapped(palette);
    expect(pixel(mapped, 50, 50)).toEqual([190, 60, 50, 255]);
    const blues = new Set(Array.from({ length: 90 }, (_, x) => pixel(mapped, 205 + x, 50).join()));
    expect(blues.size).toBe(1);
    expect(desk.shares(palette).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
    expect(desk.shares([])).toEqual([]);
    const failing = desk.failing(palette);
    expect([pixel(failing, 50, 50)[3], pixel(failing, 250, 50)[3]]).toEqual([205, 0]);
    expect(desk.fit(palette).failed).toBeCloseTo(1 / 3, 6);
    const earths = [of('#be3c32'), of('#c9902f'), of('#1c1a1a')];
    const reached = desk.reached(earths);
    expect([pixel(reached, 50, 50)[3], pixel(reached, 250, 50)[3]]).toEqual([0, 205]);
    expect(desk.reach(earths, 'painters').reached).toBeLessThan(0.7);
  });
});
