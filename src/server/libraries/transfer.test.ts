import type { LibraryFile } from '@/core/formats/library-file';
import { NO_MOVES } from '@/core/palette/colour-change';
import { DEFAULT_LADDER } from '@/core/palette/ladder';
import { hexFromOklab } from '@/core/colour/hex';
import fc from 'fast-check';
import sharp from 'sharp';
import { FORMATS, TEXT_FORMATS } from '@/core/formats/formats';
import { loses } from '@/core/formats/library-file';
import { pngChart } from '@/core/formats/png-chart';
import { prismJson } from '@/core/formats/prism-json';
import type { LibraryContent, Swatch } from '@/contracts/library';
import { LibraryFileError, readLibrary } from '../files/library-bytes';
import { unzipped, zipped } from '../files/zips';
import { createLibrary, getLibrary, listLibraries } from './libraries';
import { exportLibrary, exportLibraries, fileOf, previewFile } from './transfer';
import { someLibrary } from '../testing/many-libraries';
import { freshDatabase } from '../testing/test-database';

let end: () => Promise<void>;
beforeAll(async () => {
  end = await freshDatabase();
}, 120_000);
afterAll(() => end());

const content: LibraryContent = {
  ...someLibrary(1, 9),
  name: 'Dusk “wet” greys ☂ غروب 灯',
  note: 'for plate 3',
  tags: ['rain', 'ночь'],
};
content.swatches[0].provenance = {
  studyId: null,
  studyTitle: 'A study',
  pictureHash: 'ff',
  x: 0.1,
  y: 0.2,
  radius: 0.01,
};
content.swatches[1].otherNames = ['wet slate', 'ardoise'];
content.swatches[2].role = 'accent';
content.sets = [
  { id: 'tones', kind: 'ladder', colour: content.swatches[6].colour, settings: DEFAULT_LADDER },
];
content.swatches[4].change = {
  was: content.swatches[5].colour,
  from: content.swatches[5].colour,
  moves: { ...NO_MOVES, value: 0.5 },
};
content.swatches[5].parts = [{ at: 5, swatch: { ...content.swatches[0], id: 'part' } }];
content.swatches[6].follows = { kind: 'set', id: 'tones', index: 1 };
content.swatches[3].name = '🌧️ قرمز “dark”';
const bytesOf = (text: string) => new TextEncoder().encode(text);
const bare = ({ id: _, ...rest }: Swatch) => rest;

let id: string;
beforeAll(async () => {
  id = (await createLibrary(content, null)).id;
});

describe('a library on its way out and back', () => {
  it.each(FORMATS.map((format) => [format.title, format] as const))('as %s', async (_, format) => {
    const { bytes, fileName } = await exportLibrary(id, format);
    expect(fileName).toBe(`${content.name}.${format.extension}`);
    const [read] = await previewFile(fileName, bytes);
    expect(read).toMatchObject({ error: null, format: { id: format.id, loses: loses(format) } });
    const back = read.content as LibraryContent;
    expect(back.name).toBe(content.name);
    expect(back.swatches.map(({ colour }) => hexFromOklab(colour))).toEqual(
      content.swatches.map(({ colour }) => hexFromOklab(colour)),
    );
    expect(back.swatches.map(({ name }) => name)).toEqual(content.swatches.map(({ name }) => name));
    if (loses(format).length === 0) {
      expect(back.swatches.map(bare)).toEqual(content.swatches.map(bare));
      const { note, tags, sets, target } = content;
      expect(back).toMatchObject({ note, tags, sets, target });
    }
  });

  it('goes in a zip with all others, names that are there twice told apart', async () => {
    await createLibrary(content, null);
    const zip = await exportLibraries(null, FORMATS[0]);
    const names = (await unzipped(zip)).map(({ name }) => name);
    expect(names).toEqual([
      `Dusk “wet” greys ☂ غروب 灯.prism.json`,
      `Dusk “wet” greys ☂ غروب 灯 2.prism.json`,
    ]);
    const read = await previewFile('all.zip', zip);
    expect(read.map((one) => one.content?.swatches.length)).toEqual([9, 9]);
    expect(await exportLibraries([id], FORMATS[0])).not.toHaveLength(zip.length);
  });
});

describe('what was built in a library', () => {
  const shadow = (from: string): LibraryContent => ({
    ...content,
    swatches: content.swatches.map((one, i) =>
      i === 7
        ? {
            ...one,
            follows: { kind: 'rule', from, rule: 'shadow', amount: 0.5, warmth: 0, wheel: 'even' },
          }
        : one,
    ),
  });
  const read = async (file: LibraryFile) =>
    (await previewFile('a.prism.json', bytesOf(prismJson.write(file))))[0]
      .content as LibraryContent;

  it('follows what it followed, under the ids that swatches get on their way in', async () => {
    const back = await read(fileOf(shadow(content.swatches[2].id)));
    expect(back.swatches[7].follows).toMatchObject({ from: back.swatches[2].id, rule: 'shadow' });
    expect(back.swatches[2].id).not.toBe(content.swatches[2].id);
  });

  it('follows nothing where that is not in the file, and is left out where it is broken', async () => {
    const lost = await read(fileOf(shadow('nobody')));
    expect(lost.swatches[7].follows).toBeNull();
    expect(lost.sets).toHaveLength(1);
    const broken = await read({ ...fileOf(content), built: { sets: 'none' } });
    expect(broken.sets).toEqual([]);
    expect(broken.swatches).toHaveLength(content.swatches.length);
  });
});

describe('what is imported', () => {
  it('is named from its file and its colours where it has no names', async () => {
    const [{ content: read }] = await previewFile(
      'my colours.gpl',
      bytesOf('GIMP Palette\n12 34 56\n'),
    );
    expect(read?.name).toBe('my colours');
    expect(read?.swatches[0].name).toMatch(/blue/);
  });

  it('loses a sign that no store can hold, and nothing else', async () => {
    const file = fileOf(content);
    file.name = 'Du\0sk';
    file.swatches[1].otherNames = ['a\0b', '\\u0000'];
    const [{ content: read }] = await previewFile('a.prism.json', bytesOf(prismJson.write(file)));
    const { id: made } = await createLibrary(read as LibraryContent, null);
    const stored = await getLibrary(made);
    expect(stored.name).toBe('Dusk');
    expect(stored.swatches[1].otherNames).toEqual(['ab', '\\u0000']);
  });

  it('shows the columns of a table, and takes them as they are said', async () => {
    const table = bytesOf('Nr;Ton;Bemerkung\n7;#0c2238;Schatten\n8;#f0a94c;\n');
    const [first] = await previewFile('farben.csv', table);
    expect(first.table).toMatchObject({
      header: ['Nr', 'Ton', 'Bemerkung'],
      rows: [
        ['7', '#0c2238', 'Schatten'],
        ['8', '#f0a94c', ''],
      ],
    });
    const [told] = await previewFile('farben.csv', table, { colour: 1, name: 0, note: 2 });
    expect(told.content?.swatches.map(({ name, note }) => [name, note])).toEqual([
      ['7', 'Schatten'],
      ['8', ''],
    ]);
    const [none] = await previewFile('x.csv', bytesOf('a,b\nc,d\n'));
    expect(none).toMatchObject({ content: null, error: null, table: { columns: {} } });
  });

  it.each([
    ['x.gpl', 'GIMP Palette\n1 2 3 ok\nnonsense\n', /Line 3/],
    ['x.json', '{"format": "bold-prism-library",\n"version": 1,\n"library": }', /Line 3/],
    ['x.gpl', 'GIMP Palette\n#\n', /no colours/],
    ['x.txt', 'hello', /which format/],
    ['x.txt', '', /empty/],
    ['x.zip', 'PK\x03\x04 and nothing more', /zip is damaged/],
    ['x.png', '\x89PNG\r\n\x1a\n', /./],
    ['x.txt', 'ab\0cd', /no text/],
  ])('is refused, %s', async (name, text, words) => {
    const before = await listLibraries();
    const bytes = Uint8Array.from(text, (sign) => sign.charCodeAt(0));
    const [{ error, content: read }] = await previewFile(name, bytes);
    expect(error).toMatch(words);
    expect(read).toBeNull();
    expect(await listLibraries()).toEqual(before);
  });

  it('is refused cut anywhere, in any format, or is read right', async () => {
    for (const format of FORMATS) {
      const { bytes, fileName } = await exportLibrary(id, format);
      for (let part = 1; part < 12; part++) {
        const cut = bytes.subarray(0, Math.floor((bytes.length * part) / 12));
        const read = await readLibrary(fileName, cut).catch((error: unknown) => error);
        if (read instanceof Error) expect(read).toBeInstanceOf(LibraryFileError);
        else expect(read).toMatchObject({ library: { swatches: expect.any(Array) } });
      }
    }
  });

  it('is read alike with other line ends, a byte order mark, and as UTF-16 of either order', async () => {
    for (const format of TEXT_FORMATS) {
      const text = format.write(fileOf(content));
      const plainly = await readLibrary(`a.${format.extension}`, bytesOf(text));
      const utf16 = (little: boolean) => {
        const bytes = Buffer.from(`\ufeff${text}`, 'utf16le');
        return little ? bytes : bytes.swap16();
      };
      for (const bytes of [
        bytesOf(text.replace(/\r?\n/g, '\r\n')),
        bytesOf(`\ufeff${text}`),
        utf16(true),
        utf16(false),
      ])
        expect(await readLibrary(`a.${format.extension}`, bytes)).toEqual(plainly);
    }
  });

  it('is read or refused, whatever the bytes are', async () => {
    const zip = await zipped([{ name: 'a.gpl', bytes: bytesOf('GIMP Palette\n1 2 3 ink\n') }]);
    const starts = [
      zip,
      bytesOf('GIMP Palette\n'),
      bytesOf('<svg>'),
      bytesOf('{"'),
      bytesOf('a,b\n'),
    ];
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom(...starts),
        fc.uint8Array({ maxLength: 300 }),
        fc.array(fc.tuple(fc.nat(200), fc.integer({ min: 0, max: 255 })), { maxLength: 5 }),
        async (start, more, changes) => {
          const bytes = Buffer.concat([start, more]);
          for (const [at, byte] of changes) if (at < bytes.length) bytes[at] = byte;
          for (const { error, content: read, table } of await previewFile('any', bytes))
            expect(error !== null || read !== null || table !== null).toBe(true);
        },
      ),
      { numRuns: 300 },
    );
  });

  it('goes out as a picture however large it is, and leaves room for other work', async () => {
    const large = { ...someLibrary(3, 2000), name: 'Two thousand' };
    let turns = 0;
    const ticking = setInterval(() => turns++, 20);
    const { id: made } = await createLibrary(large, null);
    const { bytes } = await exportLibrary(made, pngChart);
    clearInterval(ticking);
    const [{ content: read }] = await previewFile('a.png', bytes);
    expect(read?.swatches.map(bare)).toEqual(large.swatches.map(bare));
    expect(turns).toBeGreaterThan(2);
    const { width, height } = await sharp(bytes).metadata();
    expect(width * height).toBeLessThan(41e6);
  }, 120_000);

  it('takes fifty megabytes of anything in bounded time', async () => {
    const begun = performance.now();
    for (const start of [
      'GIMP Palette\n',
      '<svg>',
      '{',
      'PK\x03\x04',
      '\x89PNG\r\n\x1a\n',
      'name,hex\n',
    ]) {
      const bytes = new Uint8Array(50 * 1024 * 1024).fill(0x41);
      bytes.set(Uint8Array.from(start, (sign) => sign.charCodeAt(0)));
      const [{ error }] = await previewFile('large', bytes);
      expect(error).toMatch(/8 MB|damaged|picture|read/);
    }
    expect(performance.now() - begun).toBeLessThan(15_000);
  });

  it('does not unpack a bomb', async () => {
    const bomb = await zipped([{ name: 'a.txt', bytes: new Uint8Array(70 * 1024 * 1024) }]);
    expect(bomb.length).toBeLessThan(200_000);
    const [{ error }] = await previewFile('bomb.zip', bomb);
    expect(error).toMatch(/64 MB/);
  });
});

describe('a file that nobody could read in time', () => {
  it('is read to its end or given up, and the server answers meanwhile', async () => {
    const dashes = bytesOf(`:root { ${'-'.repeat(7 * 1024 * 1024)} }`);
    let ticks = 0;
    const timer = setInterval(() => ticks++, 5);
    const [read] = await previewFile('dashes.css', dashes);
    clearInterval(timer);
    expect(read.error).toMatch(/no custom property/);
    expect(ticks).toBeGreaterThan(0);
  }, 60_000);

  it('tells a table of too many columns, and one that needs too much memory', async () => {
    const [wide] = await previewFile('wide.csv', bytesOf('",'.repeat(1_500_000)));
    expect(wide.error).toMatch(/more than 1000 columns|quotation mark|too long or too much/);
    const [plain] = await previewFile('wide.csv', bytesOf('1,'.repeat(1_500_000)));
    expect(plain.error).toMatch(/more than 1000 columns/);
    const [deep] = await previewFile('deep.json', bytesOf('[{"a":'.repeat(1_000_000)));
    expect(deep.error).not.toBeNull();
  }, 60_000);
});
