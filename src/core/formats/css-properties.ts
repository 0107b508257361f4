import { hexFromOklab } from '../colour/hex';
import { coloursIn } from './colour-text';
import {
  bareSwatch,
  FormatError,
  MAX_LIBRARY_SWATCHES,
  type FileSwatch,
  type LibraryFormat,
} from './library-file';
import { slugs } from './slugs';

const MAX_NAME = 300;
const MAX_COMMENT = 4000;
const TITLE = /^\s*\/\*([^\n]*?)\*\//;

/**
 * CSS custom properties on `:root`, for style sheets: `oklab()` at full precision, so that exact colours come back,
 * hex and name in a comment beside each. Reading takes the properties of any style sheet that are colours.
 */
export const cssProperties: LibraryFormat = {
  id: 'css',
  title: 'CSS properties',
  extension: 'css',
  mediaType: 'text/css',
  holds: ['name', 'swatch names', 'exact colour', '8-bit colour'],

  write: ({ name, swatches }) => {
    const names = slugs(swatches.map((swatch) => swatch.name));
    const lines = swatches.map(({ name: own, colour }, i) => {
      const { L, a, b } = colour;
      return `  --${names[i]}: oklab(${L} ${a} ${b}); /* ${quoted(own)} ${hexFromOklab(colour)} */`;
    });
    return [`/* ${quoted(name)} */`, ':root {', ...lines, '}', ''].join('\n');
  },

  read: (text) => {
    const title = TITLE.exec(text);
    const swatches: FileSwatch[] = [];
    for (const { property, value, comment } of propertiesIn(text)) {
      const [found] = coloursIn(value);
      if (!found) continue;
      if (swatches.length === MAX_LIBRARY_SWATCHES)
        throw new FormatError(1, `there are more than ${MAX_LIBRARY_SWATCHES} colours.`);
      const name = unquoted(comment) ?? property.replaceAll('-', ' ');
      swatches.push(bareSwatch(name, found.colour));
    }
    if (swatches.length === 0)
      throw new FormatError(1, 'there is no custom property that is a colour in this style sheet.');
    return { name: unquoted(title?.[1]) ?? '', note: '', tags: [], swatches };
  },
};

interface Property {
  property: string;
  value: string;
  /** Right behind it on its line, without its signs. */
  comment?: string;
}

/**
 * The custom properties of a style sheet: `--name: value;`, and perhaps a comment that holds the name as it was.
 * Reads each character once: what turns out to be no property is not gone back to.
 */
function* propertiesIn(text: string): Generator<Property> {
  let at = text.indexOf('--');
  while (at >= 0) {
    const nameEnd = endOf(text, at + 2, NAME_ENDS);
    const colon = endOf(text, nameEnd, NO_SPACE);
    let next = Math.max(nameEnd, at + 2);
    if (text[colon] === ':' && nameEnd - at <= MAX_NAME + 2) {
      const valueEnd = endOf(text, colon + 1, VALUE_ENDS);
      next = valueEnd;
      const end = text[valueEnd];
      if (end === ';' || end === '}') {
        const property = text.slice(at + 2, nameEnd);
        const value = text.slice(colon + 1, Math.min(valueEnd, colon + MAX_NAME)).trim();
        yield { property, value, comment: end === ';' ? commentAt(text, valueEnd + 1) : undefined };
      }
    }
    at = text.indexOf('--', next);
  }
}

const NAME_ENDS = /[\s:;{}]/g;
const NO_SPACE = /\S/g;
const VALUE_ENDS = /[;{}]/g;

/** The place of the first of some characters from `from` on; the text's end where none follows. */
function endOf(text: string, from: number, characters: RegExp): number {
  characters.lastIndex = from;
  return characters.exec(text)?.index ?? text.length;
}

function commentAt(text: string, from: number): string | undefined {
  const line = text
    .slice(from, from + MAX_COMMENT)
    .split('\n', 1)[0]
    .trimStart();
  const end = line.indexOf('*/', 2);
  return line.startsWith('/*') && end > 0 ? line.slice(2, end) : undefined;
}

/** A name as a JSON string that can end neither its comment nor a style element around it. */
function quoted(name: string): string {
  return JSON.stringify(name)
    .replaceAll('*/', String.raw`*\/`)
    .replaceAll('<', String.raw`\u003c`);
}

/** The JSON string that a comment begins with; none where there is none. */
function unquoted(comment: string | undefined): string | null {
  const match = /^\s*("(?:[^"\\]|\\.)*")/.exec(comment ?? '');
  if (!match) return null;
  try {
    return String(JSON.parse(match[1]));
  } catch {
    return null;
  }
}
