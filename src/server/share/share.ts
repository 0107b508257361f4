import { fileNameFrom } from '@/core/file-name';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { prismJson } from '@/core/formats/prism-json';
import { getLibrary } from '../libraries/libraries';
import { fileOf } from '../libraries/transfer';
import { thumbnailOfLibrary } from '../print/prints';
import { getSettings } from '../settings/settings';
import { libraryPage } from './library-page';

const FONTS = {
  serif: 'newsreader/files/newsreader-latin-500-normal.woff2',
  sans: 'source-sans-3/files/source-sans-3-latin-400-normal.woff2',
  bold: 'source-sans-3/files/source-sans-3-latin-600-normal.woff2',
};

/** A library as one HTML file that needs nothing else. */
export async function sharePage(id: string): Promise<{ bytes: Uint8Array; fileName: string }> {
  const library = await getLibrary(id);
  const { scale } = await getSettings();
  const thumbnail = await thumbnailOfLibrary(library);
  const html = libraryPage(fileOf(library), {
    scale,
    picture: thumbnail && dataUrl('image/webp', thumbnail),
    fonts: {
      serif: await fontUrl('serif'),
      sans: await fontUrl('sans'),
      bold: await fontUrl('bold'),
    },
    file: dataUrl('application/json', new TextEncoder().encode(prismJson.write(fileOf(library)))),
  });
  return {
    bytes: new TextEncoder().encode(html),
    fileName: fileNameFrom(library.name, '.html', 'library'),
  };
}

async function fontUrl(name: keyof typeof FONTS): Promise<string> {
  const folder = path.join(/*turbopackIgnore: true*/ process.cwd(), 'node_modules/@fontsource');
  return dataUrl(
    'font/woff2',
    await readFile(path.join(/*turbopackIgnore: true*/ folder, FONTS[name])),
  );
}

function dataUrl(type: string, bytes: Uint8Array): string {
  return `data:${type};base64,${Buffer.from(bytes).toString('base64')}`;
}
