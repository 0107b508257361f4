import bidiFactory from 'bidi-js';
import type { GlyphRun } from 'fontkit';
import { faceOf, plainFace, type Face, type FaceName } from './faces';

/** A stretch of a line that one font file draws in one direction. */
export interface Run {
  text: string;
  face: Face;
  level: number;
  glyphs: GlyphRun;
  /** In units of the type size. */
  width: number;
}

const bidi = bidiFactory();
/** What joins or varies the sign before it is drawn with it. */
const CLINGS = /^[\p{M}\u200c\u200d\ufe0e\ufe0f]$/u;

/** Lines that were parted lately: a line is measured before it is drawn. */
const lately = new Map<string, Run[]>();
const MAX_RECENT = 500;

/** One line of text as runs; see `partedRuns`. */
export function runsOf(line: string, name: FaceName): readonly Run[] {
  const key = `${name} ${line}`;
  const known = lately.get(key);
  if (known) return known;
  if (lately.size >= MAX_RECENT) lately.clear();
  const made = partedRuns(line, name);
  lately.set(key, made);
  return made;
}

/**
 * One line of text as runs from left to right: parted where another font has to draw, and in the order in which
 * scripts that run to the left are seen (UAX #9).
 */
function partedRuns(line: string, name: FaceName): Run[] {
  const { levels } = bidi.getEmbeddingLevels(line);
  const parts: { text: string; face: Face; level: number }[] = [];
  let at = 0;
  for (const sign of line) {
    const level = levels[at];
    at += sign.length;
    const last = parts.at(-1);
    // A variation selector asks for colours that are not there.
    if (sign === '\ufe0f') continue;
    if (last && CLINGS.test(sign)) {
      last.text += sign;
      continue;
    }
    const own =
      last && last.face.font.hasGlyphForCodePoint(sign.codePointAt(0) as number)
        ? last.face
        : (faceOf(sign.codePointAt(0) as number, name) ?? plainFace());
    // A file that merely also has a sign is left again as soon as the face's own can draw.
    const face = last && own === last.face && sign !== ' ' ? best(sign, name, own) : own;
    if (last && last.face === face && last.level === level) last.text += sign;
    else parts.push({ text: sign, face, level });
  }
  return inOrder(parts).map((part) => {
    const glyphs = part.face.font.layout(
      part.text,
      undefined,
      undefined,
      undefined,
      part.level % 2 === 1 ? 'rtl' : 'ltr',
    );
    return { ...part, glyphs, width: glyphs.advanceWidth / part.face.font.unitsPerEm };
  });
}

function best(sign: string, name: FaceName, or: Face): Face {
  return faceOf(sign.codePointAt(0) as number, name) ?? or;
}

/** From the highest level down, what stands at it or above is turned round (rule L2). */
function inOrder<T extends { level: number }>(parts: readonly T[]): T[] {
  const order = [...parts];
  const highest = Math.max(0, ...parts.map(({ level }) => level));
  for (let level = highest; level > 0; level--)
    for (let from = 0; from < order.length; from++) {
      if (order[from].level < level) continue;
      let to = from;
      while (to + 1 < order.length && order[to + 1].level >= level) to++;
      order.splice(from, to - from + 1, ...order.slice(from, to + 1).reverse());
      from = to;
    }
  return order;
}

/** How wide a line is, in units of the type size. */
export function widthOf(line: string, name: FaceName): number {
  return runsOf(line, name).reduce((sum, run) => sum + run.width, 0);
}

/** A line cut so that it is at most so wide, with a sign that says so. */
export function fitted(line: string, name: FaceName, size: number, room: number): string {
  const one = line.replace(/\s+/g, ' ').trim();
  if (widthOf(one, name) * size <= room) return one;
  const signs = Array.from(one);
  let low = 0;
  let high = signs.length;
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    const cut = `${signs.slice(0, middle).join('').trimEnd()}…`;
    if (widthOf(cut, name) * size <= room) low = middle;
    else high = middle - 1;
  }
  return `${signs.slice(0, low).join('').trimEnd()}…`;
}

/** A text in lines that are at most so wide, broken at its spaces, or within a word that is wider. */
export function wrapped(text: string, name: FaceName, size: number, room: number): string[] {
  const lines: string[] = [];
  for (const paragraph of text.split(/\r\n|\n|\r/)) {
    let line = '';
    for (const word of paragraph.split(/\s+/).filter(Boolean)) {
      const longer = line ? `${line} ${word}` : word;
      if (widthOf(longer, name) * size <= room) {
        line = longer;
        continue;
      }
      if (line) lines.push(line);
      line = '';
      for (const sign of word) {
        if (line && widthOf(line + sign, name) * size > room) {
          lines.push(line);
          line = '';
        }
        line += sign;
      }
    }
    lines.push(line);
  }
  return lines;
}
