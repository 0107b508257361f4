import { ALL_CAPABILITIES, type FormatFacts, type LibraryFile } from './library-file';
import { pngText, withPngText } from './png-text';
import { prismJson } from './prism-json';

const KEYWORD = 'bold-prism-library';

/**
 * A chart as a picture, to be looked at and sent around, that carries the whole library as our own JSON. The picture
 * itself is drawn where pictures are drawn.
 */
export const pngChart: FormatFacts = {
  id: 'png',
  title: 'PNG chart',
  extension: 'png',
  mediaType: 'image/png',
  holds: ALL_CAPABILITIES,
};

export function embedLibrary(png: Uint8Array, library: LibraryFile): Uint8Array {
  return withPngText(png, KEYWORD, prismJson.write(library));
}

/** The library that a PNG carries; null where it carries none. Throws a FormatError where it is broken. */
export function embeddedLibrary(png: Uint8Array): LibraryFile | null {
  const text = pngText(png, KEYWORD);
  return text === null ? null : prismJson.read(text);
}
