import { hexFromOklab, oklabFromHex } from '../colour/hex';
import {
  bareSwatch,
  FormatError,
  MAX_LIBRARY_SWATCHES,
  type FileSwatch,
  type LibraryFormat,
} from './library-file';
import { escapeXml, walkXml } from './xml-text';

const NAMESPACES = [
  'xmlns:office="http://openoffice.org/2000/office"',
  'xmlns:draw="http://openoffice.org/2000/drawing"',
  'xmlns:ooo="http://openoffice.org/2004/office"',
].join(' ');

/** SOC, the colour table that office suites of the OpenDocument family read: names and 8-bit colours as XML. */
export const soc: LibraryFormat = {
  id: 'soc',
  title: 'office colour table',
  extension: 'soc',
  mediaType: 'application/xml',
  holds: ['swatch names', '8-bit colour'],

  write: ({ swatches }) => {
    const colours = swatches.map(
      ({ name, colour }) =>
        `  <draw:color draw:name="${escapeXml(name)}" draw:color="${hexFromOklab(colour)}"/>`,
    );
    return [
      '<?xml version="1.0" encoding="UTF-8"?>',
      `<ooo:color-table ${NAMESPACES}>`,
      ...colours,
      '</ooo:color-table>',
      '',
    ].join('\n');
  },

  read: (text) => {
    const swatches: FileSwatch[] = [];
    walkXml(text, {
      open: ({ name, attributes, line, depth }) => {
        const plain = name.replace(/^.*:/, '');
        if (depth === 0 && plain !== 'color-table')
          throw new FormatError(line, 'a colour table begins with the element color-table.');
        if (depth === 0 || plain !== 'color') return;
        const of = (key: string) =>
          Object.entries(attributes).find(([own]) => own.replace(/^.*:/, '') === key)?.[1];
        const colour = oklabFromHex(of('color') ?? '');
        if (!colour) throw new FormatError(line, 'a colour here has no hex value.');
        if (swatches.length === MAX_LIBRARY_SWATCHES)
          throw new FormatError(line, `there are more than ${MAX_LIBRARY_SWATCHES} colours.`);
        swatches.push(bareSwatch(of('name') ?? '', colour));
      },
    });
    return { name: '', note: '', tags: [], swatches };
  },
};
