import { paintedBy } from '@/core/testing';
import { hexFromOklab, oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import type { QueryKind, QueryOf } from '@/contracts/desk-query/desk-query';
import type { Picture } from '@/core/picture/picture';
import { deriveImages } from './derived-images';
import { pushSettings } from './testing/push-settings';
import { answerQuery } from './answers';

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
const ask = <K extends QueryKind>(query: QueryOf<K>) =>
  answerQuery<K>(query, { working: bands, images: held });
const pixel = ({ width, data }: Picture, x: number, y: number) =>
  Array.from(data.subarray((y * width + x) * 4, (y * width + x) * 4 + 4));

describe('what the Desk’s worker says of a palette', () => {
  it('extracts from all of it, or within a loop', () => {
    const all = ask({
      kind: 'extract',
      count: 3,
      keep: [],
      lean: 'balanced',
      region: null,
      from: PICTURE,
    });
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
    const two = ask({
      kind: 'extract',
      count: 2,
      keep: [],
      lean: 'balanced',
      region: left,
      from: PICTURE,
    });
    expect(two.swatches.map(({ colour }) => hexFromOklab(colour))).toEqual(['#be3c32', '#f0e1be']);
    expect(ask({ kind: 'countSuggestion', keep: [] }).suggested).toBeGreaterThanOrEqual(3);
  });

  it('picks an area with what makes it, from the picture or the squint', () => {
    const edge = ask({
      kind: 'pick',
      place: { x: 1 / 3, y: 0.5 },
      radius: 0.05,
      from: { kind: 'picture' },
    });
    expect(edge?.clusters).toHaveLength(2);
    const flat = ask({
      kind: 'pick',
      place: { x: 0.16, y: 0.5 },
      radius: 0.02,
      from: { kind: 'squint', squint: 0.01 },
    });
    expect(hexFromOklab((flat as NonNullable<typeof flat>).probe.colour)).toBe('#be3c32');
    expect(
      ask({ kind: 'pick', place: { x: 0.5, y: 0.5 }, radius: 0, from: { kind: 'picture' } })?.probe
        .spread,
    ).toBe(0);
  });

  it('picks from zones in their mean colours, and from quiet colours pushed up', () => {
    const settings = { zones: 2, breaks: 'natural' as const, thresholds: [], squint: 0 };
    const dark = ask({
      kind: 'pick',
      place: { x: 0.16, y: 0.5 },
      radius: 0.01,
      from: { kind: 'zones', settings },
    });
    const other = ask({
      kind: 'pick',
      place: { x: 0.9, y: 0.5 },
      radius: 0.01,
      from: { kind: 'zones', settings },
    });
    expect(dark?.probe.colour).toEqual(other?.probe.colour);
    const pushed = ask({
      kind: 'pick',
      place: { x: 0.5, y: 0.5 },
      radius: 0.01,
      from: { kind: 'pushed', settings: pushSettings({ quiet: 0.8 }) },
    });
    const plain = ask({
      kind: 'pick',
      place: { x: 0.5, y: 0.5 },
      radius: 0.01,
      from: { kind: 'picture' },
    });
    const chroma = (found: typeof plain) =>
      Math.hypot(found?.probe.colour.a ?? 0, found?.probe.colour.b ?? 0);
    expect(chroma(pushed)).toBeGreaterThan(1.3 * chroma(plain));
    expect(pixel(bands, 150, 100)).toEqual([240, 225, 190, 255]);
  });

  it('redraws the picture in the palette, and leaves clear what it fails or reaches', () => {
    const palette = [of('#be3c32'), of('#f0e1be')];
    const mapped = ask({ kind: 'mapped', colours: palette });
    expect(pixel(mapped, 50, 50)).toEqual([190, 60, 50, 255]);
    const blues = new Set(Array.from({ length: 90 }, (_, x) => pixel(mapped, 205 + x, 50).join()));
    expect(blues.size).toBe(1);
    expect(
      ask({ kind: 'shares', colours: palette }).reduce((sum, share) => sum + share, 0),
    ).toBeCloseTo(1, 9);
    expect(ask({ kind: 'shares', colours: [] })).toEqual([]);
    const failing = ask({ kind: 'failing', colours: palette });
    expect([pixel(failing, 50, 50)[3], pixel(failing, 250, 50)[3]]).toEqual([205, 0]);
    expect(ask({ kind: 'fit', colours: palette }).failed).toBeCloseTo(1 / 3, 6);
    const earths = [of('#be3c32'), of('#c9902f'), of('#1c1a1a')];
    const reached = ask({ kind: 'reached', colours: earths });
    expect([pixel(reached, 50, 50)[3], pixel(reached, 250, 50)[3]]).toEqual([0, 205]);
    expect(ask({ kind: 'reach', colours: earths, wheel: 'painters' }).reached).toBeLessThan(0.7);
  });
});
