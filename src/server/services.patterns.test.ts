import { createHash } from 'node:crypto';
import sharp from 'sharp';
import { subDays } from 'date-fns';
import { eq } from 'drizzle-orm';
import { DEFAULT_CHOICE } from '@/core/pattern/colourway';
import { oklabFromHex } from '@/core/colour/hex';
import { patternContentSchema, type PatternContent } from '@/contracts/pattern';
import { keepColourway, mergeGroups } from '@/study/pattern-edits';
import { closePool } from '@/workers/server/pool';
import { database } from './db/client';
import { ServiceError } from './errors';
import { pattern } from './db/pattern-schema';
import { unzipped } from './files/zips';
import { patternHandlers } from './endpoints/patterns';
import { emptyOldPatterns, listPatternBin } from './patterns/bin';
import { patternSheet, patternZip } from './patterns/export-pattern';
import { listPatternHistory, patternRevisions } from './patterns/pattern-history';
import {
  deletePattern,
  drawingOf,
  fillPattern,
  getPattern,
  importPattern,
  listPatterns,
  restorePattern,
  savePattern,
} from './patterns/patterns';
import { flatPng, HOSTILE, TWO_PANES, TWO_SQUARES } from './testing/some-pattern';
import { freshDatabase } from './testing/test-database';

let end: () => Promise<void>;
beforeAll(async () => {
  end = await freshDatabase();
});
afterAll(async () => {
  await end();
  await closePool();
});

const bytes = (text: string) => Buffer.from(text);
const colour = (id: string, hex: string) => ({
  id,
  name: `colour ${id}`,
  colour: oklabFromHex(hex)!,
  share: null,
});

/** Keeps one colourway: the ground green, the square cream. */
const withGreen = (content: PatternContent): PatternContent =>
  keepColourway({
    id: 'green',
    name: 'Green and cream',
    favourite: false,
    made: {
      choice: { ...DEFAULT_CHOICE, moves: [], held: [] },
      colours: [colour('a', '#206030'), colour('b', '#f0e8c8')],
      map: [
        ['#b02020', '#206030'],
        ['#2040a0', '#f0e8c8'],
      ],
      laid: null,
    },
  })(mergeGroups([{ keeps: '#b02020', strays: [{ hex: '#b22222', shapes: [] }] }])(content));

async function squares() {
  const id = await importPattern(bytes(TWO_SQUARES), 'two_squares.svg');
  return { id, opened: await getPattern(id) };
}

describe('a pattern', () => {
  it('is read as it is imported: its colours as drawn, which touch, and which is the ground', async () => {
    const { opened } = await squares();
    expect(opened.content.title).toBe('two squares');
    const [{ hash, facts }] = opened.drawings;
    expect(hash).toBe(createHash('sha256').update(TWO_SQUARES).digest('hex'));
    expect(facts).toMatchObject({ kind: 'svg', width: 40, height: 40, shapes: 3, leftOut: [] });
    const areas = new Map(facts.areas);
    expect(areas.get('#b02020')).toBeCloseTo(0.71, 2);
    expect(areas.get('#2040a0')).toBeCloseTo(0.25, 2);
    expect(facts.ground).toBe('#b02020');
    expect(facts.touching).toHaveLength(2);
    const card = (await listPatterns()).find((one) => one.id === opened.id);
    expect(card).toMatchObject({ title: 'two squares', colourways: 0, drawing: hash });
  });

  it('is saved on its revision, refused on an older one, and has a history', async () => {
    const { id, opened } = await squares();
    await savePattern(id, 1, withGreen(opened.content));
    await expect(savePattern(id, 1, opened.content)).rejects.toMatchObject({
      code: 'newer',
      detail: { revision: 2 },
    });
    const again = await getPattern(id);
    expect(again.content.colourways).toHaveLength(1);
    expect((await listPatterns()).find((one) => one.id === id)?.colours).toHaveLength(2);
    const [now, first] = await listPatternHistory(id);
    expect(now.changed).toEqual(['merges', 'colourways']);
    expect(await patternRevisions.get(id, first.revision)).toEqual(opened.content);
    await expect(
      savePattern(id, 2, { ...opened.content, drawing: 'a'.repeat(64) }),
    ).rejects.toMatchObject({ code: 'not-found' });
  });

  it('goes into the bin, comes back, and is gone for good after thirty days', async () => {
    const { id } = await squares();
    await deletePattern(id);
    await expect(getPattern(id)).rejects.toMatchObject({ code: 'not-found' });
    const isListed = async () => (await listPatterns()).some((one) => one.id === id);
    expect(await isListed()).toBe(false);
    expect(await listPatternBin()).toMatchObject([{ id, title: 'two squares' }]);
    await restorePattern(id);
    expect(await isListed()).toBe(true);
    await deletePattern(id);
    expect(await emptyOldPatterns()).toBe(0);
    const db = await database();
    await db
      .update(pattern)
      .set({ deletedAt: subDays(new Date(), 31) })
      .where(eq(pattern.id, id));
    expect(await emptyOldPatterns()).toBe(1);
    expect(await listPatternBin()).toEqual([]);
  });

  it('of a flat picture is traced, and keeps the picture', async () => {
    const png = await flatPng();
    const id = await importPattern(png, 'flat.png');
    const { drawings } = await getPattern(id);
    const { facts, hash } = drawings[0];
    expect(facts).toMatchObject({ kind: 'png', width: 60, height: 40 });
    expect(new Map(facts.areas).get('#305080')).toBeCloseTo(400 / 2400, 2);
    const { original, svg } = await drawingOf(id, hash);
    expect(Buffer.from(original!, 'base64')).toEqual(png);
    // Drawn again at its own size it is the picture, to the last byte.
    const [drawn, was] = await Promise.all(
      [Buffer.from(svg), png].map((one) => sharp(one).removeAlpha().raw().toBuffer()),
    );
    expect(drawn.equals(was)).toBe(true);
  });

  it('of lines has its panes filled, over a gap, as a drawing of its own', async () => {
    const id = await importPattern(bytes(TWO_PANES), 'panes.svg');
    const { content, drawings } = await getPattern(id);
    expect(drawings[0].facts.bare).toBeGreaterThan(0.7);
    const filled = await fillPattern(id, content.drawing, 0.05, false);
    expect(filled.facts.regions?.bridged).toHaveLength(1);
    const { x, y } = filled.facts.regions!.bridged[0];
    expect(Math.hypot(x - 0.5, y - 0.5)).toBeLessThan(0.03);
    // Two panes and what lies outside.
    expect(filled.facts.regions?.count).toBe(3);
    await savePattern(id, 1, { ...content, drawing: filled.hash });
    expect((await getPattern(id)).drawings).toHaveLength(2);
    const narrow = await fillPattern(id, content.drawing, 0.005, false);
    expect(narrow.facts.regions?.bridged).toEqual([]);
  });
});

describe('a file that can’t be a pattern is refused in a sentence, and nothing is stored', () => {
  const deep = `<svg xmlns="http://www.w3.org/2000/svg">${'<g>'.repeat(100_000)}${'</g>'.repeat(100_000)}</svg>`;
  it.each<[string, () => Buffer | Promise<Buffer>, RegExp]>([
    ['empty', () => Buffer.alloc(0), /empty/],
    ['no drawing', () => bytes('hello'), /neither a drawing/],
    ['not text', () => Buffer.from([0x3c, 0xff, 0xfe, 0x00]), /not UTF-8 text/],
    [
      'no colours',
      () => bytes('<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0"/></svg>'),
      /has a colour/,
    ],
    ['not closed', () => bytes('<svg><g>'), /not XML/],
    ['100,000 deep', () => bytes(deep), /too deep/],
    ['entities', () => bytes('<!DOCTYPE svg [<!ENTITY a "b">]><svg/>'), /entities/],
    [
      'a part within itself',
      () => bytes('<svg><g id="a" fill="#fff"><use href="#a"/></g></svg>'),
      /within itself/,
    ],
    ['50 MB', () => Buffer.alloc(50 * 1024 * 1024, 32), /larger than 20 MB/],
    ['a cut PNG', async () => (await flatPng()).subarray(0, 60), /cut short or damaged/],
    [
      'a photograph',
      () =>
        sharp({
          create: {
            width: 200,
            height: 200,
            channels: 3,
            background: '#888',
            noise: { type: 'gaussian', mean: 128, sigma: 40 },
          },
        })
          .png()
          .toBuffer(),
      /flat colours/,
    ],
  ])('%s', async (_, file, sentence) => {
    const before = await listPatterns();
    const refused = importPattern(await file(), 'a.svg');
    await expect(refused).rejects.toThrow(sentence);
    await expect(refused).rejects.toBeInstanceOf(ServiceError);
    expect(await listPatterns()).toEqual(before);
  });
});

describe('a hostile drawing', () => {
  const UNSAFE = /ran = true|127\.0\.0\.1|<script|foreignObject|javascript/i;

  it('is made harmless wherever it is sent, and what is left out is said', async () => {
    const id = await importPattern(bytes(HOSTILE), 'hostile.svg');
    const { drawings, content } = await getPattern(id);
    expect(drawings[0].facts.leftOut).toEqual(
      expect.arrayContaining(['the element script', 'the element foreignObject']),
    );
    const shown = await patternHandlers.getDrawing({
      params: { id, hash: content.drawing },
      query: undefined,
      body: undefined,
      request: new Request('http://x'),
    });
    expect(await shown.text()).not.toMatch(UNSAFE);
    expect(shown.headers.get('content-security-policy')).toContain("default-src 'none'");
    await savePattern(id, 1, withGreen(content));
    const zip = await unzipped((await patternZip(id, ['green'], 'a4', 64)).bytes);
    for (const { name, bytes: file } of zip)
      if (name.endsWith('.svg')) expect(Buffer.from(file).toString()).not.toMatch(UNSAFE);
    expect(zip.map(({ name }) => name)).toHaveLength(6);
  });
});

describe('what goes out', () => {
  it('is each colourway as SVG, PNG and library, and the sheet', async () => {
    const { id, opened } = await squares();
    await savePattern(id, 1, withGreen(opened.content));
    const files = await unzipped((await patternZip(id, ['green'], 'a4', 80)).bytes);
    const named = new Map(files.map(({ name, bytes: file }) => [name, Buffer.from(file)]));
    expect([...named.keys()]).toEqual([
      '0 as it was drawn.svg',
      '0 as it was drawn.png',
      '1 Green and cream.svg',
      '1 Green and cream.png',
      '1 Green and cream.json',
      'colourways.pdf',
    ]);
    // The near-duplicate went with the ground.
    expect(named.get('1 Green and cream.svg')!.toString()).toBe(
      TWO_SQUARES.replace('#b02020', '#206030')
        .replace('#b22222', '#206030')
        .replace('#2040a0', '#f0e8c8'),
    );
    const { data, info } = await sharp(named.get('1 Green and cream.png'))
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    expect([info.width, info.height]).toEqual([80, 80]);
    expect([...data.subarray(0, 3)]).toEqual([0x20, 0x60, 0x30]);
    const library = JSON.parse(named.get('1 Green and cream.json')!.toString()) as object;
    expect(JSON.stringify(library)).toContain('colour a');
  });

  it('on a sheet names its colours and its inks', async () => {
    const { id, opened } = await squares();
    const content = withGreen(opened.content);
    content.colourways[0].made.choice.inks = 2;
    content.colourways[0].made.colours.push(colour('c', '#203050'));
    await savePattern(id, 1, content);
    const { bytes: pdf, fileName } = await patternSheet(id, ['green'], 'a4');
    expect(fileName).toBe('two squares, colourways.pdf');
    expect(Buffer.from(pdf.subarray(0, 5)).toString()).toBe('%PDF-');
    expect(imagesIn(pdf)).toBe(2);
  });

  it('is a valid document for the contract', async () => {
    const { opened } = await squares();
    expect(patternContentSchema.parse(withGreen(opened.content)).colourways).toHaveLength(1);
  });
});

/** How many pictures a PDF holds. */
function imagesIn(pdf: Uint8Array): number {
  return (
    Buffer.from(pdf)
      .toString('latin1')
      .match(/\/Subtype \/Image/g)?.length ?? 0
  );
}
