// Paints the demo's pictures: `npm run paint-demo`, or with file names to paint only those.
import { mkdir } from 'node:fs/promises';
import path from 'node:path';
import sharp from 'sharp';
import { paint } from './painter/paint';
import { bytesOfPlate } from './painter/plate';
import { modelOf } from './painter/scene';
import { SCENES } from './scenes/scenes';

const folder = path.join(process.cwd(), 'demo/pictures');
const wanted = process.argv.slice(2);
await mkdir(folder, { recursive: true });
for (const scene of SCENES) {
  if (wanted.length > 0 && !wanted.includes(scene.file)) continue;
  const start = performance.now();
  const painted = paint(await modelOf(scene, 1), scene.manner);
  const { width, height } = painted;
  const file = path.join(folder, `${scene.file}.webp`);
  const { size } = await sharp(bytesOfPlate(painted), { raw: { width, height, channels: 3 } })
    .webp({ quality: 84, effort: 6 })
    .toFile(file);
  console.log(
    `${scene.file}: ${width} × ${height}, ${Math.round(size / 1024)} KB, ${((performance.now() - start) / 1000).toFixed(1)} s`,
  );
}
