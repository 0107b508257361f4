// Paints the studies of the demo's sessions, photographs them and checks them: `npm run paint-sessions`. Some minutes;
// with `--check` the photographs that are there are only checked again.
import { mkdir, readFile, rm, writeFile } from 'node:fs/promises';
import path from 'node:path';
import sharp from 'sharp';
import { findingOf, type Finding } from '../src/core/compare/finding';
import { layStudy } from '../src/core/compare/lay-study';
import { smoothed } from '../src/core/compare/scale-steps';
import { LINEAR_OF_BYTE, luminance } from '../src/core/colour/srgb';
import { quickValueOfLuminance } from '../src/core/colour/value';
import type { Picture } from '../src/core/picture/picture';
import { quantileOf } from '../src/core/raster/quantile';
import { chance } from './painter/chance';
import { BROAD_TO_FINE } from './painter/paint';
import { photographedStudy, shifted, type Light } from './painter/photographed-study';
import { FIRST_DAY, SITTINGS, type Sitting } from './sittings';
import { photography, pictureOfFile, repainted } from './testing/study-pairs';

const SIDE = 560;
const demo = path.join(process.cwd(), 'demo');
const folder = path.join(demo, 'studies');
const checkOnly = process.argv.includes('--check');
if (!checkOnly) await rm(folder, { recursive: true, force: true });
await mkdir(folder, { recursive: true });
const told = JSON.parse(await readFile(path.join(demo, 'story.json'), 'utf8')) as {
  picture: string;
  about: { title: string };
}[];
const titleOf = (file: string) => told.find(({ picture }) => picture === file)?.about.title;

/** The sitting as the demo's seed reads it. */
function storyOf(sitting: Sitting, finding: Finding) {
  const { day, hour, off: _, paper: _paper, layers, ...rest } = sitting;
  const at = FIRST_DAY + day * 864e5 + hour * 36e5;
  return { ...rest, title: titleOf(sitting.picture), at, shots: layers.length, finding };
}

/** A soft disc about the middle of the darkest part, in which only what is dark counts. */
function darkMask({ width, height, data }: Picture): Float32Array {
  const value = Float32Array.from({ length: width * height }, (_, p) =>
    quickValueOfLuminance(
      luminance(
        LINEAR_OF_BYTE[data[p * 4]],
        LINEAR_OF_BYTE[data[p * 4 + 1]],
        LINEAR_OF_BYTE[data[p * 4 + 2]],
      ),
    ),
  );
  const grid = { width, height, data: value, mask: new Uint8Array(value.length).fill(1) };
  const soft = smoothed(grid, 0.06 * width);
  let darkest = -1;
  for (let p = 0; p < soft.length; p++) {
    const [x, y] = [(p % width) / width, Math.floor(p / width) / height];
    const isInside = x > 0.2 && x < 0.8 && y > 0.2 && y < 0.8;
    if (isInside && (darkest < 0 || soft[p] < soft[darkest])) darkest = p;
  }
  const limit = quantileOf(Float64Array.from(value), 0.45);
  const [cx, cy] = [darkest % width, Math.floor(darkest / width)];
  return Float32Array.from(value, (own, p) => {
    const away = Math.hypot((p % width) - cx, Math.floor(p / width) - cy) / (0.17 * width);
    return own < limit ? Math.min(1, Math.max(0, (1.1 - away) / 0.2)) : 0;
  });
}

const jpeg = ({ width, height, data }: Picture) =>
  sharp(Buffer.from(data), { raw: { width, height, channels: 4 } })
    .removeAlpha()
    .jpeg({ quality: 78, mozjpeg: true })
    .toBuffer();

function photographed(study: Light, sitting: Sitting, seed: number): Picture {
  const random = chance(seed * 13 + 5);
  const shot = photography(seed, study.width / study.height);
  return photographedStudy(study, {
    ...shot,
    margin: sitting.paper ? 0.06 + 0.05 * random() : 0,
    card: false,
    fill: sitting.paper ? 0.66 : 0.74,
    yaw: shot.yaw / 2,
    pitch: shot.pitch / 2,
    width: study.width >= study.height ? 760 : 570,
    height: study.width >= study.height ? 570 : 760,
  }).picture;
}

const story: unknown[] = [];
for (const [i, sitting] of SITTINGS.entries()) {
  const seed = 410 + i;
  const model = await pictureOfFile(path.join(demo, 'pictures', sitting.picture), SIDE);
  const { darks, ...shift } = sitting.off;
  const fileOf = (shot: number) => path.join(folder, `${sitting.id}-${shot}.jpg`);
  if (!checkOnly) {
    const fault = { value: darks, chroma: 0, hue: 0, mask: darkMask(model) };
    const study = shifted(model, shift, [fault]);
    for (const [k, layers] of sitting.layers.entries()) {
      const painted = repainted(study, seed, BROAD_TO_FINE.slice(0, layers));
      await writeFile(fileOf(k + 1), await jpeg(photographed(painted, sitting, seed)));
    }
  }
  // Checked as the Desk would: by what the file of the last one holds.
  const laid = layStudy(model, await pictureOfFile(fileOf(sitting.layers.length), 1600));
  if (!laid) throw new Error(`${sitting.id}: the study was not found`);
  const finding = findingOf(laid);
  story.push(storyOf(sitting, finding));
  const figures = Object.values(finding.shift ?? {}).map((n) => n.toFixed(2));
  console.log(sitting.id, laid.registration.confidence.toFixed(2), figures.join(' '));
}
const short = (_: string, n: unknown) => (typeof n === 'number' ? Math.round(n * 1e4) / 1e4 : n);
await writeFile(path.join(demo, 'sessions.json'), `${JSON.stringify(story, short, 1)}\n`);
