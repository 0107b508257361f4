import { inflateSync } from 'node:zlib';
import { oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { prismJson } from '@/core/formats/prism-json';
import { DEFAULT_SETTINGS } from '@/contracts/settings';
import { PAPERS } from '@/contracts/print';
import type { LibraryFile } from '@/core/formats/library-file';
import { outlineOf } from '../fonts/outlines';
import { fitted, runsOf, widthOf, wrapped } from '../fonts/runs';
import { libraryPage } from '../share/library-page';
import { someLibrary } from '../testing/many-libraries';
import { libraryCard } from './library-card';
import { MM, SHEETS } from './paper';
import { laidOutText } from './pen';

const { scale } = DEFAULT_SETTINGS;
const library = (size: number) => ({
  ...someLibrary(1, size),
  id: 'one',
  revision: 1,
  studyId: null,
  createdAt: '2026-05-01T10:00:00.000Z',
  updatedAt: '2026-05-01T10:00:00.000Z',
});

/** What a PDF draws, page by page, as PDF operators. */
function contents(bytes: Uint8Array): string[] {
  const pdf = Buffer.from(bytes);
  const found: string[] = [];
  for (let at = pdf.indexOf('stream\n'); at >= 0; at = pdf.indexOf('stream\n', at + 1)) {
    if (pdf.subarray(at - 3, at).toString() === 'end') continue;
    const end = pdf.indexOf('endstream', at);
    try {
      const text = inflateSync(pdf.subarray(at + 7, end)).toString('latin1');
      if (/ re\b/.test(text) && / rg\b|scn\b/.test(text)) found.push(text);
    } catch {
      // A font or a picture.
    }
  }
  return found;
}

describe('a card on paper', () => {
  it.each(PAPERS)(
    'has the size of %s, and every chip at its true size with its grey',
    async (paper) => {
      const printed = library(9);
      const bytes = await libraryCard(printed, null, scale, paper);
      const sheet = SHEETS[paper];
      const text = Buffer.from(bytes).toString('latin1');
      const box = /MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec(text) ?? [];
      expect(Number(box[1])).toBeCloseTo(sheet.width, 1);
      expect(Number(box[2])).toBeCloseTo(sheet.height, 1);
      const drawn = contents(bytes).join('\n');
      const blocks = [...drawn.matchAll(/[\d.-]+ [\d.-]+ ([\d.-]+) ([\d.-]+) re/g)].map(
        ([, w, h]) => [Number(w) / MM, Number(h) / MM],
      );
      const whole = [sheet.chip.width / MM, sheet.chip.height / MM];
      const near = ([w, h]: number[], width: number) =>
        Math.abs(w - width) < 0.01 && Math.abs(h - whole[1]) < 0.01;
      expect(blocks.filter((block) => near(block, whole[0] * 0.75))).toHaveLength(9);
      expect(blocks.filter((block) => near(block, whole[0] * 0.25))).toHaveLength(9);
    },
  );

  it('goes on over as many pages as it takes', async () => {
    const few = contents(await libraryCard(library(4), null, scale, 'a5'));
    const many = contents(await libraryCard(library(90), null, scale, 'a5'));
    expect(few).toHaveLength(1);
    expect(many.length).toBeGreaterThan(4);
    const none = contents(await libraryCard({ ...library(1), swatches: [] }, null, scale, 'a5'));
    expect(none).toHaveLength(1);
  });
});

describe('lines of any script', () => {
  const files = (line: string) =>
    runsOf(line, 'sans').map(({ face }) => /([^/\\]+)-\d+-normal/.exec(face.file)?.[1]);

  it('are drawn by fonts that have their signs', () => {
    expect(files('Wet dusk')).toEqual(['source-sans-3-latin']);
    expect(files('Ночь')).toEqual(['source-sans-3-cyrillic']);
    for (const line of ['غروب', 'שלום', '灯りの色', '🌧'])
      for (const { glyphs } of runsOf(line, 'sans'))
        for (const { id } of glyphs.glyphs) expect(id).not.toBe(0);
  });

  const seen = (line: string) =>
    runsOf(line, 'sans')
      .map(({ text }) => text.trim())
      .filter(Boolean);

  it('stand from left to right as they are seen', () => {
    expect(seen('ab שלום cd')).toEqual(['ab', 'שלום', 'cd']);
    expect(seen('שלום ab')).toEqual(['ab', 'שלום']);
  });

  it('keep their numbers the right way round', () => {
    const [digits] = runsOf('تیره ۱۲', 'sans').filter(({ level }) => level === 2);
    expect(digits.text).toBe('۱۲');
    const drawn = digits.face.font.layout(laidOutText(digits));
    expect(drawn.glyphs.map(({ id }) => id)).toEqual(digits.glyphs.glyphs.map(({ id }) => id));
    expect(digits.glyphs.glyphs[0].codePoints).toEqual(['۱'.codePointAt(0)]);
  });

  it('are cut and broken to their room', () => {
    const long = 'a name that goes on and on and never seems to come to an end';
    expect(widthOf(fitted(long, 'sans', 10, 80), 'sans') * 10).toBeLessThanOrEqual(80);
    expect(fitted(long, 'sans', 10, 80)).toMatch(/…$/);
    expect(fitted('short', 'sans', 10, 80)).toBe('short');
    const lines = wrapped(`${long} ${'x'.repeat(90)}`, 'sans', 10, 80);
    for (const line of lines) expect(widthOf(line, 'sans') * 10).toBeLessThanOrEqual(80);
    expect(lines.join('').replaceAll(' ', '')).toBe(
      `${long} ${'x'.repeat(90)}`.replaceAll(' ', ''),
    );
    expect(outlineOf('fi', 'sans', 10, 0, 0)).toMatch(/^M/);
  });
});

describe('a page to give', () => {
  const parts = {
    scale,
    picture: null,
    fonts: { serif: 'data:,', sans: 'data:,', bold: 'data:,' },
  };
  const hostile = '"><script>alert(1)</script><img src=x onerror=alert(2)> &amp; \' </title>';

  it('loads nothing and runs nothing, whatever the names say', () => {
    const file: LibraryFile = {
      name: hostile,
      note: hostile,
      tags: [hostile],
      swatches: [
        {
          name: hostile,
          otherNames: [hostile],
          note: hostile,
          role: null,
          colour: oklabFromHex('#123456') as Oklab,
          share: 0.2,
          provenance: null,
          recipe: null,
          mediumRecipes: [],
        },
      ],
    };
    const html = libraryPage(file, {
      ...parts,
      file: `data:application/json,${encodeURIComponent(prismJson.write(file))}`,
    });
    expect(html).not.toMatch(/<script|<img|onerror=alert\(2\)>/);
    expect(html.match(/<\/title>/g)).toHaveLength(1);
    expect(html).toContain("default-src 'none'");
    expect(html.match(/https?:\/\//g)).toBeNull();
    expect(html).toContain('#123456');
  });
});
