import { coloursIn } from './colour-text';
import { cssProperties } from './css-properties';
import { designTokens } from './design-tokens';
import { gpl } from './gpl';
import { hexList } from './hex-list';
import type { LibraryFormat } from './library-file';
import { prismJson } from './prism-json';

/** Every format a library can be carried out to and brought in from. A new one is a file and a line. */
export const FORMATS: readonly LibraryFormat[] = [
  prismJson,
  gpl,
  designTokens,
  cssProperties,
  hexList,
];

export function formatById(id: string): LibraryFormat | null {
  return FORMATS.find((format) => format.id === id) ?? null;
}

/** The format that a file's ending names; a plain `.json` is our own. */
export function formatByEnding(fileName: string): LibraryFormat | null {
  const lower = fileName.toLowerCase();
  const named = FORMATS.find(({ extension }) => lower.endsWith(`.${extension}`));
  if (named) return named;
  if (lower.endsWith('.tokens')) return designTokens;
  return lower.endsWith('.json') ? prismJson : null;
}

/** So much of a text is looked at for colours. */
const LOOKED_AT = 20_000;

/** The format of a file by what is in it and its name; null when neither tells. */
export function formatOf(fileName: string, text: string): LibraryFormat | null {
  const named = formatByEnding(fileName);
  const start = text.replace(/^\uFEFF/, '').trimStart();
  if (named === prismJson || (!named && start.startsWith('{')))
    return /"\$value"\s*:/.test(start) ? designTokens : prismJson;
  if (start.startsWith('GIMP Palette')) return gpl;
  if (named && named !== hexList) return named;
  return coloursIn(start.slice(0, LOOKED_AT)).length > 0 ? hexList : null;
}
