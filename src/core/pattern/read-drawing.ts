import { SaxesParser, type SaxesTagPlain } from 'saxes';
import { decodeText, plainText } from './decode-text';
import { DrawingError } from './drawing-error';
import { animatesLink, attributeReader, localName } from './read-attributes';
import type { Drawing } from './drawing';
import { readStyle } from './style-paints';
import { checkUses, type UseGraph } from './use-graph';
import { sizeOf } from './view-box';

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
  const graph: UseGraph = { ids: new Map(), uses: [] };
  const readAttributes = attributeReader(drawing, graph);
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
}
