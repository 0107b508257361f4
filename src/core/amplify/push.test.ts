import fc from 'fast-check';
import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { bytesFromOklab, oklabFromBytes, type Bytes } from '../colour/hex';
import { oklabFromOklch, oklabFromRgb, type Oklab } from '../colour/oklab';
import type { Picture } from '../picture/picture';
import { randomFrom } from '../seeded';
import { paintedBy } from '../testing';
import { chromaRoom } from './chroma-room';
import { chromaDenoiser } from './denoise-chroma';
import { CASTS, NO_PUSH, pusher, WAYS, writeAtGrey, type Push } from './push';
import { pushable, pushedPicture, pushedRows, rowsOf } from './pushed';
import { fog } from './testing/fogs';
import { readValueLock } from './value-lock';

const colourAt = ({ data }: Picture, p: number): Oklab =>
  oklabFromBytes([data[p * 4], data[p * 4 + 1], data[p * 4 + 2]] as Bytes);
const chroma = ({ a, b }: Oklab) => Math.hypot(a, b);
const hue = ({ a, b }: Oklab) => (Math.atan2(b, a) * 180) / Math.PI;
const turned = (one: number, other: number) => Math.abs(((one - other + 540) % 360) - 180);
const mean = (numbers: readonly number[]) =>
  numbers.length === 0 ? 0 : numbers.reduce((sum, one) => sum + one, 0) / numbers.length;
const anyStrength = fc.double({ min: 0, max: 1, noNaN: true });
const anyPush: fc.Arbitrary<Push> = fc.record({
  lift: anyStrength,
  quiet: anyStrength,
  spread: anyStrength,
  cast: fc.constantFrom(...CASTS),
});
const only = (part: Partial<Push>): Push => ({ ...NO_PUSH, ...part });
/** Many colours from all over sRGB side by side, so that rounding to bytes evens out. */
const anyColours = fc.integer({ min: 1, max: 1e9 }).map((seed) => {
  const random = randomFrom(seed);
  const byte = () => Math.floor(random() * 256);
  return Array.from({ length: 400 }, (): Bytes => [byte(), byte(), byte()]);
});
const row = (colours: readonly Bytes[]) => paintedBy(colours.length, 1, (x) => colours[x]);

describe('pushing quiet colours', () => {
  it('holds lightness: on average L* moves by less than 0.5, whatever is combined', () => {
    fc.assert(
      fc.property(anyColours, anyPush, (colours, push) => {
        const before = row(colours);
        expect(readValueLock(before, pushedPicture(before, push)).mean).toBeLessThan(0.5);
      }),
      { numRuns: 40 },
    );
  });

  it('holds hue: on average it turns by less than 1° where there is any', () => {
    fc.assert(
      fc.property(anyColours, anyStrength, anyStrength, (colours, lift, quiet) => {
        const after = pushedPicture(row(colours), only({ lift, quiet }));
        const turns = colours.flatMap((bytes, p) => {
          const before = oklabFromBytes(bytes);
          return chroma(before) > 0.02 ? [turned(hue(before), hue(colourAt(after, p)))] : [];
        });
        expect(mean(turns)).toBeLessThan(1);
      }),
      { numRuns: 40 },
    );
  });

  it('holds hue in a noisy fog too, where noise is not pushed but hue is kept', () => {
    const { picture } = fog(3, { width: 240, height: 160, noise: 2 });
    for (const push of [only({ lift: 1 }), only({ quiet: 1 })]) {
      const after = pushedPicture(picture, push);
      const turns = Array.from({ length: 240 * 160 }, (_, p) => p).flatMap((p) =>
        chroma(colourAt(picture, p)) > 0.02
          ? [turned(hue(colourAt(picture, p)), hue(colourAt(after, p)))]
          : [],
      );
      expect(turns.length).toBeGreaterThan(1000);
      expect(mean(turns)).toBeLessThan(1);
    }
  });

  it('keeps the order of chromas at one value and hue, the edge of sRGB included', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 0.8, noNaN: true }),
        fc.integer({ min: 0, max: 359 }),
        anyStrength,
        anyStrength,
        (L, h, lift, quiet) => {
          const room = chromaRoom(L, (h * Math.PI) / 180);
          const out = new Float64Array(3);
          const write = pusher(only({ lift, quiet }));
          let last = -1;
          for (let i = 1; i <= 40; i++) {
            const C = (room * i) / 41;
            const { a, b } = oklabFromOklch({ L, C, h });
            write(L, L, a, b, 0, 0, out, 0);
            const pushed = chroma(oklabFromBytes(Array.from(out, Math.round) as unknown as Bytes));
            // A byte's rounding may bring neighbours together, not past each other by more than that.
            expect(pushed).toBeGreaterThan(last - 0.006);
            expect(pushed).toBeGreaterThan(C - 0.006);
            last = pushed;
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('leaves greys grey, and at no strength everything as it is', () => {
    fc.assert(
      fc.property(anyColours, fc.constantFrom(...CASTS), (colours, cast) => {
        const picture = row(colours);
        expect(pushedPicture(picture, { ...NO_PUSH, cast }).data).toEqual(picture.data);
      }),
      { numRuns: 5 },
    );
    const greys = row(Array.from({ length: 64 }, (_, i): Bytes => [i * 4, i * 4, i * 4]));
    for (const way of WAYS) {
      const { data } = pushedPicture(greys, only({ [way]: 1 }));
      for (let i = 0; i < data.length; i++)
        expect(Math.abs(data[i] - greys.data[i])).toBeLessThanOrEqual(1);
    }
  });

  it('brings up what is quiet more than what is loud when the quiet is lifted', () => {
    const of = (C: number) => bytesFromOklab(oklabFromOklch({ L: 0.65, C, h: 250 }));
    const after = pushedPicture(row([of(0.02), of(0.1)]), only({ quiet: 0.6 }));
    const [quiet, loud] = [0, 1].map((p) => chroma(colourAt(after, p)));
    expect(quiet / 0.02).toBeGreaterThan(2.5);
    expect(loud / 0.1).toBeLessThan(1.5);
  });

  it('spreads a fog: warm and cool that lie on one side of grey come to lie on both', () => {
    const colours = [
      oklabFromOklch({ L: 0.7, C: 0.035, h: 60 }),
      oklabFromOklch({ L: 0.7, C: 0.02, h: 60 }),
      oklabFromOklch({ L: 0.7, C: 0.008, h: 60 }),
    ].map(bytesFromOklab);
    // The middle one is most of the picture: it is the cast, and stays.
    const band = (x: number) => (x < 10 ? 0 : x < 50 ? 1 : 2);
    const picture = paintedBy(60, 40, (x) => colours[band(x)]);
    const after = pushedPicture(picture, only({ spread: 1 }));
    const [warm, cast, cool] = [3, 30, 57].map((x) => colourAt(after, 20 * 60 + x));
    expect(warm.b).toBeGreaterThan(0.05);
    expect(chroma({ ...cast, b: cast.b - colourAt(picture, 20 * 60 + 30).b })).toBeLessThan(0.03);
    expect(cool.b).toBeLessThan(-0.02);
  });

  it('keeps each colour on its side of the cast where sRGB has room', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 6.28, noNaN: true }),
        fc.double({ min: 0.002, max: 0.012, noNaN: true }),
        anyStrength,
        (angle, away, spread) => {
          const cast = [0.004, 0.01] as const;
          const [a, b] = [cast[0] + away * Math.cos(angle), cast[1] + away * Math.sin(angle)];
          const out = new Float64Array(3);
          pusher(only({ spread }))(0.65, 0.65, a, b, cast[0], cast[1], out, 0);
          const after = oklabFromRgb({ r: out[0] / 255, g: out[1] / 255, b: out[2] / 255 });
          const side = Math.atan2(after.b - cast[1], after.a - cast[0]);
          expect(turned((side * 180) / Math.PI, (angle * 180) / Math.PI)).toBeLessThan(6);
          expect(Math.hypot(after.a - cast[0], after.b - cast[1])).toBeGreaterThan(0.99 * away);
        },
      ),
      { numRuns: 100 },
    );
  });

  it('spreads about the cast around each place, if asked: two fogs in one picture both open', () => {
    const warm = oklabFromOklch({ L: 0.7, C: 0.03, h: 60 });
    const cool = oklabFromOklch({ L: 0.7, C: 0.03, h: 240 });
    const picture = paintedBy(200, 60, (x, y) => {
      const ground = x < 100 ? warm : cool;
      const isSpot = y > 22 && y < 38 && (Math.abs(x - 40) < 8 || Math.abs(x - 160) < 8);
      return bytesFromOklab(isSpot ? { ...ground, a: ground.a + 0.012 } : ground);
    });
    const after = pushedPicture(picture, only({ spread: 1, cast: 'local' }));
    for (const [x, ground] of [
      [40, warm],
      [160, cool],
    ] as const) {
      const spot = colourAt(after, 30 * 200 + x);
      const beside = colourAt(after, 30 * 200 + (x === 40 ? 12 : 188));
      expect(spot.a - beside.a).toBeGreaterThan(0.034);
      // What lies around is its own cast, and hardly moves; about the cast of the whole it would by far more.
      expect(Math.hypot(beside.a - ground.a, beside.b - ground.b)).toBeLessThan(0.04);
    }
  });

  it('makes no confetti: noise grows far less than colour does', () => {
    const random = randomFrom(5);
    const noise = () => Math.round((random() + random() + random() - 1.5) * 8);
    const picture = paintedBy(240, 160, (x) => {
      const [r, g, b] = x < 120 ? [150, 146, 146] : [146, 147, 152];
      return [r + noise(), g + noise(), b + noise()];
    });
    const spread = ({ width, data }: Picture) => {
      const colours = Array.from({ length: 40 * 40 }, (_, i) =>
        oklabFromBytes(
          Array.from(
            data.subarray((((i / 40) | 0) * width + (i % 40)) * 4).slice(0, 3),
          ) as unknown as Bytes,
        ),
      );
      const a = mean(colours.map((one) => one.a));
      return Math.sqrt(mean(colours.map((one) => (one.a - a) ** 2)));
    };
    const after = pushedPicture(picture, only({ quiet: 1 }));
    const apart = (of: Picture) =>
      mean(
        Array.from(
          { length: 2000 },
          (_, i) =>
            colourAt(of, 20 * 240 + (i % 100) + 240 * ((i / 100) | 0)).b -
            colourAt(of, 20 * 240 + 130 + (i % 100) + 240 * ((i / 100) | 0)).b,
        ),
      );
    expect(apart(after) / apart(picture)).toBeGreaterThan(2.5);
    expect(spread(after) / spread(picture)).toBeLessThan(1.8);
  });

  it('reads from its table what the sum itself gives, to ΔE00 0.5 on average', () => {
    const { picture } = fog(2, { width: 200, height: 140, noise: 1 });
    const subject = pushable(picture);
    const rows = rowsOf(subject);
    for (const push of [
      only({ lift: 1 }),
      only({ quiet: 1 }),
      only({ spread: 1 }),
      only({ lift: 0.3, quiet: 0.3, spread: 0.3 }),
    ]) {
      const data = pushedRows(subject, rows, push);
      const write = pusher(push);
      const after = new Float64Array(3);
      const before = new Float64Array(3);
      const [castA, castB] = subject.ground.cast;
      const off: number[] = [];
      const { grey, ab } = rows.evened();
      for (let p = 0; p < grey.length; p += 7) {
        const [a, b] = [ab[p * 2], ab[p * 2 + 1]];
        write(grey[p], grey[p], a, b, castA, castB, after, 0);
        writeAtGrey(grey[p], grey[p], a, b, before, 0);
        const sum = [0, 1, 2].map((k) =>
          Math.min(255, Math.max(0, Math.round(picture.data[p * 4 + k] + after[k] - before[k]))),
        );
        off.push(
          ciede2000(
            labFromOklab(oklabFromBytes(sum as unknown as Bytes)),
            labFromOklab(colourAt({ ...picture, data }, p)),
          ),
        );
      }
      expect(mean(off)).toBeLessThan(0.5);
    }
  });

  it('gives the same in tiles as at once', () => {
    const { picture } = fog(4, { width: 180, height: 130 });
    const subject = pushable(picture);
    for (const push of [only({ quiet: 0.7 }), only({ spread: 0.7, cast: 'local' })]) {
      const whole = pushedRows(subject, rowsOf(subject), push);
      for (const [from, to] of [
        [0, 40],
        [40, 128],
        [128, 130],
      ])
        expect(pushedRows(subject, rowsOf(subject, from, to), push)).toEqual(
          whole.subarray(from * 180 * 4, to * 180 * 4),
        );
    }
  });

  it('leaves what is transparent alone, and refuses a strength there is none of', () => {
    const holes = paintedBy(2, 1, (x) => [120, 110, 100, x === 0 ? 0 : 255]);
    expect(Array.from(pushedPicture(holes, only({ lift: 1 })).data.slice(0, 4))).toEqual([
      120, 110, 100, 0,
    ]);
    for (const lift of [-0.1, 1.1, NaN])
      expect(() => pushedPicture(holes, only({ lift }))).toThrow(RangeError);
  });
});

describe('chroma without its noise', () => {
  it('is evened where it is quiet, kept at an edge of value and where it is strong', () => {
    const random = randomFrom(9);
    const noise = () => Math.round((random() - 0.5) * 16);
    const picture = paintedBy(200, 120, (x, y) => {
      const n = [noise(), noise(), noise()];
      const ground = y < 80 ? (x < 100 ? [190, 180, 176] : [90, 96, 104]) : [200, 60, 40];
      return [ground[0] + n[0], ground[1] + n[1], ground[2] + n[2]];
    });
    const subject = pushable(picture);
    const even = chromaDenoiser(picture, subject.smooth);
    const line = new Float32Array(200 * 3);
    const deviation = (y: number, from: number, to: number, own: boolean) => {
      even.writeRow(y, line);
      const as = Array.from({ length: to - from }, (_, i) =>
        own ? colourAt(picture, y * 200 + from + i).a : line[(from + i) * 3 + 1],
      );
      const middle = mean(as);
      return Math.sqrt(mean(as.map((a) => (a - middle) ** 2)));
    };
    expect(deviation(40, 5, 95, false)).toBeLessThan(0.65 * deviation(40, 5, 95, true));
    expect(deviation(110, 5, 195, false)).toBeCloseTo(deviation(110, 5, 195, true), 5);
    // Warm stays warm and cool cool up to the edge between them.
    even.writeRow(40, line);
    expect(mean([90, 92, 94, 96].map((x) => line[x * 3 + 2]))).toBeGreaterThan(0);
    expect(mean([104, 106, 108, 110].map((x) => line[x * 3 + 2]))).toBeLessThan(0);
  });
});
