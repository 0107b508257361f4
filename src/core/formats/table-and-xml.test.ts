import fc from 'fast-check';
import { hexFromOklab, oklabFromHex } from '../colour/hex';
import type { Oklab } from '../colour/oklab';
import { csv, readRows, readTable } from './csv';
import { bareSwatch, FormatError, loses, type LibraryFile } from './library-file';
import { soc } from './soc';
import { chartOf, svgChart } from './svg-chart';
import { anyLibrary, anyLibraryOf, anyOklab, libraryOf, plain } from './testing';

const hexes = ({ swatches }: LibraryFile) => swatches.map(({ colour }) => hexFromOklab(colour));
const names = ({ swatches }: LibraryFile) => swatches.map(({ name }) => name);
const lineOf = (line: number) => expect.objectContaining({ name: 'FormatError', line });

describe('CSV', () => {
  it('holds swatches with all their words, roles, shares and exact colours', () => {
    fc.assert(
      fc.property(anyLibraryOf(anyOklab), (library) => {
        const read = csv.read(csv.write(library));
        // A name among others loses the white space around it, and an empty one is none.
        const tidy = (others: string[]) => others.map((name) => name.trim()).filter(Boolean);
        expect(read.swatches).toEqual(
          plain(library).swatches.map((swatch) => ({
            ...swatch,
            otherNames: tidy(swatch.otherNames),
            provenance: null,
            recipe: null,
            mediumRecipes: [],
          })),
        );
      }),
    );
    expect(loses(csv)).toEqual(['name', 'note', 'tags', 'provenance', 'recipes', 'links']);
  });

  const FORMULAS = [
    '=1+1',
    '+1',
    '-1',
    '@x',
    "'quoted",
    ' =1+1',
    '\u00a0=x',
    '＝1+1',
    '＋1',
    '－1',
    '＠x',
  ];

  it('gives no spreadsheet a formula', () => {
    const colour = oklabFromHex('#123456') as Oklab;
    const text = csv.write(
      libraryOf(
        '',
        FORMULAS.map((name) => [name, colour]),
      ),
    );
    for (const line of text.trim().split('\r\n').slice(1)) expect(line).toMatch(/^"?'/);
    expect(names(csv.read(text))).toEqual(FORMULAS);
    const notes = csv.write({
      ...libraryOf('', []),
      swatches: FORMULAS.map((note) => ({ ...bareSwatch('a', colour), note })),
    });
    expect(notes).not.toMatch(/(?:^|,)"?\s*[=+\-@\uff1d\uff0b\uff0d\uff20](?!\d)/m);
  });

  it.each([
    ['Name;Hex\nslate;#0c2238\nlamp;f0a94c\n', ['slate', 'lamp']],
    ['Hex Code\tTitle\n#0C2238\tslate\n#F0A94C\tlamp\n', ['slate', 'lamp']],
    ['R,G,B,Label\n12,34,56,slate\n240,169,76,lamp\n', ['slate', 'lamp']],
    ['12,34,56,slate\r\n240,169,76,lamp\r\n', ['slate', 'lamp']],
    ['slate,"rgb(12, 34, 56)"\nlamp,"rgb(240,169,76)"\n', ['slate', 'lamp']],
    [
      'red,green,blue,name\n4.7059%,13.3333%,21.9608%,slate\n94.1176%,66.2745%,29.8039%,lamp',
      ['slate', 'lamp'],
    ],
    [
      'name,r,g,b\nslate,0.047059,0.133333,0.219608\nlamp,0.941176,0.662745,0.298039',
      ['slate', 'lamp'],
    ],
    ['Farbe,Wert\nslate,#0c2238\nlamp,#f0a94c\n', ['slate', 'lamp']],
  ])('reads %j', (text, expected) => {
    const read = csv.read(text);
    expect(names(read)).toEqual(expected);
    expect(hexes(read)).toEqual([expect.stringMatching(/^#0c223[78]$/), '#f0a94c']);
  });

  it('takes the first words for names where no header says so', () => {
    expect(names(csv.read('Nr;Glaze;L*;a*;b*\n1;slate;12,7;-0,8;-17,3\n'))).toEqual(['slate']);
    expect(names(csv.read('L*;a*;b*\n12,7;-0,8;-17,3\n'))).toEqual(['']);
  });

  it('reads CIELAB with decimal commas, shares and notes', () => {
    const { swatches } = csv.read(
      'name;L*;a*;b*;share;comment\nfog;71,2;0,4;-3,1;12,5 %;far bank\nink;8;1;-6;0.2;\n',
    );
    expect(swatches[0]).toMatchObject({ name: 'fog', note: 'far bank', share: 0.125 });
    expect(swatches[1].share).toBeCloseTo(0.2);
    expect(hexFromOklab(swatches[0].colour)).toBe('#acaeb4');
  });

  it('reads columns as it is told, where it can’t tell', () => {
    const table = readTable('Nr;Ton\n7;12 34 56\n8;1 2 3\n');
    expect(readRows(table, { colour: 1, name: 0 }).swatches.map(({ name }) => name)).toEqual([
      '7',
      '8',
    ]);
    const unknown = readTable('a;b;c;d\nx;1;2;3\n');
    expect(unknown.header).toEqual(['a', 'b', 'c', 'd']);
    expect(hexes(readRows(unknown, { red: 1, green: 2, blue: 3 }))).toEqual(['#010203']);
    expect(() => readRows(unknown, { red: 1 })).toThrow(FormatError);
  });

  it.each([
    ['name,hex\nslate,#0c2238\nlamp,none\n', 3],
    ['name,hex\n"two\nlines",#0c2238\nlamp,\n', 4],
    ['name,hex\n"open,#0c2238\n', 2],
    ['just words\nand more\n', 1],
    ['', 1],
    ['r,g,b\n1,2,3\n1,2,999\n', 3],
    [`hex\n${'#123456\n'.repeat(5001)}`, 5002],
  ])('refuses %# with its line', (text, line) => {
    expect(() => csv.read(text)).toThrow(lineOf(line));
  });
});

describe('the office colour table', () => {
  it('holds swatch names and 8-bit colours', () => {
    fc.assert(
      fc.property(anyLibrary, (library) => {
        const read = soc.read(soc.write(library));
        expect(hexes(read)).toEqual(hexes(library));
        // XML has no place for most control characters.
        const held = (name: string) =>
          name.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/g, '');
        expect(names(read)).toEqual(names(library).map(held));
      }),
    );
  });

  it.each([
    ['<a/>', 1],
    [
      '<ooo:color-table xmlns:ooo="x">\n<draw:color xmlns:draw="y" draw:name="x" draw:color="blue"/></ooo:color-table>',
      2,
    ],
    ['<ooo:color-table>\n<draw:color', 2],
    ['GIMP Palette', 1],
  ])('refuses %s with its line', (text, line) => {
    expect(() => soc.read(text)).toThrow(lineOf(line));
  });
});

describe('the SVG chart', () => {
  it('holds everything, to the last digit', () => {
    fc.assert(
      fc.property(anyLibraryOf(anyOklab), (library) => {
        expect(svgChart.read(svgChart.write(library))).toEqual(plain(library));
      }),
    );
    expect(loses(svgChart)).toEqual([]);
  });

  it('lays chips from light to dark, each with its grey', () => {
    const svg = svgChart.write(
      libraryOf('two', [
        ['ink', oklabFromHex('#101828') as Oklab],
        ['lamp', oklabFromHex('#f0b050') as Oklab],
      ]),
    );
    const fills = [...svg.matchAll(/fill="(#[0-9a-f]{6})"/g)].map(([, fill]) => fill);
    expect(fills.slice(0, 4)).toEqual([
      '#f4f4f4',
      '#f0b050',
      expect.stringMatching(/^#(..)\1\1$/),
      '#101828',
    ]);
  });

  it('is never a ribbon, however many swatches there are', () => {
    const colour = oklabFromHex('#123456') as Oklab;
    const of = (count: number) =>
      chartOf(
        libraryOf(
          'n',
          Array.from({ length: count }, () => ['s', colour] as const),
        ),
      );
    for (const count of [1, 32, 100, 5000]) {
      const { width, height } = of(count);
      expect(height / width).toBeLessThan(2);
    }
    expect(of(12).width).toBe(960);
  });

  it('is read from any vector picture: attributes, styles, style sheets, gradients, names of colours', () => {
    const read = svgChart.read(`<?xml version="1.0"?><!DOCTYPE svg [<!ENTITY own "#123456">]>
      <svg xmlns="http://www.w3.org/2000/svg" xmlns:inkscape="i"><title>Terrace</title>
      <style>.leaf { fill: #4a7a4a; stroke: RGB(1,2,3) } .x { fill: url(#g) }</style>
      <linearGradient id="g"><stop stop-color="oklch(70% 0.1 60)"/></linearGradient>
      <rect id="wall" fill="#E8D9C2"/><path style="fill:teal;stroke:none" inkscape:label="door"/>
      <g fill="currentColor"><rect fill="#e8d9c2"/></g></svg>`);
    expect(read.name).toBe('Terrace');
    expect(hexes(read)).toEqual(['#4a7a4a', '#010203', expect.any(String), '#e8d9c2', '#008080']);
    expect(names(read)).toEqual(['', '', '', 'wall', 'door']);
  });

  it('runs no script, fetches nothing, and puts in no entity of a stranger’s', () => {
    const laughs = Array.from(
      { length: 30 },
      (_, i) => `<!ENTITY l${i + 1} "${`&l${i};`.repeat(10)}">`,
    ).join('');
    const bomb = `<!DOCTYPE svg [<!ENTITY l0 "#123456">${laughs}<!ENTITY file SYSTEM "file:///etc/passwd">]>`;
    const begun = performance.now();
    expect(() => svgChart.read(`${bomb}<svg><rect fill="&l30;"/></svg>`)).toThrow(FormatError);
    expect(() => svgChart.read(`${bomb}<svg><text>&file;</text></svg>`)).toThrow(FormatError);
    const scripted = svgChart.read(
      '<svg onload="alert(1)"><script>fetch("x")</script><a href="javascript:x"><rect fill="#123456"/></a></svg>',
    );
    expect(hexes(scripted)).toEqual(['#123456']);
    expect(performance.now() - begun).toBeLessThan(2000);
  });

  it.each([
    ['<svg><rect/></svg>', 1],
    ['<svg>\n<rect fill="#123"', 2],
    [`<svg>${'<g>'.repeat(5000)}${'</g>'.repeat(5000)}</svg>`, 1],
    ['<html><body fill="#123456"/></html>', 1],
  ])('refuses %# with its line', (text, line) => {
    expect(() => svgChart.read(text)).toThrow(lineOf(line));
  });
});
