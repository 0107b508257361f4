import type { Declaration } from 'css-tree';
import parse from 'css-tree/parser';
import walk from 'css-tree/walker';
import type { DecodedText } from './decode-text';
import { isInside, isUnsafeValue, linksIn, shortened } from './links';
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

/** Declarations without anything that would have to be parsed: no brackets, quotes, escapes or comments. */
const PLAIN = /^[\w\s:;#.,%!-]*$/;
const DECLARATION = /([\w-]+)\s*:([^;:]*)(?:;|$)/g;

/** The paints of a plain style attribute, which can't hold anything else; null where it has to be parsed. */
export function plainStylePaints(style: string): StylePaint[] | null {
  if (!PLAIN.test(style) || /behavior/i.test(style)) return null;
  const paints: StylePaint[] = [];
  let end = 0;
  for (const match of style.matchAll(DECLARATION)) {
    if (style.slice(end, match.index).trim() !== '') return null;
    end = match.index + match[0].length;
    const property = match[1].toLowerCase();
    if (!PAINT_PROPERTIES.has(property) && !property.startsWith('--')) continue;
    const at = match.index + match[0].indexOf(':') + 1;
    for (const token of paintTokens(match[2]))
      paints.push({ ...token, property, start: at + token.start, end: at + token.end });
  }
  return style.slice(end).trim() === '' ? paints : null;
}

const CDATA = /<!\[CDATA\[|\]\]>/g;
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
    removals.push({ start: from(start), end: from(end), instead, what });
  const tree = parse(css, {
    context,
    positions: true,
    parseValue: false,
    parseAtrulePrelude: false,
    parseRulePrelude: false,
    onParseError: () => undefined,
  });
  walk(tree, (node) => {
    if (node.type === 'Atrule' && isImport(node.name) && node.loc)
      remove(node.loc.start.offset, node.loc.end.offset, 'an imported style sheet');
    if (node.type === 'Declaration') read(node);
  });
  return { paints, removals };

  function read({ property, value, loc }: Declaration): void {
    if (value.type !== 'Raw' || !value.loc || !loc) return;
    const name = property.toLowerCase();
    const at = value.loc.start.offset;
    // A name can hide behind escapes too.
    if (isUnsafeValue(value.value) || isUnsafeValue(`${name}:`)) {
      remove(loc.start.offset, loc.end.offset, 'a style that could run');
      return;
    }
    for (const { start, end, address } of linksIn(value.value))
      if (!isInside(address))
        remove(at + start, at + end, `a link to ${shortened(address)}`, 'none');
    if (!PAINT_PROPERTIES.has(name) && !name.startsWith('--')) return;
    for (const token of paintTokens(value.value))
      paints.push({
        ...token,
        property: name,
        start: from(at + token.start),
        end: from(at + token.end),
      });
  }
}

/** Also by a name that is written in escapes. */
const isImport = (name: string) => name.toLowerCase() === 'import' || name.includes('\\');
