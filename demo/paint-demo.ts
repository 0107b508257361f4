// Makes the demo's pictures and the truth beside each: `npm run paint-demo`, or with file names to make only those.
import { mkdir, writeFile } from 'node:fs/promises';
import path from 'node:path';
import sharp from 'sharp';
import { GLAZES, tileSvg } from './patterns/enamel-tile';
import { bytesOfPlate } from './painter/plate';
import { truthOf } from './painter/truth';
import { PICTURES } from './scenes/pictures';

const folder = path.join(process.cwd(), 'demo/pictures');
/** A picture that was composed smaller is made larger to this, in pixels. */
const LONG_SIDE = 1600;
const wanted = process.argv.slice(2);
await mkdir(folder, { recursive: true });
for (const picture of PICTURES) {
  if (wanted.length > 0 && !wanted.includes(picture.file)) continue;
  const start = performance.now();
  const model = await picture.model(
    Math.max(1, LONG_SIDE / Math.max(picture.width, picture.height)),
  );
  const made = picture.finish(model.plate);
  const { width, height } = made;
  const image = sharp(bytesOfPlate(made), { raw: { width, height, channels: 3 } });
  const file = path.join(folder, `${picture.file}.${picture.type === 'jpeg' ? 'jpg' : 'webp'}`);
  const { size } = await (
    picture.type === 'jpeg'
      ? image.jpeg({ quality: 93, chromaSubsampling: '4:4:4', mozjpeg: true })
      : image.webp({ quality: 84, effort: 6 })
  ).toFile(file);
  const truth = JSON.stringify(truthOf(picture, model), null, 2) + '\n';
  await writeFile(path.join(folder, `${picture.file}.truth.json`), truth);
  console.log(
    `${picture.file}: ${width} × ${height}, ${Math.round(size / 1024)} KB, ${((performance.now() - start) / 1000).toFixed(1)} s`,
  );
}
const patterns = path.join(process.cwd(), 'demo/patterns');
await writeFile(path.join(patterns, 'enamel-tile.svg'), tileSvg());
await writeFile(
  path.join(patterns, 'enamel-tile.truth.json'),
  JSON.stringify({ file: 'enamel-tile.svg', glazes: GLAZES }, null, 2) + '\n',
);
