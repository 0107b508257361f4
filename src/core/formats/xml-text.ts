import { SaxesParser, type SaxesTagPlain } from 'saxes';
import { FormatError } from './library-file';

export interface XmlElement {
  name: string;
  attributes: Record<string, string>;
  line: number;
  depth: number;
}

interface Taking {
  open?: (element: XmlElement) => void;
  /** All text of an element at its end, without that of those in it. */
  close?: (element: XmlElement, text: string) => void;
}

const MAX_DEPTH = 200;

/**
 * Walks a well-formed XML text. No entity but XML's own five is ever put in, whatever the text defines, nothing is
 * fetched, and nothing is run. Throws a FormatError with the line.
 */
export function walkXml(text: string, { open, close }: Taking): void {
  const parser = new SaxesParser();
  const stack: { element: XmlElement; text: string }[] = [];
  const wrong = (what: string) => new FormatError(parser.line, what);
  parser.on('error', (error) => {
    throw wrong(`not XML here (${error.message.replace(/^\d+:\d+:\s*/, '').replace(/\.$/, '')}).`);
  });
  parser.on('opentag', ({ name, attributes }: SaxesTagPlain) => {
    if (stack.length >= MAX_DEPTH) throw wrong('elements lie too deep in each other.');
    const element = { name, attributes, line: parser.line, depth: stack.length };
    stack.push({ element, text: '' });
    open?.(element);
  });
  const take = (more: string) => {
    const last = stack.at(-1);
    if (last) last.text += more;
  };
  parser.on('text', take);
  parser.on('cdata', take);
  parser.on('closetag', () => {
    const last = stack.pop();
    if (last) close?.(last.element, last.text);
  });
  parser.write(text).close();
}

const ESCAPES: Record<string, string> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  '\t': '&#9;',
  '\n': '&#10;',
  '\r': '&#13;',
};

/** A text as it may stand in XML, in an attribute too; signs that XML can't hold are left out. */
export function escapeXml(text: string): string {
  return text
    .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, '')
    .replace(/[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g, '')
    .replace(/[&<>"\t\n\r]/g, (sign) => ESCAPES[sign]);
}
