import { parse, walk, type Declaration } from 'css-tree';
import type { DecodedText } from './decode-text';
import { PAINT_PROPERTIES, paintTokens, type PaintToken } from './paint-tokens';

/** A paint in a style, its places those of the whole drawing. */
export type StylePaint = PaintToken & { property: string };

/** Something of a style that reaches outside the drawing. */
export interface StyleRemoval {
  start: number;
  end: number;
  /** What stands there instead: nothing that could be fetched. */
  instead: string;
  what: string;
}

export interface ReadStyle {
  paints: StylePaint[];
  removals: StyleRemoval[];
}

const CDATA = /<!\[CDATA\[|\]\]>/g;
/** What only a style sheet of old ran. */
const RUNS = /expression\s*\(|javascript:|-moz-binding|behavior\s*:/i;
const OUTSIDE = /url\(\s*(?:"([^"]*)"|'([^']*)'|([^)]*))\s*\)/gi;

/** The paints of a style sheet, or of a style attribute, and what of it reaches outside the drawing. */
export function readStyle(
  { text, from }: DecodedText,
  context: 'stylesheet' | 'declarationList',
): ReadStyle {
  // As long as before, so that places stay.
  const css = text.replace(CDATA, (mark) => ' '.repeat(mark.length));
  const paints: StylePaint[] = [];
  const removals: StyleRemoval[] = [];
  const remove = (start: number, end: number, what: string, instead = '') =>
    removals.push({ start: from[start], end: from[end], instead, what });
  const tree = parse(css, {
    context,
    positions: true,
    parseValue: false,
    parseAtrulePrelude: false,
    parseRulePrelude: false,
    onParseError: () => undefined,
  });
  walk(tree, (node) => {
    if (node.type === 'Atrule' && node.name.toLowerCase() === 'import' && node.loc)
      remove(node.loc.start.offset, node.loc.end.offset, 'an imported style sheet');
    if (node.type === 'Declaration') read(node);
  });
  return { paints, removals };

  function read({ property, value, loc }: Declaration): void {
    if (value.type !== 'Raw' || !value.loc || !loc) return;
    const name = property.toLowerCase();
    const at = value.loc.start.offset;
    if (RUNS.test(value.value) || name === 'behavior' || name === '-moz-binding') {
      remove(loc.start.offset, loc.end.offset, 'a style that could run');
      return;
    }
    for (const match of value.value.matchAll(OUTSIDE)) {
      const address = (match[1] ?? match[2] ?? match[3] ?? '').trim();
      if (isInside(address)) continue;
      const start = at + match.index;
      remove(start, start + match[0].length, `a link to ${shortened(address)}`, 'none');
    }
    if (!PAINT_PROPERTIES.has(name) && !name.startsWith('--')) return;
    for (const token of paintTokens(value.value))
      paints.push({
        ...token,
        property: name,
        start: from[at + token.start],
        end: from[at + token.end],
      });
  }
}

/** Whether an address stays within the drawing: a fragment of it, or a picture that is carried in it. */
export function isInside(address: string): boolean {
  return address.startsWith('#') || /^data:image\/(?:png|jpe?g|gif|webp);base64,/i.test(address);
}

const MAX_SHOWN = 60;

export function shortened(address: string): string {
  const plain = address.replace(/[\u0000-\u001f\u007f]/g, '');
  return plain.length > MAX_SHOWN ? `${plain.slice(0, MAX_SHOWN)}…` : plain;
}
