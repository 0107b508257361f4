import { readFileSync } from 'node:fs';
import path from 'node:path';
import * as fontkit from 'fontkit';
import { once } from '@/core/once';

export type FaceName = 'sans' | 'bold' | 'serif' | 'italic';

/** A font file of those that ship with the app. */
export interface Face {
  file: string;
  font: fontkit.Font;
}

/** The packages that a face is taken from, in their order: the first that has a sign draws it. */
const STACKS: Record<FaceName, readonly (readonly [pack: string, style: string])[]> = {
  sans: [['source-sans-3', '400-normal']],
  bold: [['source-sans-3', '600-normal']],
  serif: [
    ['newsreader', '500-normal'],
    ['source-sans-3', '400-normal'],
  ],
  italic: [
    ['newsreader', '400-italic'],
    ['source-sans-3', '400-italic'],
  ],
};
const FALLBACKS = [
  ['noto-sans-arabic', '400-normal'],
  ['noto-sans-hebrew', '400-normal'],
  ['noto-sans-jp', '400-normal'],
  ['noto-emoji', '400-normal'],
] as const;

const folder = (pack: string) =>
  path.join(/*turbopackIgnore: true*/ process.cwd(), 'node_modules/@fontsource', pack);

interface Slice {
  file: string;
  ranges: [from: number, to: number][];
}

const slicesOf = new Map<string, Slice[]>();

/** The files that a package is cut into, and the signs that each has. */
function slices(pack: string, style: string): Slice[] {
  const key = `${pack} ${style}`;
  const known = slicesOf.get(key);
  if (known) return known;
  const ranges = JSON.parse(
    readFileSync(path.join(/*turbopackIgnore: true*/ folder(pack), 'unicode.json'), 'utf8'),
  ) as Record<string, string>;
  const made = Object.entries(ranges).map(([slice, list]) => ({
    file: path.join(
      /*turbopackIgnore: true*/ folder(pack),
      'files',
      `${pack}-${slice.replace(/[[\]]/g, '')}-${style}.woff`,
    ),
    ranges: list.split(',').map(rangeOf),
  }));
  slicesOf.set(key, made);
  return made;
}

/** "U+0460-052F" and "U+20B4". */
function rangeOf(text: string): [number, number] {
  const [from, to = from] = text.trim().replace(/^U\+/i, '').split('-');
  return [parseInt(from, 16), parseInt(to, 16)];
}

const opened = new Map<string, Face>();

function open(file: string): Face {
  const known = opened.get(file);
  if (known) return known;
  const face = { file, font: fontkit.create(readFileSync(file)) as fontkit.Font };
  opened.set(file, face);
  return face;
}

const faces: Record<FaceName, Map<number, Face | null>> = {
  sans: new Map(),
  bold: new Map(),
  serif: new Map(),
  italic: new Map(),
};

/** The file that draws a sign in a face; null where none of those that ship has it. */
export function faceOf(codePoint: number, name: FaceName): Face | null {
  const known = faces[name].get(codePoint);
  if (known !== undefined) return known;
  const found = seek(codePoint, name);
  faces[name].set(codePoint, found);
  return found;
}

function seek(codePoint: number, name: FaceName): Face | null {
  for (const [pack, style] of [...STACKS[name], ...FALLBACKS])
    for (const { file, ranges } of slices(pack, style)) {
      if (!ranges.some(([from, to]) => codePoint >= from && codePoint <= to)) continue;
      const face = open(file);
      if (face.font.hasGlyphForCodePoint(codePoint)) return face;
    }
  return null;
}

/** What draws a sign that nothing has: the box of the first file. */
export const plainFace = once(() => faceOf('x'.codePointAt(0) as number, 'sans') as Face);
