import sharp from 'sharp';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { NO_PUSH } from '../src/core/amplify/push';
import { pushable, pushableLike, pushedRows, rowsOf } from '../src/core/amplify/pushed';
import { writeOklab } from '../src/core/colour/oklab';
import { LINEAR_OF_BYTE } from '../src/core/colour/srgb';
import { readColourStudy } from '../src/core/measure/colour-study';
import { measureSources } from '../src/core/measure/sources';
import { readValueStudy } from '../src/core/measure/value-study';
import { zoneEdges, zoneGreys } from '../src/core/measure/zones';
import { extractPalette } from '../src/core/palette/extract';
import { swatchMap } from '../src/core/palette/swatch-map';
import { blocksOf } from '../src/core/picture/blocks';
import { develop } from '../src/core/picture/develop';
import { halfSizePicture } from '../src/core/picture/half-size';
import type { Picture } from '../src/core/picture/picture';
import { probe } from '../src/core/picture/probe';
import { MAX_SQUINT, DEFAULT_SQUINT, squint, squinter } from '../src/core/picture/squint';
import { greyPicture, valueImageOf } from '../src/core/picture/value-map';
import { encodeWorking, makeWorkingCopy } from '../src/server/pictures/read-picture';
import { QUANTIZERS } from './rivals';
import { measured, table, type Row } from './timing';

const RUNS = 7;

/** The yardstick: every pixel to OKLab by `Math.cbrt`, as plainly as it can be written. */
function convertPlainly({ data }: Picture): Float32Array {
  const out = new Float32Array((data.length / 4) * 3);
  for (let i = 0, at = 0; i < data.length; i += 4, at += 3) {
    const r = LINEAR_OF_BYTE[data[i]];
    const g = LINEAR_OF_BYTE[data[i + 1]];
    const b = LINEAR_OF_BYTE[data[i + 2]];
    const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
    const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
    const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
    out[at] = 0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s;
    out[at + 1] = 1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s;
    out[at + 2] = 0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s;
  }
  return out;
}

function convertByTable({ data }: Picture): Float32Array {
  const out = new Float32Array((data.length / 4) * 3);
  for (let i = 0, at = 0; i < data.length; i += 4, at += 3)
    writeOklab(
      LINEAR_OF_BYTE[data[i]],
      LINEAR_OF_BYTE[data[i + 1]],
      LINEAR_OF_BYTE[data[i + 2]],
      out,
      at,
    );
  return out;
}

/** A 12-megapixel JPEG of a demo picture, with grain so that it weighs what a photograph weighs. */
export async function photograph(): Promise<Buffer> {
  const picture = await readFile(path.join(process.cwd(), 'demo/pictures/lower-station.webp'));
  const grain = await sharp({
    create: {
      width: 4000,
      height: 3000,
      channels: 3,
      background: '#808080',
      noise: { type: 'gaussian', mean: 128, sigma: 9 },
    },
  })
    .png({ compressionLevel: 0 })
    .toBuffer();
  return sharp(picture)
    .resize(4000, 3000)
    .composite([{ input: grain, blend: 'soft-light' }])
    .jpeg({ quality: 92 })
    .toBuffer();
}

/** What each heavy operation costs, as a table. */
export async function benchOperations(): Promise<string> {
  const jpeg = await photograph();
  const { working } = await makeWorkingCopy(jpeg);
  const colours = extractPalette(working, { count: 8 }).swatches.map((swatch) => swatch.colour);
  const again = squinter(working);
  const cast = { L: 0.8, a: 0.01, b: 0.03 };

  const SPREAD = { ...NO_PUSH, spread: 0.5 };
  const LOCAL = { ...SPREAD, cast: 'local' as const };
  const ready = pushable(working);
  const rowsWhole = rowsOf(ready);
  const half = pushableLike(halfSizePicture(blocksOf(working)), ready);
  const rowsHalf = rowsOf(half);

  const operations: [string, () => unknown][] = [
    ['plain sRGB → OKLab conversion', () => convertPlainly(working)],
    ['the same by a table of cube roots', () => convertByTable(working)],
    ['squint, the plain one', () => squint(working, DEFAULT_SQUINT)],
    ['squint, the plain one, once the slider has moved', () => again(DEFAULT_SQUINT)],
    ['squint, the most', () => squint(working, MAX_SQUINT)],
    ['squint, the most, once the slider has moved', () => again(MAX_SQUINT)],
    [
      'values: whole reading, squint included',
      () =>
        readValueStudy(measureSources(working), {
          zones: 'carried',
          breaks: 'natural',
          squint: DEFAULT_SQUINT,
        }),
    ],
    [
      'colours: whole reading, squint included',
      () => readColourStudy(measureSources(working), { zones: { zones: 4, breaks: 'natural' } }),
    ],
    [
      'the whole reading: values, colours, hidden, a palette of eight',
      () => {
        const sources = measureSources(working);
        readValueStudy(sources, { zones: 'carried', breaks: 'natural', squint: DEFAULT_SQUINT });
        readColourStudy(sources, { zones: { zones: 4, breaks: 'natural' } });
        const subject = pushable(working, null, sources.blocks);
        rowsOf(subject);
        subject.departures();
        extractPalette(working, { count: 8 });
      },
    ],
    ['values: greys drawn', () => greyPicture(working)],
    [
      'values: zones drawn',
      () => {
        const sight = valueImageOf(working);
        zoneGreys(sight, zoneEdges(sight.counts, { zones: 4, breaks: 'natural' }));
      },
    ],
    ['hidden colours: made ready, once a picture', () => rowsOf(pushable(working))],
    ['hidden colours: found, once a picture', () => pushable(working).departures()],
    ['a slider moves: spread 0.5, the whole picture', () => pushedRows(ready, rowsWhole, SPREAD)],
    [
      'a slider moves: spread about the cast around each place',
      () => pushedRows(ready, rowsWhole, LOCAL),
    ],
    ['a slider moves: spread 0.5 at half the size', () => pushedRows(half, rowsHalf, SPREAD)],
    [
      'a slider moves: about the cast around each place, at half',
      () => pushedRows(half, rowsHalf, LOCAL),
    ],
    ['palette: 8 colours', () => extractPalette(working, { count: 8 })],
    ['palette: 16 colours', () => extractPalette(working, { count: 16 })],
    [
      'Wu’s quantizer (image-q): 8 colours',
      () => QUANTIZERS.find(({ name }) => name === 'Wu')?.palette(working, 8),
    ],
    [
      'median cut (quantize): 8 colours',
      () => QUANTIZERS.find(({ name }) => name === 'median cut')?.palette(working, 8),
    ],
    ['palette: shares of 8 colours', () => swatchMap(working, colours)],
    ['turned by 3°', () => develop(working, { framing: { angle: 3, crop: null }, cast: null })],
    ['freed of a cast', () => develop(working, { framing: { angle: 0, crop: null }, cast })],
    ['probe of 5 % radius', () => probe(working, { x: 0.5, y: 0.5 }, 0.05)],
    [
      `working copy of a 12-megapixel JPEG (${(jpeg.length / 1e6).toFixed(1)} MB)`,
      () => makeWorkingCopy(jpeg),
    ],
    ['working copy stored without loss', () => encodeWorking(working)],
  ];
  const rows: Row[] = [];
  for (const [name, work] of operations)
    rows.push(await measured(name, RUNS, () => convertPlainly(working), work));
  return `${working.width} × ${working.height} pixels; ${RUNS} runs each: the fastest, and the median ratio to a conversion beside it\n\n${table(rows)}`;
}
