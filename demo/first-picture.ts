// Makes the picture of the first start, by what the program itself does with the sample: `npm run first-picture`.
import path from 'node:path';
import sharp from 'sharp';
import { hexFromOklab } from '../src/core/colour/hex';
import { valueOfOklab } from '../src/core/colour/value';
import { zoneEdges, zonesOf } from '../src/core/measure/zones';
import { measureSources } from '../src/core/measure/sources';
import { extractPalette } from '../src/core/palette/extract';
import { mappedPicture } from '../src/core/palette/mapped';
import { layStave } from '../src/core/palette/stave-layout';
import type { Picture } from '../src/core/picture/picture';
import { greyOfValue } from '../src/core/picture/value-map';
import { DEFAULT_SQUINT } from '../src/core/picture/squint';
import { makeWorkingCopy } from '../src/server/pictures/read-picture';
import { readFile } from 'node:fs/promises';

const WIDE = 1200;
const GAP = 6;
const STAVE = 150;
const BLOCK = 30;
const COLOURS = 8;
const ZONES = 4;

const file = path.join(process.cwd(), 'demo/pictures/lower-station.webp');
const { working } = await makeWorkingCopy(await readFile(file));
const high = Math.round((WIDE * working.height) / working.width);

/** The picture in so many greys, seen through the usual squint. */
function inZones(picture: Picture): Picture {
  const { counts, map } = measureSources(picture).through(DEFAULT_SQUINT);
  const edges = zoneEdges(counts, { zones: ZONES, breaks: 'natural' });
  const greys = zonesOf(counts, edges).map(({ mean }) => greyOfValue(mean));
  const data = new Uint8ClampedArray(picture.data.length);
  for (let p = 0, i = 0; i < data.length; p++, i += 4) {
    const zone = edges.filter((edge) => map[p] >= edge).length;
    data.fill(greys[Math.min(greys.length - 1, zone)], i, i + 3);
    data[i + 3] = 255;
  }
  return { ...picture, data };
}

const { swatches } = extractPalette(working, { count: COLOURS });
const thirds = [
  working,
  inZones(working),
  mappedPicture(
    working,
    swatches.map(({ colour }) => colour),
  ),
];
const part = Math.round(WIDE / 3);
const strips = await Promise.all(
  thirds.map(async ({ width, height, data }, i) => ({
    left: i * part + (i > 0 ? GAP / 2 : 0),
    top: 0,
    input: await sharp(Buffer.from(data.buffer, data.byteOffset, data.byteLength), {
      raw: { width, height, channels: 4 },
    })
      .resize(WIDE, high)
      .extract({ left: i * part + (i > 0 ? GAP / 2 : 0), top: 0, width: part - GAP, height: high })
      .png()
      .toBuffer(),
  })),
);
const columns = layStave(
  swatches.map(({ share }) => share),
  WIDE - 40,
  24,
);
const y = (value: number) => 14 + (1 - value / 10) * (STAVE - BLOCK - 28);
const stave = `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDE}" height="${STAVE}"><rect width="${WIDE}" height="${STAVE}" fill="#f8f8f8"/>${Array.from(
  { length: 11 },
  (_, value) =>
    `<rect x="20" width="${WIDE - 40}" y="${y(value) + BLOCK / 2}" height="1" fill="#c4c4c4"/>`,
).join('')}${swatches
  .map(
    ({ colour }, i) =>
      `<rect x="${20 + columns[i].left}" width="${Math.max(6, columns[i].block - 5)}" y="${y(valueOfOklab(colour))}" height="${BLOCK}" fill="${hexFromOklab(colour)}"/>`,
  )
  .join('')}</svg>`;
await sharp({
  create: { width: WIDE, height: high + GAP + STAVE, channels: 3, background: '#f8f8f8' },
})
  .composite([...strips, { input: Buffer.from(stave), left: 0, top: high + GAP }])
  .webp({ quality: 86, effort: 6 })
  .toFile(path.join(process.cwd(), 'src/screens/wall/first-start.webp'));
