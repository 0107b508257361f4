import { gpl } from './gpl';
import type { LibraryFormat } from './library-file';
import { prismJson } from './prism-json';

/** Every format a library can be carried out to and brought in from. A new one is a file and a line. */
export const FORMATS: readonly LibraryFormat[] = [prismJson, gpl];

export function formatById(id: string): LibraryFormat | null {
  return FORMATS.find((format) => format.id === id) ?? null;
}

/** The format of a file by its name, else by its first characters; null when neither tells. */
export function formatOf(fileName: string, text: string): LibraryFormat | null {
  const lower = fileName.toLowerCase();
  if (lower.endsWith('.gpl')) return gpl;
  if (lower.endsWith('.json')) return prismJson;
  const start = text.replace(/^\uFEFF/, '').trimStart();
  if (start.startsWith('{')) return prismJson;
  if (start.startsWith('GIMP Palette')) return gpl;
  return null;
}
