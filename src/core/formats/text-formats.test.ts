import fc from 'fast-check';
import { bytesFromOklab, hexFromOklab, oklabFromHex } from '../colour/hex';
import type { Oklab } from '../colour/oklab';
import { anySrgb } from '../testing';
import { coloursIn } from './colour-text';
import { cssProperties } from './css-properties';
import { designTokens } from './design-tokens';
import { formatOf, TEXT_FORMATS } from './formats';
import { hexList } from './hex-list';
import { bareSwatch, FormatError, loses, oneLine } from './library-file';
import { anyLibrary, libraryOf, plain } from './testing';

const hexes = (colours: readonly { colour: Oklab }[]) =>
  colours.map(({ colour }) => hexFromOklab(colour));

describe('design tokens', () => {
  it('hold everything, to the last digit', () => {
    fc.assert(
      fc.property(anyLibrary, (library) => {
        expect(designTokens.read(designTokens.write(library))).toEqual(plain(library));
      }),
    );
    expect(loses(designTokens)).toEqual(['links']);
  });

  it('are read from other programs: groups, types above, hex, spaces, references', () => {
    const { name, swatches } = designTokens.read(`{
      "palette": {
        "$type": "color",
        "wet": { "slate": { "$value": "#0c2238" } },
        "lamp": { "$value": { "colorSpace": "srgb", "components": [1, 0.6, "none"], "alpha": 0.5 } },
        "again": { "$value": "{palette.wet.slate}", "$description": "the same" }
      },
      "gap": { "$type": "dimension", "$value": { "value": 4, "unit": "px" } },
      "fog": { "$type": "color", "$value": { "colorSpace": "oklch", "components": [0.7, 0.02, 60] } }
    }`);
    expect(name).toBe('');
    expect(swatches.map((swatch) => swatch.name)).toEqual([
      'palette wet slate',
      'palette lamp',
      'palette again',
      'fog',
    ]);
    expect(hexes(swatches).slice(0, 3)).toEqual(['#0c2238', '#ff9900', '#0c2238']);
    expect(swatches[2].note).toBe('the same');
  });

  it.each([
    ['[1]', 1],
    ['{\n"a": { "$type": "color",\n "$value": "blueish" } }', 3],
    ['{"a": {"$type": "color", "$value": "{b.c}"}}', 1],
    ['{"a": {"$type": "color",\n"$value": "{a}"}}', 2],
    ['{"a": {"$type": "color", "$value": {"colorSpace": "cmyk", "components": [1, 1, 1]}}}', 1],
    ['{"a": {"$type": "color", "$value": {"colorSpace": "oklab", "components": [9, 1, 1]}}}', 1],
    ['{"a": {"$type": "color", "$value": {"colorSpace": "oklab", "components": [1, 1]}}}', 1],
    ['{"a": {"$type": "number", "$value": 3}}', 1],
    [`${'{"a":'.repeat(60)}{"$type":"color","$value":"#fff"}${'}'.repeat(60)}`, 1],
    ['{"a": ', 1],
  ])('refuse %s with its line', (text, line) => {
    expect(() => designTokens.read(text)).toThrow(
      expect.objectContaining({ name: 'FormatError', line }),
    );
  });
});

describe('CSS properties', () => {
  it('hold the name, swatch names and exact colours', () => {
    fc.assert(
      fc.property(anyLibrary, (library) => {
        const read = cssProperties.read(cssProperties.write(library));
        expect(read.name).toBe(library.name);
        expect(read.swatches.map(({ name, colour }) => ({ name, colour }))).toEqual(
          plain(library).swatches.map(({ name, colour }) => ({ name, colour })),
        );
      }),
    );
  });

  it('never let a name out of its comment', () => {
    const colour = oklabFromHex('#123456') as Oklab;
    const text = cssProperties.write(libraryOf('*/', [['*/ } body { x: url(y) } /*', colour]]));
    expect(text.match(/\*\//g)).toHaveLength(2);
    expect(text.split('\n')[2]).toMatch(/^ {2}--body-x-url-y: oklab\(/);
  });

  it('are read from any style sheet, whatever else is in it', () => {
    const { swatches } = cssProperties.read(
      ':root { --ink: #123; --gap: 4px;\n--wall-light: rgb(200 20% 30 / 50%); --none: none } a { color: red }\n.x{--fog:hsl(210, 20%, 60%)}',
    );
    expect(swatches.map((swatch) => swatch.name)).toEqual(['ink', 'wall light', 'fog']);
    expect(hexes(swatches)).toEqual(['#112233', '#c8331e', '#8599ad']);
    expect(() => cssProperties.read('a { color: red }')).toThrow(FormatError);
  });
});

describe('a hex list', () => {
  it('holds swatch names on one line and 8-bit colours', () => {
    const named = fc.string({ unit: fc.constantFrom(...'abc dé 灯'), maxLength: 30 });
    fc.assert(
      fc.property(fc.array(fc.tuple(named, anySrgb), { minLength: 1, maxLength: 9 }), (pairs) => {
        const read = hexList.read(hexList.write(libraryOf('', pairs)));
        expect(read.swatches.map((swatch) => swatch.name)).toEqual(
          pairs.map(([name]) => oneLine(name)),
        );
        expect(read.swatches.map(({ colour }) => bytesFromOklab(colour))).toEqual(
          pairs.map(([, colour]) => bytesFromOklab(colour)),
        );
      }),
    );
  });

  it('brings names with tabs, quotes, emoji and other scripts back', () => {
    const colour = oklabFromHex('#123456') as Oklab;
    const names = ['a\ttab', 'the “late” one', 'wet 🌧️', 'غروب', 'x'.repeat(200)];
    const read = hexList.read(
      hexList.write(
        libraryOf(
          '',
          names.map((name) => [name, colour]),
        ),
      ),
    );
    expect(read.swatches.map(({ name }) => name)).toEqual(names);
  });

  it('is read from any text with colours in it', () => {
    const { swatches } = hexList.read(
      'For the sky #a9b7c6, for the wall: #E8D9C2 and rgb(10, 20, 30)\r\nlamp = #f0a94c;\n- fog: oklch(70% 0.02 60deg)\nno colour here #12345\n',
    );
    expect(hexes(swatches)).toEqual([
      '#a9b7c6',
      '#e8d9c2',
      '#0a141e',
      '#f0a94c',
      expect.any(String),
    ]);
    expect(swatches.map(({ name }) => name)).toEqual([
      'for the wall',
      'and rgb'.slice(0, 3),
      '',
      'lamp',
      'fog',
    ]);
    expect(() => hexList.read('nothing')).toThrow(/no colour/);
  });
});

describe('colours in a text', () => {
  it.each([
    ['#FFF', '#ffffff'],
    ['#0f08', '#00ff00'],
    ['#11223344', '#112233'],
    ['rgb(255 0 0)', '#ff0000'],
    ['rgba(0, 128, 255, .5)', '#0080ff'],
    ['rgb(100% 60% 0%)', '#ff9900'],
    ['hsl(120deg 100% 20%)', '#006600'],
    ['hsl(-120, 100%, 50%)', '#0000ff'],
    ['oklab(62.8% 0.225 0.126)', '#ff0000'],
    ['oklch(none none none)', '#000000'],
    // Of the tests of CSS Color 4.
    ['lab(46.2775% -47.5621 48.5837)', '#008000'],
    ['lab(100 0 0)', '#ffffff'],
    ['lab(50% 50 0)', '#c14e79'],
    ['lch(46.2775% 67.9892 134.3912)', '#008000'],
  ])('%s is %s', (text, hex) => {
    expect(hexes(coloursIn(text))).toEqual([hex]);
  });

  it('are not what only looks like them', () => {
    for (const text of [
      '#12',
      '#12345',
      '#ggg',
      'rgb(1, 2)',
      'rgb()',
      '#1234567',
      'a#fffz',
      'oklch(x y z)',
    ])
      expect(coloursIn(text)).toEqual([]);
  });
});

describe('every format', () => {
  it('ends with a right result or a plain refusal, whatever it is given', () => {
    const scraps = fc.string({
      unit: fc.constantFrom(
        ...'{}[]":,#-_/*;()<> \n\t\r\u0000\uFEFF',
        '$value',
        '$type',
        'color',
        '#fff',
        '--a',
        'rgb(',
        'GIMP Palette',
        '9e999',
        '🌧',
        'oklab(1 2 3)',
      ),
      maxLength: 60,
    });
    fc.assert(
      fc.property(scraps, fc.constantFrom(...TEXT_FORMATS), (text, format) => {
        try {
          for (const { colour } of format.read(text).swatches)
            for (const part of [colour.L, colour.a, colour.b])
              expect(Number.isFinite(part)).toBe(true);
        } catch (error) {
          expect(error).toBeInstanceOf(FormatError);
        }
      }),
      { numRuns: 600 },
    );
  });

  it('reads what is very long or very deep in bounded time', () => {
    const begun = performance.now();
    for (const text of [
      '#'.repeat(500_000),
      'rgb('.repeat(200_000),
      '--a:'.repeat(200_000),
      '/*'.repeat(200_000),
      '{"a":'.repeat(20_000),
      '['.repeat(20_000),
    ])
      for (const format of TEXT_FORMATS) {
        try {
          format.read(text);
        } catch (error) {
          if (!(error instanceof FormatError)) throw error;
        }
      }
    expect(performance.now() - begun).toBeLessThan(20_000);
  });

  it('is known by its name, or by what is in it', () => {
    const library = libraryOf('n', [['s', oklabFromHex('#123456') as Oklab]]);
    for (const format of TEXT_FORMATS)
      expect(formatOf(`a.${format.extension}`, format.write(library))).toBe(format);
    expect(formatOf('a', designTokens.write(library))).toBe(designTokens);
    expect(formatOf('a.md', 'the wall is #e8d9c2')).toBe(hexList);
    expect(formatOf('a.md', 'the wall is white')).toBeNull();
  });
});

describe('a style sheet inside a page', () => {
  it('can’t close its style element, whatever names it holds, and gives them back', () => {
    const names = ['</style><script>alert(1)</script>', '<!-- x', '*/ } body { color: red } /*'];
    const colour = { L: 0.5, a: 0.1, b: 0 };
    const library = {
      name: names[0],
      note: '',
      tags: [],
      swatches: names.map((name) => bareSwatch(name, colour)),
    };
    const text = cssProperties.write(library);
    expect(text).not.toContain('<');
    expect(cssProperties.read(text).swatches.map(({ name }) => name)).toEqual(names);
    expect(cssProperties.read(text).name).toBe(names[0]);
  });

  it('is read in time that grows with its length, whatever it holds', () => {
    for (const part of ['-', '--a', '--a:', '--a: ;', '--a:#fff;/*', '--a {', '--  :', ':;{}--'])
      for (const before of ['', ':root { ', '/* "'])
        expect(() => cssProperties.read(before + part.repeat(2_000_000 / part.length))).toThrow(
          /no custom property|more than/,
        );
  }, 20_000);
});
