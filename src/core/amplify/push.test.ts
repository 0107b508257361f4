import fc from 'fast-check';
import { labFromOklab } from '../colour/cielab';
import { oklabFromBytes, type Bytes } from '../colour/hex';
import { bytesFromOklab } from '../colour/hex';
import { oklabFromOklch, type Oklab } from '../colour/oklab';
import { anyBytes, paintedBy } from '../testing';
import type { Picture } from '../picture/picture';
import { chromaRoom } from './chroma-room';
import { pushed, PUSHES, type PushWay } from './push';

const colourAt = ({ data }: Picture, p: number): Oklab =>
  oklabFromBytes([data[p * 4], data[p * 4 + 1], data[p * 4 + 2]] as Bytes);
const chroma = ({ a, b }: Oklab) => Math.hypot(a, b);
const hue = ({ a, b }: Oklab) => (Math.atan2(b, a) * 180) / Math.PI;
const turned = (one: number, other: number) => Math.abs(((one - other + 540) % 360) - 180);
const mean = (numbers: readonly number[]) =>
  numbers.length === 0 ? 0 : numbers.reduce((sum, one) => sum + one, 0) / numbers.length;
const anyStrength = fc.double({ min: 0, max: 1, noNaN: true });
/** Many colours side by side, so that rounding to bytes evens out. */
const anyColours = fc.array(anyBytes, { minLength: 60, maxLength: 90 });
const row = (colours: readonly Bytes[]) => paintedBy(colours.length, 1, (x) => colours[x]);

describe('pushing quiet colours', () => {
  it('holds lightness: on average L* moves by less than 0.5', () => {
    fc.assert(
      fc.property(anyColours, fc.constantFrom(...PUSHES), anyStrength, (colours, way, strength) => {
        const after = pushed(row(colours), { way, strength });
        const moved = colours.map((bytes, p) =>
          Math.abs(labFromOklab(colourAt(after, p)).L - labFromOklab(oklabFromBytes(bytes)).L),
        );
        expect(mean(moved)).toBeLessThan(0.5);
      }),
      { numRuns: 60 },
    );
  });

  it('holds hue: on average it turns by less than 1° where there is any', () => {
    fc.assert(
      fc.property(
        anyColours,
        fc.constantFrom<PushWay>('lift', 'lift the quiet'),
        anyStrength,
        (colours, way, strength) => {
          const after = pushed(row(colours), { way, strength });
          const turns = colours.flatMap((bytes, p) => {
            const before = oklabFromBytes(bytes);
            return chroma(before) > 0.02 ? [turned(hue(before), hue(colourAt(after, p)))] : [];
          });
          expect(mean(turns)).toBeLessThan(1);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('keeps the order of chromas at one value and hue, the edge of sRGB included', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 0.8, noNaN: true }),
        fc.integer({ min: 0, max: 359 }),
        fc.constantFrom<PushWay>('lift', 'lift the quiet'),
        anyStrength,
        (L, h, way, strength) => {
          const room = chromaRoom(L, (h * Math.PI) / 180);
          const steps = Array.from({ length: 12 }, (_, i) =>
            bytesFromOklab(oklabFromOklch({ L, C: (room * (i + 1)) / 13, h })),
          );
          const after = pushed(row(steps), { way, strength });
          const chromas = steps.map((_, p) => chroma(colourAt(after, p)));
          // A byte's rounding may bring neighbours together, not past each other by more than that.
          for (let i = 1; i < chromas.length; i++)
            expect(chromas[i]).toBeGreaterThan(chromas[i - 1] - 0.006);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('leaves greys grey, and at no strength everything as it is', () => {
    fc.assert(
      fc.property(anyColours, fc.constantFrom(...PUSHES), (colours, way) => {
        const picture = row(colours);
        expect(pushed(picture, { way, strength: 0 }).data).toEqual(picture.data);
      }),
      { numRuns: 20 },
    );
    const greys = row(Array.from({ length: 64 }, (_, i): Bytes => [i * 4, i * 4, i * 4]));
    for (const way of PUSHES) expect(pushed(greys, { way, strength: 1 }).data).toEqual(greys.data);
  });

  it('brings up what is quiet more than what is loud when the quiet is lifted', () => {
    const of = (C: number) => bytesFromOklab(oklabFromOklch({ L: 0.65, C, h: 250 }));
    const after = pushed(row([of(0.02), of(0.1)]), { way: 'lift the quiet', strength: 0.6 });
    const [quiet, loud] = [0, 1].map((p) => chroma(colourAt(after, p)));
    expect(quiet / 0.02).toBeGreaterThan(2.5);
    expect(loud / 0.1).toBeLessThan(1.5);
  });

  it('spreads a fog: warm and cool that lie on one side of grey come to lie on both', () => {
    const fog = [
      oklabFromOklch({ L: 0.7, C: 0.03, h: 60 }),
      oklabFromOklch({ L: 0.7, C: 0.012, h: 60 }),
    ].map(bytesFromOklab);
    const after = pushed(row(fog), { way: 'spread', strength: 1 });
    const [warm, cool] = [0, 1].map((p) => colourAt(after, p));
    expect(warm.b).toBeGreaterThan(0.03);
    expect(cool.b).toBeLessThan(0);
  });

  it('leaves what is transparent alone, and refuses a strength there is none of', () => {
    const holes = paintedBy(2, 1, (x) => [120, 110, 100, x === 0 ? 0 : 255]);
    expect(Array.from(pushed(holes, { way: 'lift', strength: 1 }).data.slice(0, 4))).toEqual([
      120, 110, 100, 0,
    ]);
    for (const strength of [-0.1, 1.1, NaN])
      expect(() => pushed(holes, { way: 'lift', strength })).toThrow(RangeError);
  });
});
