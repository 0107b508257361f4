import names from 'color-name';
import { hexFromOklab, oklabFromBytes } from '../colour/hex';
import { coloursIn } from '../formats/colour-text';
import { linksIn } from './links';

/** A colour in a value: what it is as `#rrggbb`, where it stands, and its alpha as it is written; empty for none. */
export interface PaintToken {
  hex: string;
  start: number;
  end: number;
  alpha: string;
}

/** What paints, as attribute or property. */
export const PAINT_PROPERTIES: ReadonlySet<string> = new Set([
  'fill',
  'stroke',
  'stop-color',
  'flood-color',
  'lighting-color',
  'color',
  'solid-color',
  'background',
  'background-color',
]);

const WORD = /(?<![\w#.-])[a-z]{3,24}(?![\w(.-])/gi;
const HEX_WITH_ALPHA = /^#(?:[0-9a-f]{4}|[0-9a-f]{8})$/i;
const ALPHA_PART = /[,/]\s*([^,/()\s]+)\s*\)$/;

/** The colours of a paint's value, in their order: hex, functions and names; with their alpha. */
export function paintTokens(value: string): PaintToken[] {
  // An address is no colour, whatever its name; as long as before, so that places stay.
  const bare = linksIn(value).reduce(
    (text, { start, end }) => text.slice(0, start) + ' '.repeat(end - start) + text.slice(end),
    value,
  );
  const found: PaintToken[] = coloursIn(bare).map(({ colour, start, end }) => ({
    hex: hexFromOklab(colour),
    start,
    end,
    alpha: alphaOf(bare.slice(start, end)),
  }));
  for (const { 0: word, index } of bare.matchAll(WORD)) {
    const name = word.toLowerCase();
    if (!Object.hasOwn(names, name)) continue;
    if (found.some(({ start, end }) => index >= start && index < end)) continue;
    const bytes = names[name as keyof typeof names] as [number, number, number];
    found.push({
      hex: hexFromOklab(oklabFromBytes(bytes)),
      start: index,
      end: index + word.length,
      alpha: '',
    });
  }
  return found.sort((one, other) => one.start - other.start);
}

function alphaOf(token: string): string {
  if (HEX_WITH_ALPHA.test(token)) {
    const alpha = token.slice(token.length === 5 ? 4 : 7);
    return String(
      Math.round((parseInt(alpha.length === 1 ? alpha + alpha : alpha, 16) / 255) * 1e4) / 1e4,
    );
  }
  if (!token.includes('(')) return '';
  const parts = token.slice(token.indexOf('(') + 1).split(/[\s,/]+/);
  return parts.filter(Boolean).length > 3 && !/^\)$/.test(parts[3] ?? '')
    ? (ALPHA_PART.exec(token)?.[1] ?? '')
    : '';
}

/** A colour as it is written in place of a token: with the alpha that stood there. */
export function writtenPaint(hex: string, alpha: string): string {
  if (!alpha) return hex;
  const [r, g, b] = [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16));
  return `rgba(${r}, ${g}, ${b}, ${alpha})`;
}
