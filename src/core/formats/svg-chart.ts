import { cutText } from '../text';
import { hexFromOklab } from '../colour/hex';
import { greyOf } from '../colour/grey-of';
import { valueOfOklab } from '../colour/value';
import {
  ALL_CAPABILITIES,
  FormatError,
  type LibraryFile,
  type LibraryFormat,
} from './library-file';
import { prismJson } from './prism-json';
import { svgFills } from './svg-fills';
import { escapeXml, walkXml } from './xml-text';

const OWN = 'bold-prism-library';
const MARGIN = 40;
const MIN_COLUMNS = 4;
const CELL_WIDTH = 205;
const GAP = 20;
const CHIP_HEIGHT = 96;
const CELL_HEIGHT = 160;
const HEAD = 110;

/** A line of writing in a chart: where it begins, how large it is, and how wide it may be. */
export interface ChartText {
  text: string;
  x: number;
  y: number;
  size: number;
  /** Beyond this many units it is cut short. */
  room: number;
  face: 'serif' | 'sans';
}

export interface ChartBlock {
  x: number;
  y: number;
  width: number;
  height: number;
  fill: string;
}

/** A chart of a library: chips in the order of value, each with its grey beside it, its name and its figures. */
export interface Chart {
  width: number;
  height: number;
  blocks: ChartBlock[];
  texts: ChartText[];
}

export function chartOf({ name, swatches }: LibraryFile): Chart {
  // More columns for more swatches, so that no chart is a ribbon.
  const columns = Math.max(MIN_COLUMNS, Math.ceil(Math.sqrt(swatches.length / 2)));
  const inner = columns * CELL_WIDTH + (columns - 1) * GAP;
  const width = CELL_WIDTH;
  const blocks: ChartBlock[] = [];
  const texts: ChartText[] = [
    { text: name, x: MARGIN, y: 62, size: 34, room: inner, face: 'serif' },
  ];
  const lightestFirst = [...swatches].sort((one, other) => other.colour.L - one.colour.L);
  lightestFirst.forEach(({ name: own, colour, share }, i) => {
    const x = MARGIN + (i % columns) * (width + GAP);
    const y = HEAD + Math.floor(i / columns) * CELL_HEIGHT;
    // Whole units: two blocks that meet between pixels show a seam.
    const grey = Math.round(width * 0.18);
    blocks.push(
      { x, y, width: width - grey, height: CHIP_HEIGHT, fill: hexFromOklab(colour) },
      {
        x: x + width - grey,
        y,
        width: grey,
        height: CHIP_HEIGHT,
        fill: hexFromOklab(greyOf(colour)),
      },
    );
    const part = share === null ? '' : ` · ${Math.round(share * 100)} %`;
    texts.push(
      { text: own, x, y: y + CHIP_HEIGHT + 20, size: 16, room: width, face: 'sans' },
      {
        text: `value ${valueOfOklab(colour).toFixed(1)}${part} · ${hexFromOklab(colour)}`,
        x,
        y: y + CHIP_HEIGHT + 38,
        size: 13,
        room: width,
        face: 'sans',
      },
    );
  });
  const lines = Math.ceil(swatches.length / columns);
  return {
    width: inner + 2 * MARGIN,
    height: HEAD + lines * CELL_HEIGHT + MARGIN / 2,
    blocks,
    texts,
  };
}

/**
 * A chart as a vector picture, to be looked at, with the whole library as our own JSON among its metadata. Reading
 * takes that, or of any other vector picture the colours it is painted with.
 */
export const svgChart: LibraryFormat = {
  id: 'svg',
  title: 'SVG chart',
  extension: 'svg',
  mediaType: 'image/svg+xml',
  holds: ALL_CAPABILITIES,

  write: (library) => {
    const { width, height, blocks, texts } = chartOf(library);
    return [
      `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}">`,
      `<title>${escapeXml(library.name)}</title>`,
      `<metadata><library xmlns="urn:${OWN}">${escapeXml(prismJson.write(library))}</library></metadata>`,
      `<rect width="${width}" height="${height}" fill="#f4f4f4"/>`,
      ...blocks.map(
        (block) =>
          `<rect x="${block.x}" y="${block.y}" width="${block.width}" height="${block.height}" fill="${block.fill}"/>`,
      ),
      ...texts.map(
        ({ text, x, y, size, face, room }) =>
          `<text x="${x}" y="${y}" font-size="${size}" font-family="${face === 'serif' ? 'serif' : 'sans-serif'}" fill="#1a1a1a">${escapeXml(shortened(text, room / (size * 0.52)))}</text>`,
      ),
      '</svg>',
      '',
    ].join('\n');
  },

  read: (text) => {
    let own: string | null = null;
    let title = '';
    walkXml(text, {
      close: ({ name, attributes, depth }, inner) => {
        if (name === 'library' && attributes.xmlns === `urn:${OWN}`) own = inner;
        if (name === 'title' && depth === 1) title = cutText(inner.trim(), 200);
      },
    });
    if (own !== null) return prismJson.read(own);
    const swatches = svgFills(text);
    if (swatches.length === 0)
      throw new FormatError(1, 'nothing in this picture is painted with a plain colour.');
    return { name: title, note: '', tags: [], swatches };
  },
};

/** A text of at most so many letters, by its signs and not their halves. */
function shortened(text: string, most: number): string {
  const signs = Array.from(text);
  return signs.length <= most ? text : `${signs.slice(0, Math.floor(most) - 1).join('')}…`;
}
