import fc from 'fast-check';
import { anyPicture, greyBytes, paintedBy } from '../testing';
import { bytesFromOklab } from '../colour/hex';
import { oklabFromOklch, oklchFromOklab } from '../colour/oklab';
import { temperature } from '../colour/temperature';
import { EVEN_WHEEL, WHEELS } from '../colour/wheel';
import type { Picture } from '../picture/picture';
import { toneTable } from './chroma';
import { readColourStudy, readKeptColours } from './colour-study';
import { measureSources } from './sources';
import type { SchemeName } from './harmony';

type Bytes = [number, number, number];
const hue = (h: number, C = 0.1, L = 0.6): Bytes => bytesFromOklab(oklabFromOklch({ L, C, h }));
const read = (picture: Picture, part: Partial<Parameters<typeof readColourStudy>[1]> = {}) =>
  readColourStudy(measureSources(picture), {
    zones: { zones: 3, breaks: 'even' },
    squint: 0,
    ...part,
  });
/** How far two hues are apart, degrees. */
const apart = (one: number, other: number) => Math.abs(((one - other + 540) % 360) - 180);

/** Rows of flat colours, each for its share. */
const stripes = (parts: readonly [Bytes, number][], width = 60, height = 100) =>
  paintedBy(width, height, (_, y) => {
    let before = 0;
    for (const [bytes, share] of parts) {
      before += share * height;
      if (y < before - 1e-6) return bytes;
    }
    return parts[parts.length - 1][0];
  });

/** Fixed noise about 0, −1 to 1, for a pixel. */
const noise = (x: number, y: number) => (((x * 73 + y * 151) % 97) / 96) * 2 - 1;

describe('hues', () => {
  it('are those of a two-hue picture, with their shares, values and chromas', () => {
    const { hues } = read(
      stripes([
        [hue(55, 0.12), 0.3],
        [hue(258, 0.08), 0.5],
        [greyBytes(5), 0.2],
      ]),
    );
    expect(hues.dominant.map(({ family }) => family)).toEqual(['blue', 'orange']);
    const [blue, orange] = hues.dominant;
    expect(apart(blue.hue, 258)).toBeLessThan(3);
    expect(apart(orange.hue, 55)).toBeLessThan(3);
    expect([blue.share, orange.share]).toEqual([expect.closeTo(0.5, 6), expect.closeTo(0.3, 6)]);
    expect(orange.chroma).toBeCloseTo(0.12, 2);
    expect(hues.neutral).toBeCloseTo(0.2, 6);
    const shareOf = (name: string) => {
      const { light, shadow } = hues.families.find(({ family }) => family === name)!;
      return light + shadow;
    };
    expect(shareOf('blue')).toBeCloseTo(0.5, 6);
    expect(shareOf('orange')).toBeCloseTo(0.3, 6);
    expect(hues.density.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 9);
  });

  it('turn with the picture, and harmony with them', () => {
    const turned = (by: number) =>
      read(
        paintedBy(60, 60, (x, y) =>
          hue(x < 40 ? 40 + by + noise(x, y) * 8 : 220 + by + noise(x, y) * 8, 0.07, 0.6),
        ),
        { wheel: EVEN_WHEEL },
      );
    const before = turned(0);
    const after = turned(90);
    before.hues.dominant.forEach((one, i) => {
      expect(apart(after.hues.dominant[i].hue, one.hue + 90)).toBeLessThan(3);
      expect(after.hues.dominant[i].share).toBeCloseTo(one.share, 2);
    });
    expect(before.harmony.fits[0].scheme).toBe('complement');
    expect(after.harmony.fits[0].scheme).toBe('complement');
    const turn = after.harmony.fits[0].rotation - before.harmony.fits[0].rotation;
    expect(apart(turn, 90)).toBeLessThan(8);
  });

  it('lie in the light or in the shadow', () => {
    const { hues } = read(
      stripes([
        [hue(70, 0.08, 0.85), 0.5],
        [hue(280, 0.08, 0.3), 0.5],
      ]),
    );
    const lit = hues.families.filter(({ light }) => light > 0).map(({ family }) => family);
    const shaded = hues.families.filter(({ shadow }) => shadow > 0).map(({ family }) => family);
    expect(lit).toEqual(['yellow-orange']);
    expect(shaded).toEqual(['blue-violet']);
  });
});

describe('the key colour', () => {
  it('is in all bands and largest in none', () => {
    // Five bands of value, each mostly of a hue of its own, with a third of violet.
    const own = [30, 100, 150, 200, 60];
    const picture = paintedBy(60, 100, (x, y) => {
      const band = Math.floor(y / 20);
      const L = 0.25 + band * 0.14;
      return x % 3 === 0 ? hue(314, 0.06, L) : hue(own[band], 0.06, L);
    });
    const { keyColour, hues } = read(picture);
    expect(keyColour?.family).toBe('violet');
    expect(keyColour?.bands).toHaveLength(5);
    for (const { share, from, to } of keyColour!.bands) {
      expect(share).toBeGreaterThan(0.25);
      expect(share).toBeLessThan(0.45);
      expect(to).toBeGreaterThanOrEqual(from);
    }
    expect(hues.dominant.length).toBeGreaterThan(3);
  });

  it('is none in greys', () => {
    expect(read(paintedBy(40, 40, (x) => greyBytes(x / 4))).keyColour).toBeNull();
  });
});

describe('temperature', () => {
  it('parts a warm light from a cool shadow by the known difference', () => {
    const WARM = hue(55, 0.08, 0.8);
    const COOL = hue(235, 0.05, 0.35);
    const { temperature: found } = read(
      stripes([
        [WARM, 0.4],
        [COOL, 0.6],
      ]),
    );
    expect(found.light! - found.shadow!).toBeCloseTo(1.3, 1);
    expect(found.mean).toBeCloseTo(0.4 * 0.8 - 0.6 * 0.5, 1);
    expect(found.warmest.y).toBeLessThan(0.4);
    expect(found.coolest.y).toBeGreaterThan(0.4);
    expect(found.warmest.temperature).toBeCloseTo(temperature(found.warmest.colour), 9);
    expect(found.zones.filter((zone) => zone !== null)).toHaveLength(2);
  });
});

describe('chroma', () => {
  it('has percentiles, words and a small accent of a grey picture', () => {
    const picture = paintedBy(200, 100, (x, y) =>
      x >= 100 && x < 114 && y >= 40 && y < 54 ? hue(30, 0.18) : greyBytes(5),
    );
    const { chroma, harmony, keyColour } = read(picture);
    const share = (14 * 14) / 20000;
    expect(chroma.words.strong).toBeCloseTo(share, 9);
    expect(chroma.words.neutral).toBeCloseTo(1 - share, 9);
    expect(chroma.p95).toBeLessThan(0.002);
    expect(chroma.accents).toHaveLength(1);
    expect(chroma.accents[0].share).toBeCloseTo(share, 3);
    expect(apart(chroma.accents[0].x * 360, 0.535 * 360)).toBeLessThan(10);
    // One per cent makes no scheme and no key.
    expect(harmony.fits).toEqual([]);
    expect(keyColour).toBeNull();
  });

  it('lives where it was put: in the half-tone, not in the light', () => {
    const { chroma } = read(
      stripes(
        [
          [hue(60, 0.02, 0.92), 0.4],
          [hue(60, 0.12, 0.66), 0.2],
          [hue(60, 0.02, 0.25), 0.4],
        ],
        120,
        200,
      ),
    );
    const { light, halfTone, shadow } = chroma.byLight;
    expect(light).toBeLessThan(0.04);
    expect(shadow).toBeLessThan(0.04);
    expect(halfTone ?? chroma.byLight.shadowEdge).toBeGreaterThan(0.06);
  });
});

describe('harmony', () => {
  const schemeOf = (hues: readonly number[]) => {
    const { harmony } = read(
      paintedBy(90, 60, (x, y) =>
        hue(hues[Math.floor((x / 90) * hues.length)] + noise(x, y) * 9, 0.07, 0.65),
      ),
      { wheel: EVEN_WHEEL },
    );
    return harmony;
  };

  it.each<[SchemeName, number[]]>([
    ['monochrome', [70]],
    ['analogous', [20, 50, 80]],
    ['complement', [70, 250]],
    ['split complement', [0, 150, 210]],
    ['triad', [10, 130, 250]],
    ['tetrad', [40, 130, 220, 310]],
  ])('finds a %s with noise', (scheme, hues) => {
    const { fits, outside } = schemeOf(hues);
    expect(fits[0].scheme).toBe(scheme);
    expect(fits[0].fit).toBeGreaterThan(75);
    expect(fits).toHaveLength(8);
    fits.forEach(({ fit }, i) => expect(fit).toBeLessThanOrEqual(fits[i - 1]?.fit ?? 100));
    expect(outside.reduce((sum, { share }) => sum + share, 0)).toBeLessThan(0.3);
  });

  it('names what breaks the best one, and whether it is an accent', () => {
    const picture = paintedBy(100, 60, (x, y) =>
      x < 1 ? hue(150, 0.14, 0.65) : hue(70 + noise(x, y) * 8, 0.05, 0.65),
    );
    const { harmony } = read(picture, { wheel: EVEN_WHEEL });
    expect(harmony.fits[0].scheme).toBe('monochrome');
    expect(harmony.outside[0]).toMatchObject({ kind: 'accent', share: expect.closeTo(0.01, 6) });
    expect(harmony.outside[0].distance).toBeGreaterThan(40);
  });
});

describe('reads as', () => {
  it('pushes a grey away from the field around it', () => {
    const picture = paintedBy(180, 180, (x, y) =>
      Math.abs(x - 90) < 12 && Math.abs(y - 90) < 12 ? hue(0, 0, 0.6) : hue(55, 0.1, 0.62),
    );
    const [{ colour, reads, surround, pushed, share }] = read(picture).readsAs;
    expect(share).toBeLessThan(0.03);
    expect(temperature(surround)).toBeGreaterThan(0.8);
    expect(temperature(reads)).toBeLessThan(temperature(colour) - 0.1);
    expect(pushed).toBeGreaterThan(0.02);
  });

  it('leaves strong colours, and greys among greys, as they are', () => {
    const strong = paintedBy(90, 90, (x) => (x < 20 ? hue(30, 0.12) : hue(200, 0.08)));
    expect(read(strong).readsAs).toEqual([]);
    const greys = paintedBy(90, 90, (x) => greyBytes(x < 20 ? 3 : 6));
    expect(read(greys).readsAs).toEqual([]);
  });
});

describe('the colours round the wheel', () => {
  it('are those that weigh in each bin, and none where nothing does', () => {
    const picture = stripes([
      [hue(30), 0.5],
      [hue(250), 0.5],
    ]);
    const { round, roundColours } = read(picture).harmony;
    expect(roundColours.map((colour) => colour !== null)).toEqual(
      round.map((weight) => weight > 0),
    );
    const hues = roundColours.flatMap((colour) => (colour ? [oklchFromOklab(colour).h] : []));
    for (const wanted of [30, 250])
      expect(Math.min(...hues.map((one) => Math.abs(one - wanted)))).toBeLessThan(3);
  });
});

describe('every colour reading', () => {
  it('leaves out a stretch of hues that no pixel has, though two bins beside it weigh on it', () => {
    const bytes = [
      [0, 6, 0, 255],
      [5, 0, 15, 255],
      [0, 208, 0, 255],
      [100, 76, 67, 0],
      [0, 6, 0, 255],
      [5, 0, 15, 255],
      [0, 208, 0, 255],
      [100, 76, 67, 255],
    ];
    const { dominant } = read(
      paintedBy(1, 8, (_, y) => bytes[y] as [number, number, number, number]),
    ).hues;
    expect(dominant.length).toBeGreaterThan(0);
    expect(dominant.every(({ share, colour }) => share > 0 && colour !== null)).toBe(true);
  });

  it('is the same in a mirror', () => {
    fc.assert(
      fc.property(anyPicture, (picture) => {
        const { width, height, data } = picture;
        const mirrored = paintedBy(width, height, (x, y) => {
          const [r, g, b, alpha] = data.subarray((y * width + width - 1 - x) * 4);
          return [r, g, b, alpha];
        });
        const one = read(picture);
        const other = read(mirrored);
        expect(other.hues).toEqual(one.hues);
        expect(other.harmony).toEqual(one.harmony);
        expect(other.keyColour).toEqual(one.keyColour);
        expect(other.chroma.words).toEqual(one.chroma.words);
        expect(other.temperature.mean).toBe(one.temperature.mean);
      }),
      { numRuns: 25 },
    );
  });

  it('changes no share by a point when the picture is enlarged', () => {
    fc.assert(
      fc.property(anyPicture, (picture) => {
        const { width, height, data } = picture;
        const large = paintedBy(width * 3, height * 3, (x, y) => {
          const at = (Math.floor(y / 3) * width + Math.floor(x / 3)) * 4;
          const [r, g, b, alpha] = data.subarray(at);
          return [r, g, b, alpha];
        });
        const one = read(picture);
        const other = read(large);
        one.hues.families.forEach(({ light, shadow }, i) => {
          const there = other.hues.families[i];
          expect(Math.abs(light + shadow - there.light - there.shadow)).toBeLessThan(0.01);
        });
        expect(other.harmony.fits).toEqual(one.harmony.fits);
      }),
      { numRuns: 25 },
    );
  });

  it('keeps for every wheel what is read on that wheel', () => {
    const picture = stripes([
      [hue(30), 0.5],
      [hue(250), 0.3],
      [hue(140, 0.01), 0.2],
    ]);
    const zones = { zones: 3, breaks: 'even' as const };
    const { wheelless, wheels } = readKeptColours(measureSources(picture), { zones, squint: 0 });
    for (const wheel of WHEELS)
      expect({ ...wheelless, ...wheels[wheel.id] }).toEqual(read(picture, { wheel }));
  });

  it('finds no scheme, hue or key in greys, and has shares that add up', () => {
    const greys = fc.array(fc.integer({ min: 0, max: 255 }), { minLength: 4, maxLength: 30 });
    fc.assert(
      fc.property(greys, (bytes) => {
        const found = read(paintedBy(bytes.length, 2, (x) => [bytes[x], bytes[x], bytes[x]]));
        expect(found.harmony.fits).toEqual([]);
        expect(found.hues.dominant).toEqual([]);
        expect(found.keyColour).toBeNull();
        expect(found.hues.neutral).toBeCloseTo(1, 9);
      }),
      { numRuns: 20 },
    );
    fc.assert(
      fc.property(anyPicture, (picture) => {
        const { hues, chroma } = read(picture);
        const families = hues.families.reduce((sum, { light, shadow }) => sum + light + shadow, 0);
        expect(families + hues.neutral).toBeCloseTo(1, 9);
        expect(Object.values(chroma.words).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
        expect(chroma.density.flat().reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
        const tones = toneTable(chroma.density).flat();
        expect(tones).toHaveLength(25);
        expect(tones.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
      }),
      { numRuns: 25 },
    );
  });
});
