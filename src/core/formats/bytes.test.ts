import fc from 'fast-check';
import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { bytesFromOklab, hexFromOklab, oklabFromHex } from '../colour/hex';
import type { Oklab } from '../colour/oklab';
import { randomFrom } from '../seeded';
import { anyPicture, paintedBy } from '../testing';
import { cardPatches, readCard } from './card';
import { FormatError } from './library-file';
import { embeddedLibrary, embedLibrary } from './png-chart';
import { pngText, withPngText } from './png-text';
import { anyLibraryOf, anyOklab, plain } from './testing';
import { textOf } from './text-of';

/** A PNG of one pixel, made by hand: its chunks are signature, IHDR, IDAT, IEND. */
const PNG = Uint8Array.from(
  atob(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  ),
  (sign) => sign.charCodeAt(0),
);

describe('the text of a file', () => {
  const words = 'GIMP Palette\r\nName: Évening ☂ 灯\r\n1 2 3 ink\r\n';
  const utf16 = (little: boolean, mark: boolean) => {
    const text = mark ? `\ufeff${words}` : words;
    const bytes = new Uint8Array(text.length * 2);
    const view = new DataView(bytes.buffer);
    for (let i = 0; i < text.length; i++) view.setUint16(i * 2, text.charCodeAt(i), little);
    return bytes;
  };

  it.each([
    ['UTF-8', new TextEncoder().encode(words)],
    ['UTF-8 with a mark', new TextEncoder().encode(`\ufeff${words}`)],
    ['UTF-16 LE with a mark', utf16(true, true)],
    ['UTF-16 BE with a mark', utf16(false, true)],
    ['UTF-16 LE', utf16(true, false)],
    ['UTF-16 BE', utf16(false, false)],
  ])('is read as %s', (_, bytes) => {
    expect(textOf(bytes)).toBe(words);
  });

  it('is read as windows-1252 where it is no UTF-8', () => {
    expect(textOf(Uint8Array.from([0xc9, 0x76, 0x65]))).toBe('Éve');
  });

  it('is refused where it is none, empty, or larger than any library', () => {
    expect(() => textOf(new Uint8Array(0))).toThrow(/empty/);
    expect(() => textOf(Uint8Array.from([1, 2, 0, 4, 5]))).toThrow(/no text/);
    const begun = performance.now();
    expect(() => textOf(new Uint8Array(50 * 1024 * 1024))).toThrow(/8 MB/);
    expect(performance.now() - begun).toBeLessThan(1000);
  });
});

describe('a PNG that carries a library', () => {
  it('gives it back, to the last digit', () => {
    fc.assert(
      fc.property(anyLibraryOf(anyOklab), (library) => {
        expect(embeddedLibrary(embedLibrary(PNG, library))).toEqual(plain(library));
      }),
    );
  });

  it('has none where none was put in', () => {
    expect(embeddedLibrary(PNG)).toBeNull();
    expect(pngText(withPngText(PNG, 'Title', 'x'), 'bold-prism-library')).toBeNull();
    expect(() => withPngText(PNG.subarray(0, 20), 'Title', 'x')).toThrow(RangeError);
  });

  it('is read in bounded time however it is cut or changed', () => {
    const whole = embedLibrary(PNG, { name: 'n', note: '', tags: [], swatches: [] });
    fc.assert(
      fc.property(
        fc.nat(whole.length),
        fc.array(fc.tuple(fc.nat(whole.length - 1), fc.integer({ min: 0, max: 255 })), {
          maxLength: 6,
        }),
        (length, changes) => {
          const bytes = whole.slice();
          for (const [at, byte] of changes) bytes[at] = byte;
          try {
            embeddedLibrary(bytes.subarray(0, length));
          } catch (error) {
            expect(error).toBeInstanceOf(FormatError);
          }
        },
      ),
      { numRuns: 500 },
    );
  });
});

describe('a picture of a swatch card', () => {
  const COLOURS = [
    '#c04020',
    '#e0b060',
    '#406080',
    '#203028',
    '#b0c0a0',
    '#784858',
    '#f0e8d8',
    '#101018',
  ];
  const COLUMNS = 4;

  /** Eight patches on pale card with grain, as a camera brings them; `gap` of the cell is card. */
  const card = (gap: number, grain: number) => {
    const random = randomFrom(3);
    const side = 100;
    return paintedBy(COLUMNS * side, 2 * side, (x, y) => {
      const cell = Math.floor(y / side) * COLUMNS + Math.floor(x / side);
      const within = (p: number) => p % side >= gap * side && p % side < (1 - gap) * side;
      const ground = within(x) && within(y) ? COLOURS[cell] : '#d8d6d0';
      const noise = () => (random() - 0.5) * 2 * grain;
      const [r, g, b] = bytesFromOklab(oklabFromHex(ground) as Oklab);
      return [r + noise(), g + noise(), b + noise()];
    });
  };

  it.each([
    [0.1, 0],
    [0.1, 5],
    [0.2, 8],
    [0.02, 3],
  ])('has its patches found, in reading order, gap %d, grain %d', (gap, grain) => {
    const patches = cardPatches(card(gap, grain));
    expect(patches).toHaveLength(COLOURS.length);
    patches.forEach(({ colour }, i) => {
      const apart = ciede2000(
        labFromOklab(colour),
        labFromOklab(oklabFromHex(COLOURS[i]) as Oklab),
      );
      expect(apart).toBeLessThan(1);
    });
    expect(patches[5].x).toBeCloseTo(0.25 * (1 + gap), 1);
  });

  it('gives nothing of a picture without patches', () => {
    const fading = paintedBy(300, 200, (x, y) => [x * 0.8, y, 255 - x * 0.8]);
    expect(() => readCard(fading)).toThrow(FormatError);
    const plainOne = paintedBy(300, 200, () => [128, 128, 128]);
    expect(() => readCard(plainOne)).toThrow(/no even patches/);
  });

  it('is sought in any picture without harm', () => {
    fc.assert(
      fc.property(anyPicture, (picture) => {
        for (const { colour, x, y, width, height } of cardPatches(picture)) {
          for (const part of [colour.L, colour.a, colour.b])
            expect(Number.isFinite(part)).toBe(true);
          for (const part of [x, y, x + width, y + height]) {
            expect(part).toBeGreaterThanOrEqual(0);
            expect(part).toBeLessThanOrEqual(1);
          }
        }
      }),
    );
  });

  it('reads the colour of each as it is', () => {
    expect(readCard(card(0.1, 0)).swatches.map(({ colour }) => hexFromOklab(colour))).toEqual(
      COLOURS,
    );
  });
});
