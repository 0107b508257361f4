import names from 'color-name';
import { hexFromOklab, oklabFromBytes } from '../colour/hex';
import type { Oklab } from '../colour/oklab';
import { coloursIn } from './colour-text';
import { bareSwatch, FormatError, MAX_LIBRARY_SWATCHES, type FileSwatch } from './library-file';
import { walkXml } from './xml-text';

const PAINTS = ['fill', 'stroke', 'stop-color', 'flood-color', 'lighting-color', 'color'];
/** A declaration of a paint in a style sheet or a style attribute; lengths are bounded. */
const DECLARATION = new RegExp(
  String.raw`(?:^|[;{\s])(?:${PAINTS.join('|')})\s{0,20}:\s{0,20}([^;{}]{1,100})`,
  'gi',
);

/**
 * The colours that a vector picture is painted with, each once, in the order they come: fills, strokes and the stops
 * of gradients, given as attributes or in styles. One is named by the element that first has it, where that has a name.
 */
export function svgFills(text: string): FileSwatch[] {
  const found = new Map<string, FileSwatch>();
  const take = (paint: string, name: string, line: number) => {
    const colour = paintColour(paint);
    if (!colour) return;
    const key = hexFromOklab(colour);
    if (found.has(key)) return;
    if (found.size === MAX_LIBRARY_SWATCHES)
      throw new FormatError(line, `there are more than ${MAX_LIBRARY_SWATCHES} colours.`);
    found.set(key, bareSwatch(name, colour));
  };
  const takeStyle = (style: string, name: string, line: number) => {
    for (const [, paint] of style.matchAll(DECLARATION)) take(paint, name, line);
  };
  walkXml(text, {
    open: ({ name, attributes, line, depth }) => {
      if (depth === 0 && name.replace(/^.*:/, '') !== 'svg')
        throw new FormatError(line, 'a vector picture begins with the element svg.');
      const own = attributes['inkscape:label'] ?? attributes.id ?? '';
      for (const paint of PAINTS) if (attributes[paint]) take(attributes[paint], own, line);
      if (attributes.style) takeStyle(attributes.style, own, line);
    },
    close: ({ name, line }, style) => {
      if (name.replace(/^.*:/, '') === 'style') takeStyle(style, '', line);
    },
  });
  return [...found.values()];
}

function paintColour(paint: string): Oklab | null {
  const [written] = coloursIn(paint);
  if (written) return written.colour;
  const word = paint
    .trim()
    .toLowerCase()
    .replace(/\s*!important$/, '');
  return Object.hasOwn(names, word)
    ? oklabFromBytes(names[word as keyof typeof names] as [number, number, number])
    : null;
}
