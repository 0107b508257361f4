import { SaxesParser, type SaxesTagPlain } from 'saxes';
import { decodeText, plainText } from './decode-text';
import { DrawingError } from './drawing-error';
import { isInside, isUnsafeValue, linksIn, shortened } from './links';
import { PAINT_PROPERTIES, paintTokens, type PaintToken } from './paint-tokens';
import { plainStylePaints, readStyle, type StylePaint, type StyleRemoval } from './style-paints';
import { checkUses, type UseGraph } from './use-graph';
import { sizeOf, type DrawingSize } from './view-box';

/** One place of a drawing where a colour is written. */
export interface PaintUse {
  /** `#rrggbb`. */
  hex: string;
  /** In the drawing's text, from `start` up to before `end`. */
  start: number;
  end: number;
  /** As it is written; empty for none. */
  alpha: string;
  property: string;
  /** The element that it stands at, by its number; null in a style sheet. */
  element: number | null;
}

export interface DrawingElement {
  name: string;
  /** What a person calls it: its label or id; empty for neither. */
  label: string;
  /** The number of the element it is in; null for the first. */
  parent: number | null;
}

/** A vector drawing whose colours can be changed, and nothing else. */
export interface Drawing {
  text: string;
  paints: PaintUse[];
  elements: DrawingElement[];
  /** CSS pixels, and the box of its own units that it shows. */
  size: DrawingSize;
  /** What could run or be fetched: left out of whatever is written. */
  removals: StyleRemoval[];
}

export const MAX_DRAWING_CHARACTERS = 16_000_000;
export const MAX_ELEMENTS = 200_000;
const MAX_DEPTH = 200;
/** Elements that run, or show what is fetched. */
const UNSAFE = new Set([
  'script',
  'foreignobject',
  'iframe',
  'object',
  'embed',
  'audio',
  'video',
  'handler',
  'listener',
]);
const ANIMATIONS = new Set(['animate', 'set', 'animatecolor', 'animatetransform', 'animatemotion']);
const ANIMATED = ['from', 'to', 'by', 'values'];
const ATTRIBUTE = /([^\s"'<>/=]+)\s*=\s*(?:"([^"]*)"|'([^']*)')/g;

/**
 * Reads a drawing: every colour with its place, and what of it could run or be fetched, so that both can be written over
 * and every other byte stays. Nothing of it is run or fetched, and no entity but XML's own is put in. Throws a DrawingError
 * in a sentence for what is no drawing, defines entities, draws itself without end, or is too large or too deep.
 */
export function readDrawing(text: string): Drawing {
  if (text.length > MAX_DRAWING_CHARACTERS)
    throw new DrawingError(
      `the drawing has ${Math.round(text.length / 1e6)} million characters; ${MAX_DRAWING_CHARACTERS / 1e6} million can be read.`,
    );
  const parser = new SaxesParser();
  const drawing: Drawing = { text, paints: [], elements: [], removals: [], size: sizeOf({}) };
  // A drawing writes the same few paints again and again.
  const plainStyles = new Map<string, StylePaint[] | null>();
  const tokensOf = new Map<string, PaintToken[]>();
  const graph: UseGraph = { ids: new Map(), uses: [] };
  const stack: { element: number; name: string; end: number; unsafe: number | null }[] = [];
  const wrong = (what: string) => new DrawingError(`line ${parser.line}: ${what}`);

  parser.on('error', (error) => {
    throw wrong(
      `this is not XML (${error.message.replace(/^\d+:\d+:\s*/, '').replace(/\.$/, '')}).`,
    );
  });
  parser.on('doctype', (doctype) => {
    if (/\[|<!ENTITY/i.test(doctype)) throw wrong('the drawing defines entities of its own.');
    // A document type of old is harmless, and nothing is fetched for it.
  });
  parser.on('processinginstruction', ({ target }) => {
    if (target.toLowerCase() !== 'xml-stylesheet') return;
    const end = parser.position;
    remove(text.lastIndexOf('<?', end - 1), end, 'a style sheet from outside');
  });
  parser.on('opentag', (tag: SaxesTagPlain) => {
    const name = localName(tag.name);
    if (stack.length === 0 && drawing.elements.length === 0 && name !== 'svg')
      throw wrong('a drawing begins with the element svg.');
    if (stack.length >= MAX_DEPTH) throw wrong('elements lie too deep in each other.');
    if (drawing.elements.length >= MAX_ELEMENTS)
      throw wrong(`there are more than ${MAX_ELEMENTS} elements.`);
    const end = parser.position;
    const start = text.lastIndexOf('<', end - 1);
    const element = drawing.elements.length;
    const above = stack.at(-1);
    if (element === 0) drawing.size = sizeOf(tag.attributes);
    drawing.elements.push({
      name,
      label: tag.attributes['inkscape:label'] ?? tag.attributes.id ?? '',
      parent: above?.element ?? null,
    });
    const isUnsafe = UNSAFE.has(name) || animatesLink(name, tag);
    stack.push({
      element,
      name,
      end,
      unsafe: above?.unsafe ?? (isUnsafe ? start : null),
    });
    graph.ids.set(tag.attributes.id ?? '', element);
    if (stack.at(-1)?.unsafe === null) readAttributes(name, tag, element, start, end);
  });
  parser.on('closetag', (tag: SaxesTagPlain) => {
    const { name, end, unsafe } = stack.pop()!;
    const closed = parser.position;
    if (unsafe !== null) {
      if (stack.at(-1)?.unsafe === undefined || stack.at(-1)?.unsafe === null)
        remove(unsafe, closed, `the element ${tag.name}`);
      return;
    }
    if (name !== 'style' || tag.isSelfClosing) return;
    const last = text.lastIndexOf('<', closed - 1);
    const piece = text.slice(end, last);
    const style = readStyle(
      piece.includes('<![CDATA[') ? plainText(piece, end) : decodeText(piece, end),
      'stylesheet',
    );
    drawing.paints.push(...style.paints.map((paint) => ({ ...paint, element: null })));
    drawing.removals.push(...style.removals);
  });
  parser.write(text).close();
  if (drawing.elements.length === 0) throw new DrawingError('there is nothing in the drawing.');
  checkUses(drawing.elements, graph);
  drawing.paints.sort((one, other) => one.start - other.start);
  drawing.removals.sort((one, other) => one.start - other.start);
  return drawing;

  function remove(start: number, end: number, what: string): void {
    drawing.removals.push({ start, end, instead: '', what });
  }

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

const localName = (name: string) => name.replace(/^.*:/, '').toLowerCase();

function animatesPaint(element: string, { attributes }: SaxesTagPlain): boolean {
  return (
    ANIMATIONS.has(element) && PAINT_PROPERTIES.has((attributes.attributeName ?? '').toLowerCase())
  );
}

/** An animation of a link, or of what is called, could bring in what was left out. */
function animatesLink(element: string, { attributes }: SaxesTagPlain): boolean {
  const animated = localName(attributes.attributeName ?? '');
  return (
    ANIMATIONS.has(element) && (animated === 'href' || /^on/.test(animated) || animated === 'style')
  );
}
