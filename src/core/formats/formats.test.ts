import fc from 'fast-check';
import { bytesFromOklab } from '../colour/hex';
import { anySrgb } from '../testing';
import { formatById, FORMATS, formatOf } from './formats';
import { gpl } from './gpl';
import { bareSwatch, FormatError, loses } from './library-file';
import { prismJson } from './prism-json';
import { anyLibraryOf, anyOklab, libraryOf, plain } from './testing';

const BLACK = { L: 0, a: 0, b: 0 };
const anyExact = anyLibraryOf(anyOklab);

describe('our own JSON', () => {
  it('holds everything, to the last digit', () => {
    fc.assert(
      fc.property(anyExact, (library) => {
        expect(prismJson.read(prismJson.write(library))).toEqual(plain(library));
      }),
    );
    expect(loses(prismJson)).toEqual([]);
  });

  const sound = prismJson.write(libraryOf('n', [['s', { L: 0.5, a: 0, b: 0 }]]));
  const lineOf = (broken: string): number => {
    try {
      prismJson.read(broken);
    } catch (error) {
      if (error instanceof FormatError) return error.line;
      throw error;
    }
    return 0;
  };

  it('says the line of a broken file', () => {
    const lines = sound.split('\n');
    const oklabLine = lines.findIndex((line) => line.includes('"oklab"')) + 1;
    expect(lineOf(sound.replace('"share": null', '"share": 7'))).toBe(
      lines.findIndex((line) => line.includes('"share"')) + 1,
    );
    expect(lineOf(sound.replace('0.5', '"half"'))).toBe(oklabLine + 1);
    expect(lineOf(sound.replace('"version": 1', '"version": 99'))).toBe(3);
    expect(lineOf(lines.slice(0, 6).join('\n'))).toBe(6);
    expect(lineOf('')).toBe(1);
    expect(lineOf('[1, 2')).toBe(1);
    expect(lineOf(sound.replace('"name": "n",', '"name": "n"'))).toBeGreaterThan(4);
  });

  it('reads a file with a byte order mark, and leaves out what it does not know', () => {
    expect(prismJson.read(sound.replace('"name": "n"', '"later": true, "name": "n"')).name).toBe(
      'n',
    );
  });
});

describe('GPL', () => {
  it('holds 8-bit colours and names', () => {
    const named = fc.record({
      name: fc.string({ unit: 'grapheme', maxLength: 60 }),
      colour: anySrgb,
    });
    fc.assert(
      fc.property(
        fc.string({ maxLength: 30 }),
        fc.array(named, { maxLength: 9 }),
        (name, swatches) => {
          const written = gpl.write({
            name,
            note: '',
            tags: [],
            swatches: swatches.map(({ name: own, colour }) => bareSwatch(own, colour)),
          });
          const read = gpl.read(written);
          const oneLine = (words: string) =>
            words.replace(/[\n\r\v\f\u0085\u2028\u2029]+/g, ' ').trim();
          expect(read.name).toBe(oneLine(name));
          expect(read.swatches.map((swatch) => swatch.name)).toEqual(
            swatches.map((swatch) => oneLine(swatch.name)),
          );
          expect(read.swatches.map(({ colour }) => bytesFromOklab(colour))).toEqual(
            swatches.map(({ colour }) => bytesFromOklab(colour)),
          );
        },
      ),
    );
  });

  it('brings names with tabs, quotes, emoji and other scripts back', () => {
    const names = ['a\ttab', '"q"', '🌧️ wet', 'غروب', 'x'.repeat(200)];
    const read = gpl.read(
      gpl.write(
        libraryOf(
          'n\tm',
          names.map((name) => [name, BLACK]),
        ),
      ),
    );
    expect(read.name).toBe('n\tm');
    expect(read.swatches.map(({ name }) => name)).toEqual(names);
  });

  it('reads what other programs write: tabs, spaces, comments, Windows line ends', () => {
    const { name, swatches } = gpl.read(
      'GIMP Palette\r\nName: Évening ☂\r\nColumns: 3\r\n# by hand\r\n\r\n 12  34\t56  wet  slate\r\n255 255 255\r\n',
    );
    expect(name).toBe('Évening ☂');
    expect(swatches.map((swatch) => swatch.name)).toEqual(['wet  slate', '']);
    expect(bytesFromOklab(swatches[0].colour)).toEqual([12, 34, 56]);
  });

  it.each([
    ['Some other palette\n', 1],
    ['GIMP Palette\nName: x\n12 34\n', 3],
    ['GIMP Palette\n#\n1 2 3 ok\n1 2 300 too much\n', 4],
    ['GIMP Palette\n1 2 3 ok\n-1 2 3 less\n', 3],
    ['', 1],
  ])('says the line that is wrong in %j', (broken, line) => {
    expect(() => gpl.read(broken)).toThrow(expect.objectContaining({ name: 'FormatError', line }));
  });

  it('says what it can’t hold', () => {
    expect(loses(gpl)).toEqual([
      'note',
      'tags',
      'other names',
      'swatch notes',
      'roles',
      'shares',
      'provenance',
      'recipes',
      'links',
      'exact colour',
    ]);
  });
});

describe('the list of formats', () => {
  it('knows a file by its name, else by how it begins', () => {
    expect(formatOf('a.GPL', '')).toBe(gpl);
    expect(formatOf('a.prism.json', '')).toBe(prismJson);
    expect(formatOf('a', '  {')).toBe(prismJson);
    expect(formatOf('a.txt', 'GIMP Palette\n')).toBe(gpl);
    expect(formatOf('a.txt', 'hello')).toBeNull();
    expect(FORMATS.map(({ id }) => formatById(id)?.id)).toEqual(FORMATS.map(({ id }) => id));
    expect(formatById('nothing')).toBeNull();
  });
});
