// Makes the demo's pictures and the truth beside each: `npm run paint-demo`, with file names to make
// only those, with `--truth` to write only the truth. The two photographs take some minutes each.
import { mkdir, writeFile } from 'node:fs/promises';
import path from 'node:path';
import sharp from 'sharp';
import { GLAZES } from './patterns/enamel-tile';
import { PATTERNS } from './patterns/patterns';
import type { DemoPicture } from './painter/picture';
import { bytesOfPlate, type Plate } from './painter/plate';
import { truthOf } from './painter/truth';
import { PICTURES } from './scenes/pictures';

const folder = path.join(process.cwd(), 'demo/pictures');
/** A picture that was composed smaller is made larger to this, in pixels. */
const LONG_SIDE = 1600;
const truthOnly = process.argv.includes('--truth');
const wanted = process.argv.slice(2).filter((word) => word !== '--truth');
await mkdir(folder, { recursive: true });
async function write(picture: DemoPicture, model: Plate): Promise<void> {
  const made = picture.finish(model);
  const { width, height } = made;
  const image = sharp(bytesOfPlate(made), { raw: { width, height, channels: 3 } });
  const file = path.join(folder, `${picture.file}.${picture.type === 'jpeg' ? 'jpg' : 'webp'}`);
  await (
    picture.type === 'jpeg'
      ? image.jpeg({ quality: 93, chromaSubsampling: '4:4:4', mozjpeg: true })
      : image.webp({ quality: 84, effort: 6 })
  ).toFile(file);
}

for (const picture of PICTURES) {
  if (wanted.length > 0 && !wanted.includes(picture.file)) continue;
  const start = performance.now();
  const model = await picture.model(
    Math.max(1, LONG_SIDE / Math.max(picture.width, picture.height)),
  );
  const truth = JSON.stringify(truthOf(picture, model), null, 2) + '\n';
  await writeFile(path.join(folder, `${picture.file}.truth.json`), truth);
  if (!truthOnly) await write(picture, model.plate);
  console.log(`${picture.file}: ${((performance.now() - start) / 1000).toFixed(1)} s`);
}
const patterns = path.join(process.cwd(), 'demo/patterns');
for (const [file, drawn] of Object.entries(PATTERNS))
  await writeFile(path.join(patterns, file), drawn());
await writeFile(
  path.join(patterns, 'enamel-tile.truth.json'),
  JSON.stringify({ file: 'enamel-tile.svg', glazes: GLAZES }, null, 2) + '\n',
);
