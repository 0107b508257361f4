import { readFileSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import sharp from 'sharp';
import { hexFromOklab, oklabFromHex } from '../colour/hex';
import type { Oklab } from '../colour/oklab';
import { keyedDrawing, readKeyed } from './keyed-rendering';
import { DrawingError } from './drawing-error';
import { paintsOf, strayPaints } from './paints';
import { readDrawing } from './read-drawing';
import type { Drawing } from './drawing';
import { recoloured } from './recolour';

const svg = (inside: string, head = '') =>
  `<?xml version="1.0"?>\r\n<!-- a tile 🎨, by hand: fill="#ff0000" -->\n${head}<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 60 20">\n<title>fill: red</title>${inside}</svg>\n`;

/** Every way of painting, each with its colour. */
const WAYS: readonly ((colour: string, n: number) => string)[] = [
  (colour) => `<rect width="9" height="9" fill="${colour}"/>`,
  (colour) => `<rect width="9" height="9" fill='${colour}' stroke = "none" />`,
  (colour) =>
    `<path d="M0 0h9v9z" style="stroke-width:2;fill : ${colour} !important; opacity:.5"/>`,
  (colour, n) =>
    `<style>.c${n}, g > .d${n} { stroke: ${colour}; fill: none }</style><circle class="c${n}" r="4"/>`,
  (colour, n) =>
    `<style type="text/css"><![CDATA[ @media print { #e${n} { fill:${colour} } } ]]></style><g id="e${n}"><path d="M1 1h3v3z"/></g>`,
  (colour) => `<g color="${colour}"><path fill="currentColor" d="M0 0h5v5z"/></g>`,
  (colour, n) =>
    `<linearGradient id="g${n}"><stop offset="0" stop-color="${colour}"/><stop offset="1" style="stop-color:${colour};stop-opacity:.4"/></linearGradient><rect width="5" height="5" fill="url(#g${n}) ${colour}"/>`,
  (colour, n) =>
    `<pattern id="p${n}" width="4" height="4"><rect width="2" height="2" fill="${colour}"/></pattern>`,
  (colour, n) =>
    `<symbol id="s${n}"><circle r="3" fill="${colour}"/></symbol><use href="#s${n}"/><use xlink:href="#s${n}" fill="${colour}"/>`,
  (colour) => `<filter id="f"><feFlood flood-color="${colour}"/></filter>`,
  (colour) => `<text fill="&#${colour.charCodeAt(0)};${colour.slice(1)}">a &amp; b</text>`,
  (colour) =>
    `<svg:rect xmlns:svg="http://www.w3.org/2000/svg" fill="${colour}" width="3" height="3"/>`,
  (colour) => `<rect style="--own: ${colour}; fill: var(--own)" width="3" height="3"/>`,
  (colour) =>
    `<rect width="3" height="3"><animate attributeName="fill" values="${colour};${colour}" dur="1s"/></rect>`,
];

const anyHex = fc
  .tuple(...[0, 1, 2].map(() => fc.integer({ min: 0, max: 255 })))
  .map((bytes) => `#${bytes.map((byte) => byte.toString(16).padStart(2, '0')).join('')}`);
/** A colour in one of the ways it can be written. */
const anyWritten = fc.oneof(
  anyHex,
  anyHex.map((hex) => hex.toUpperCase()),
  fc.constantFrom('red', 'RebeccaPurple', 'tan', '#abc', '#12345680', '#f08c', 'black'),
  fc
    .tuple(...[0, 1, 2].map(() => fc.integer({ min: 0, max: 255 })))
    .chain(([r, g, b]) =>
      fc.constantFrom(
        `rgb(${r}, ${g},${b})`,
        `rgb(${r} ${g} ${b} / 40%)`,
        `rgba(${r},${g},${b},.25)`,
        `hsl(${r}, ${Math.round(g / 2.56)}%, ${Math.round(b / 2.56)}%)`,
        `hsla(${r}deg ${Math.round(g / 2.56)}% 40% / 0.5)`,
      ),
    ),
);
const anyDrawing = fc
  .array(fc.tuple(fc.nat(WAYS.length - 1), anyWritten), { minLength: 1, maxLength: 12 })
  .map((parts) => svg(parts.map(([way, colour], n) => WAYS[way](colour, n)).join('\n\t')));

const hexes = ({ paints }: Drawing) => [...new Set(paints.map(({ hex }) => hex))];
const to = (some: readonly string[], other: string) => new Map(some.map((hex) => [hex, other]));

describe('a drawing', () => {
  it.each(WAYS.map((way, i) => [i, way] as const))('painted in way %i is recoloured', (_, way) => {
    const text = svg(way('#123456', 1));
    const drawing = readDrawing(text);
    expect(hexes(drawing)).toEqual(['#123456']);
    expect(drawing.removals).toEqual([]);
    const other = recoloured(drawing, to(['#123456'], '#fedcba'));
    expect(other.replace(/&#35;/g, '#')).toBe(
      text.replace(/&#35;/g, '#').replaceAll('#123456', '#fedcba'),
    );
  });

  it('in its own colours is the same, byte for byte', () => {
    fc.assert(
      fc.property(anyDrawing, (text) => {
        const drawing = readDrawing(text);
        expect(recoloured(drawing, new Map())).toBe(text);
        expect(recoloured(drawing, new Map(hexes(drawing).map((hex) => [hex, hex])))).toBe(text);
      }),
    );
  });

  it('in other colours has nothing else changed, and none of the old ones left', () => {
    fc.assert(
      fc.property(anyDrawing, (text) => {
        const drawing = readDrawing(text);
        const other = recoloured(drawing, to(hexes(drawing), '#010203'));
        const again = readDrawing(other);
        expect(hexes(again)).toEqual(['#010203']);
        expect(again.paints.length).toBe(drawing.paints.length);
        // What stands between the colours is the same.
        const between = ({ text: whole, paints }: Drawing) => {
          let at = 0;
          const others = paints.map(({ start, end }) => {
            const other = whole.slice(at, start);
            at = end;
            return other;
          });
          return [...others, whole.slice(at)];
        };
        expect(between(again)).toEqual(between(drawing));
        again.paints.forEach(({ alpha, element, property }, i) =>
          expect([alpha, element, property]).toEqual([
            drawing.paints[i].alpha,
            drawing.paints[i].element,
            drawing.paints[i].property,
          ]),
        );
      }),
    );
  });

  it('has the colours that were wanted when it is rendered', async () => {
    const text = svg(
      [0, 2, 3, 5]
        .map(
          (way, n) =>
            `<g transform="translate(${n * 15} 5)">${WAYS[way](['#c01010', '#10a020', '#1020c0', '#808000'][n], n)}</g>`,
        )
        .join('')
        .replace('opacity:.5', '')
        .replace('fill: none', 'fill: #1020c0'),
    );
    const drawing = readDrawing(text);
    const wanted = new Map([
      ['#c01010', '#112233'],
      ['#10a020', '#8899aa'],
      ['#1020c0', '#f0e0d0'],
      ['#808000', '#405060'],
    ]);
    const { data, info } = await sharp(Buffer.from(recoloured(drawing, wanted)), { density: 300 })
      .flatten({ background: '#ffffff' })
      .raw()
      .toBuffer({ resolveWithObject: true });
    const rendered = new Set<string>();
    for (let at = 0; at < data.length; at += info.channels)
      rendered.add(`#${[0, 1, 2].map((k) => data[at + k].toString(16).padStart(2, '0')).join('')}`);
    for (const hex of wanted.values()) expect(rendered).toContain(hex);
    for (const hex of wanted.keys()) expect(rendered).not.toContain(hex);
  });
});

describe('what could run or be fetched', () => {
  it.each([
    ['<script>alert(1)</script>', 'the element script'],
    [
      '<foreignObject><body xmlns="http://www.w3.org/1999/xhtml" onload="x()"/></foreignObject>',
      'the element foreignObject',
    ],
    ['<rect width="4" height="4" onclick="x()" fill="#111111"/>', 'the attribute onclick'],
    ['<image href="https://example.org/a.png" width="4"/>', 'a link to https://example.org/a.png'],
    ['<use xlink:href="other.svg#a"/>', 'a link to other.svg#a'],
    ['<a href="javascript:x()"><path d="M0 0"/></a>', 'a link to javascript:x()'],
    ['<a href="&#106;avascript:x()"><path d="M0 0"/></a>', 'a link to javascript:x()'],
    [
      '<style>@import url(https://example.org/a.css); .a{fill:#111111}</style>',
      'an imported style sheet',
    ],
    [
      '<style>.a{fill:url(https://example.org/a.svg#b) #222222}</style>',
      'a link to https://example.org/a.svg#b',
    ],
    ['<rect style="fill:url(//example.org/x)" width="3"/>', 'a link to //example.org/x'],
    ['<rect fill="url(http://example.org/x) red" width="3"/>', 'a link to http://example.org/x'],
    ['<rect filter="url(http://example.org/x)" width="3"/>', 'a link to http://example.org/x'],
    ['<rect style="behavior:url(#x)" width="3"/>', 'a style that could run'],
    ['<rect style="fill:u\\72l(https://example.org/x)" width="3"/>', 'a style that could run'],
    [
      '<style>.a{fill:url("https://example.org/a)b") }</style>',
      'a link to https://example.org/a)b',
    ],
    [
      '<style>.a{mask-image:image-set("https://example.org/a" 1x)}</style>',
      'a style that could run',
    ],
    ['<style>@\\69mport "https://example.org/a.css";</style>', 'an imported style sheet'],
    ['<rect fill="u\\72l(https://example.org/x)" width="3"/>', 'the attribute fill'],
    [
      '<rect fill="url(                                  https://example.org/x)" width="3"/>',
      'a link to https://example.org/x',
    ],
    ['<rect fill="url(&#104;ttps://example.org/x" width="3"/>', 'a link to https://example.org/x'],
    ['<a href="#b"><set attributeName="xlink:href" to="javascript:x()"/></a>', 'the element set'],
    [
      '<image href="data:image/svg+xml;base64,PHN2Zy8+"/>',
      'a link to data:image/svg+xml;base64,PHN2Zy8+',
    ],
  ])('%s is left out, and said', (inside, what) => {
    const text = svg(`<g id="kept" fill="#0a0b0c"><path d="M0 0"/></g>${inside}`);
    const drawing = readDrawing(text);
    expect(drawing.removals.map((one) => one.what)).toContain(what);
    const written = recoloured(drawing, new Map());
    expect(written).not.toMatch(
      /<script|foreignObject|onclick|onload|example\.org|javascript:|@import|behavior|svg\+xml/,
    );
    expect(written).toContain('<g id="kept" fill="#0a0b0c"><path d="M0 0"/></g>');
    expect(written).toContain('fill="#ff0000" -->');
    // Once it is harmless it stays as it is.
    const again = readDrawing(written);
    expect(again.removals).toEqual([]);
    expect(recoloured(again, new Map())).toBe(written);
  });

  it('what only sounds like it stays', () => {
    const text = svg(
      '<style>@font-face{font-family:x;src:url(#f)} @namespace svg "http://www.w3.org/2000/svg"; .behavior{fill:#111111}</style><g id="behavior image(s) on call" data-src="script"><text>javascript: url(no)</text></g>',
    );
    const drawing = readDrawing(text);
    expect(drawing.removals).toEqual([]);
    expect(recoloured(drawing, new Map())).toBe(text);
  });

  it('a style sheet from outside is left out', () => {
    const text = svg('<path d="M0 0"/>', '<?xml-stylesheet href="https://example.org/a.css"?>');
    const drawing = readDrawing(text);
    expect(drawing.removals).toHaveLength(1);
    expect(recoloured(drawing, new Map())).not.toContain('example.org');
  });

  it.each([
    ['nothing', ''],
    ['no XML', '<svg><path></svg>'],
    ['another element', '<html><body/></html>'],
    ['entities', '<!DOCTYPE svg [<!ENTITY a "b"><!ENTITY c "&a;&a;">]><svg>&c;</svg>'],
    ['a part within itself', svg('<g id="a"><use href="#b"/></g><g id="b"><use href="#a"/></g>')],
    ['itself', svg('<g id="a"><use href="#a"/></g>')],
    ['too deep', `<svg>${'<g>'.repeat(100_000)}`],
    ['too large', ' '.repeat(50_000_000)],
    [
      'parts drawn millions of times',
      svg(
        Array.from({ length: 12 }, (_, i) =>
          i === 0
            ? '<g id="l0"><path d="M0 0"/></g>'
            : `<g id="l${i}">${`<use href="#l${i - 1}"/>`.repeat(10)}</g>`,
        ).join(''),
      ),
    ],
  ])('%s is refused in a sentence', (_, text) => {
    expect(() => readDrawing(text)).toThrow(DrawingError);
  });
});

describe('near-duplicate paints', () => {
  const folder = path.join(process.cwd(), 'demo/patterns');
  const text = readFileSync(path.join(folder, 'enamel-tile.svg'), 'utf8');
  const truth = JSON.parse(readFileSync(path.join(folder, 'enamel-tile.truth.json'), 'utf8')) as {
    glazes: Record<string, string[]>;
  };

  it('are found as they were planted', () => {
    const drawing = readDrawing(text);
    const found = strayPaints(drawing, paintsOf(drawing));
    const groups = found.map(({ keeps, strays }) =>
      [keeps, ...strays.map(({ hex }) => hex)].sort(),
    );
    const planted = Object.values(truth.glazes)
      .map((group) => [...group].sort())
      .filter((group) => group.length > 1);
    expect(groups.sort()).toEqual(planted.sort());
    for (const { strays } of found)
      for (const { shapes } of strays) expect(shapes.length).toBeGreaterThan(0);
  });
});

describe('a rendering in key colours', () => {
  it('tells the areas as they are drawn', async () => {
    const drawing = readDrawing(
      svg(
        '<rect width="60" height="20" fill="#aa0000"/><rect width="30" height="20" fill="#00aa00"/><rect width="6" height="20" fill="#0000aa"/>',
      ),
    );
    const keyed = keyedDrawing(drawing);
    expect(new Set(keyed.units.map(({ key }) => key)).size).toBe(3);
    const { data, info } = await sharp(Buffer.from(keyed.text), { density: 300 })
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const { areas, touching, ground, bare } = readKeyed(
      { width: info.width, height: info.height, data: new Uint8ClampedArray(data) },
      keyed.units,
    );
    expect(areas.get('#aa0000')).toBeCloseTo(0.5, 2);
    expect(areas.get('#00aa00')).toBeCloseTo(0.4, 2);
    expect(areas.get('#0000aa')).toBeCloseTo(0.1, 2);
    expect(touching).toEqual([
      ['#aa0000', '#00aa00'],
      ['#00aa00', '#0000aa'],
    ]);
    expect([ground, bare]).toEqual([null, 0]);
    expect(paintsOf(drawing, areas)[2].area).toBeCloseTo(0.1, 2);
    expect(hexFromOklab(oklabFromHex('#aa0000') as Oklab)).toBe('#aa0000');
  });

  it('gives a gradient’s room to its stops, and tells a ground that runs along the rim', async () => {
    const drawing = readDrawing(
      svg(
        '<linearGradient id="g"><stop offset="0" stop-color="#aa0000"/><stop offset="1" stop-color="#0000aa" stop-opacity="1"/></linearGradient><rect width="60" height="20" fill="rgba(0, 170, 0, .4)"/><rect x="15" y="5" width="30" height="10" fill="url(#g)"/>',
      ),
    );
    const { text, units } = keyedDrawing(drawing);
    const { data, info } = await sharp(Buffer.from(text), { density: 300 })
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const { areas, ground, touching } = readKeyed(
      { width: info.width, height: info.height, data: new Uint8ClampedArray(data) },
      units,
    );
    expect(areas.get('#aa0000')).toBeCloseTo(0.125, 2);
    expect(areas.get('#0000aa')).toBeCloseTo(0.125, 2);
    expect(areas.get('#00aa00')).toBeCloseTo(0.75, 2);
    expect(ground).toBe('#00aa00');
    expect(touching).toHaveLength(2);
  });
});
