import { coloursIn } from './colour-text';
import { cssProperties } from './css-properties';
import { csv } from './csv';
import { designTokens } from './design-tokens';
import { gpl } from './gpl';
import { hexList } from './hex-list';
import type { FormatFacts, LibraryFormat } from './library-file';
import { pngChart } from './png-chart';
import { prismJson } from './prism-json';
import { soc } from './soc';
import { svgChart } from './svg-chart';

/** Every format of text. A new one is a file and a line. */
export const TEXT_FORMATS: readonly LibraryFormat[] = [
  prismJson,
  svgChart,
  designTokens,
  csv,
  cssProperties,
  gpl,
  soc,
  hexList,
];

/** Every format a library can be exported to and imported from, those that hold everything first. */
export const FORMATS: readonly FormatFacts[] = [
  prismJson,
  pngChart,
  ...TEXT_FORMATS.filter((format) => format !== prismJson),
];

export function formatById(id: string): FormatFacts | null {
  return FORMATS.find((format) => format.id === id) ?? null;
}

export function isText(format: FormatFacts): format is LibraryFormat {
  return TEXT_FORMATS.some(({ id }) => id === format.id);
}

/** The format that a file's ending names; a plain `.json` is our own. */
export function formatByEnding(fileName: string): FormatFacts | null {
  const lower = fileName.toLowerCase();
  const named = FORMATS.find(({ extension }) => lower.endsWith(`.${extension}`));
  if (named) return named;
  if (lower.endsWith('.tokens')) return designTokens;
  if (lower.endsWith('.tsv')) return csv;
  return lower.endsWith('.json') ? prismJson : null;
}

/** Characters of a text that are looked at to recognise its format. */
const LOOKED_AT = 20_000;

/** The format of a text by what is in it and its file's name; null when neither tells. */
export function formatOf(fileName: string, text: string): LibraryFormat | null {
  const named = formatByEnding(fileName);
  const start = text.slice(0, LOOKED_AT).trimStart();
  if (named === prismJson || (!named && start.startsWith('{')))
    return /"\$value"\s*:/.test(text) ? designTokens : prismJson;
  if (start.startsWith('GIMP Palette')) return gpl;
  if (start.startsWith('<')) {
    if (/<(?:\w+:)?color-table[\s>]/.test(start)) return soc;
    if (/<(?:\w+:)?svg[\s>]/.test(start)) return svgChart;
  }
  if (named && named !== hexList && isText(named)) return named;
  return coloursIn(start).length > 0 ? hexList : null;
}
