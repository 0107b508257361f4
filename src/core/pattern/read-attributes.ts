import type { SaxesTagPlain } from 'saxes';
import { decodeText } from './decode-text';
import { isInside, isUnsafeValue, linksIn, shortened } from './links';
import { PAINT_PROPERTIES, paintTokens, type PaintToken } from './paint-tokens';
import type { Drawing } from './drawing';
import { plainStylePaints, readStyle, type StylePaint } from './style-paints';
import type { UseGraph } from './use-graph';

const ANIMATIONS = new Set(['animate', 'set', 'animatecolor', 'animatetransform', 'animatemotion']);
const ANIMATED = ['from', 'to', 'by', 'values'];
const ATTRIBUTE = /([^\s"'<>/=]+)\s*=\s*(?:"([^"]*)"|'([^']*)')/g;

/** Reads the attributes of an element (its name, tag, number, and where the tag stands) into a drawing. */
export type ReadAttributes = (
  element: string,
  tag: SaxesTagPlain,
  number: number,
  start: number,
  end: number,
) => void;

/** What reads attributes of elements into `drawing`: paints, links within it, and what could run or be fetched. */
export function attributeReader(
  drawing: Pick<Drawing, 'text' | 'paints' | 'removals'>,
  graph: Pick<UseGraph, 'uses'>,
): ReadAttributes {
  const { text } = drawing;
  // A drawing writes the same few paints again and again.
  const plainStyles = new Map<string, StylePaint[] | null>();
  const tokensOf = new Map<string, PaintToken[]>();
  const remove = (start: number, end: number, what: string) =>
    drawing.removals.push({ start, end, instead: '', what });

  return readAttributes;

  function readAttributes(
    element: string,
    tag: SaxesTagPlain,
    number: number,
    start: number,
    end: number,
  ): void {
    const source = text.slice(start, end);
    for (const match of source.slice(tag.name.length + 1).matchAll(ATTRIBUTE)) {
      const [whole, attribute] = match;
      const value = match[2] ?? match[3] ?? '';
      const from = start + tag.name.length + 1 + match.index;
      const name = attribute.toLowerCase();
      const at = from + whole.length - 1 - value.length;
      if (/^on/.test(localName(name)))
        remove(from - 1, from + whole.length, `the attribute ${attribute}`);
      else if (localName(name) === 'href' || name === 'src')
        readLink(element, number, from, whole, value);
      else if (takesAddress(name) && isUnsafeValue(decodeText(value, 0).text))
        remove(from - 1, from + whole.length, `the attribute ${attribute}`);
      else if (name === 'style') {
        readStyleAttribute(value, at, number);
      } else if (
        PAINT_PROPERTIES.has(name) ||
        (ANIMATED.includes(name) && animatesPaint(element, tag))
      )
        readPaint(name, value, at, number);
      else if (takesAddress(name)) readPaint('', value, at, number);
    }
  }

  function readStyleAttribute(value: string, at: number, element: number): void {
    let plain = plainStyles.get(value);
    if (plain === undefined) plainStyles.set(value, (plain = plainStylePaints(value)));
    if (plain) {
      for (const paint of plain)
        drawing.paints.push({ ...paint, element, start: at + paint.start, end: at + paint.end });
      return;
    }
    const style = readStyle(decodeText(value, at), 'declarationList');
    for (const paint of style.paints) drawing.paints.push({ ...paint, element });
    drawing.removals.push(...style.removals);
  }

  function readLink(element: string, number: number, from: number, whole: string, value: string) {
    const address = decodeText(value, 0).text.trim();
    if (address === '' || isInside(address)) {
      if (element === 'use' && address.startsWith('#'))
        graph.uses.push({ at: number, to: address.slice(1) });
      return;
    }
    // The blank before it goes along.
    remove(from - 1, from + whole.length, `a link to ${shortened(address)}`);
  }

  function readPaint(property: string, value: string, at: number, element: number): void {
    const { text: plain, from } = decodeText(value, at);
    for (const { start, end, address } of linksIn(plain))
      if (!isInside(address))
        drawing.removals.push({
          start: from(start),
          end: from(end),
          instead: 'none',
          what: `a link to ${shortened(address)}`,
        });
    if (!property) return;
    let tokens = tokensOf.get(plain);
    if (tokens === undefined) tokensOf.set(plain, (tokens = paintTokens(plain)));
    for (const token of tokens)
      drawing.paints.push({
        ...token,
        property,
        element,
        start: from(token.start),
        end: from(token.end),
      });
  }
}

/** Attributes that are read as styles are, and so can have an address. */
const ADDRESSED = new Set([
  'filter',
  'mask',
  'mask-image',
  'clip-path',
  'marker',
  'marker-start',
  'marker-mid',
  'marker-end',
  'cursor',
]);
const takesAddress = (name: string) => PAINT_PROPERTIES.has(name) || ADDRESSED.has(name);

/** Without its prefix, in lower case. */
export const localName = (name: string) => name.replace(/^.*:/, '').toLowerCase();

function animatesPaint(element: string, { attributes }: SaxesTagPlain): boolean {
  return (
    ANIMATIONS.has(element) && PAINT_PROPERTIES.has((attributes.attributeName ?? '').toLowerCase())
  );
}

/** An animation of a link, or of what is called, could bring in what was left out. */
export function animatesLink(element: string, { attributes }: SaxesTagPlain): boolean {
  const animated = localName(attributes.attributeName ?? '');
  return (
    ANIMATIONS.has(element) && (animated === 'href' || /^on/.test(animated) || animated === 'style')
  );
}
