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

/**
 * `--name: colour;`, and perhaps a comment behind it that holds the name as it was. Lengths are bounded, so that no
 * text takes longer than its length.
 */
const PROPERTY =
  /--([^\s:;{}]{1,300})\s{0,20}:\s{0,20}([^;{}]{0,300})(?:;|(?=\}))(?:[ \t]{0,20}\/\*([^\n]{0,4000}?)\*\/)?/g;
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
    for (const [, property, value, comment] of text.matchAll(PROPERTY)) {
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

/** A name as a JSON string that can't end its comment. */
function quoted(name: string): string {
  return JSON.stringify(name).replaceAll('*/', String.raw`*\/`);
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
