import { randomUUID } from 'node:crypto';
import { fileNameFrom } from '@/core/file-name';
import { prismJson } from '@/core/formats/prism-json';
import type { Paper } from '@/contracts/print';
import { colourwayLibrary } from '@/study/pattern-edits';
import type { OutgoingColourway } from '@/workers/server/outgoing-colourways';
import { runDrawing } from '@/workers/server/pool';
import { zipped, type NamedBytes } from '../files/zips';
import { fileOf } from '../libraries/transfer';
import { semaphore } from '../semaphore';
import { getSettings } from '../settings/settings';
import { colourwaySheet, type PrintedColourway } from './colourway-sheet';
import { inWords } from './drawings';
import { drawingOf, getPattern } from './patterns';
import { printedPng, renderedPng } from './render-drawing';

/** Pixels along the longer side of a picture on the sheet. */
const PRINTED_SIDE = 700;

const oneAtATime = semaphore(1);

/** A pattern with some of its colourways as a PDF. Throws not-found. */
export function patternSheet(
  id: string,
  ids: readonly string[],
  paper: Paper,
  signal?: AbortSignal,
): Promise<{ bytes: Uint8Array; fileName: string }> {
  return oneAtATime(async () => {
    const { content, ways, size } = await outgoing(id, ids);
    return {
      bytes: await sheetOf(content, ways, size, paper, signal),
      fileName: fileNameFrom(content.title, ', colourways.pdf', 'pattern'),
    };
  }, signal);
}

/** The same with every colourway as SVG, as PNG tile of a size and as a library, in one zip. */
export function patternZip(
  id: string,
  ids: readonly string[],
  paper: Paper,
  side: number,
  signal?: AbortSignal,
): Promise<{ bytes: Uint8Array; fileName: string }> {
  return oneAtATime(async () => {
    const { content, ways, size } = await outgoing(id, ids);
    async function* files(): AsyncGenerator<NamedBytes> {
      for (const [i, way] of ways.entries()) {
        signal?.throwIfAborted();
        const name = `${i} ${way.name}`;
        yield {
          name: fileNameFrom(name, '.svg', 'colourway'),
          bytes: new TextEncoder().encode(way.svg),
        };
        yield {
          name: fileNameFrom(name, '.png', 'colourway'),
          bytes: await renderedPng(way.svg, size, side),
        };
        if (i > 0)
          yield {
            name: fileNameFrom(name, '.json', 'colourway'),
            bytes: new TextEncoder().encode(
              prismJson.write(
                fileOf(colourwayLibrary(content.title, way.name, way.colours, randomUUID)),
              ),
            ),
          };
      }
      yield {
        name: 'colourways.pdf',
        bytes: await sheetOf(content, ways, size, paper, signal),
      };
    }
    return {
      bytes: await zipped(files()),
      fileName: fileNameFrom(content.title, ', colourways.zip', 'pattern'),
    };
  }, signal);
}

async function outgoing(id: string, ids: readonly string[]) {
  const { content } = await getPattern(id);
  const { svg, facts } = await drawingOf(id, content.drawing);
  return {
    content,
    ways: await inWords(
      runDrawing({
        kind: 'colour',
        text: svg,
        facts,
        merges: content.merges,
        colourways: content.colourways,
        ids,
      }),
      'Nothing was changed.',
    ),
    size: { width: facts.width, height: facts.height },
  };
}

async function sheetOf(
  { title, note }: { title: string; note: string },
  ways: readonly OutgoingColourway[],
  size: { width: number; height: number },
  paper: Paper,
  signal?: AbortSignal,
): Promise<Uint8Array> {
  const printed: PrintedColourway[] = [];
  for (const way of ways) {
    signal?.throwIfAborted();
    printed.push({
      ...way,
      png: await printedPng(way.svg, size, PRINTED_SIDE),
      aspect: size.width / size.height,
    });
  }
  const { scale } = await getSettings();
  return colourwaySheet(title, note, printed, scale, paper);
}
