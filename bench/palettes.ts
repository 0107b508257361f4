// How good the palettes are, side by side with k-means and with general-purpose quantizers.
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { ciede2000Of } from '../src/core/colour/ciede2000';
import { labFromOklab, writeLab } from '../src/core/colour/cielab';
import { oklabDistance, type Oklab } from '../src/core/colour/oklab';
import { LINEAR_OF_BYTE } from '../src/core/colour/srgb';
import { extractPalette } from '../src/core/palette/extract';
import { makeWorkingCopy } from '../src/server/pictures/read-picture';
import { K_MEANS, QUANTIZERS, type Rival } from './rivals';
import { accentsAmong, generated, type Mass, type Scene } from './scenes';

const COUNTS = [5, 8, 12];
const SEEDS = 24;
/** Seeds from here on are for judging alone: how many pictures of each kind. */
const FIRST_HELD_OUT = 301;
const HELD_OUT = [
  ['flat', 24],
  ['shaded', 48],
] as const;
const DEMO = [
  ['conductor', 'webp'],
  ['enamel-tile', 'webp'],
  ['lower-station', 'webp'],
  ['passing-loop', 'jpg'],
  ['poster', 'webp'],
  ['slate-terrace', 'webp'],
  ['summit', 'jpg'],
  ['ticket-hall', 'webp'],
  ['winch-room', 'webp'],
];
/** Every so manieth pixel is held against its nearest swatch. */
const STRIDE = 41;
/** A swatch this near to an accent, in OKLab, has kept it: half of what makes it one. */
const KEPT = 0.05;

async function demoScene([name, ending]: string[]): Promise<Scene> {
  const folder = path.join(process.cwd(), 'demo/pictures');
  const { working } = await makeWorkingCopy(await readFile(path.join(folder, `${name}.${ending}`)));
  const truth = JSON.parse(await readFile(path.join(folder, `${name}.truth.json`), 'utf8')) as {
    masses: { share: number; oklab: [number, number, number] }[];
  };
  const masses: Mass[] = truth.masses.map(({ share, oklab: [L, a, b] }) => ({
    share,
    colour: { L, a, b },
  }));
  return { name, picture: working, accents: accentsAmong(masses) };
}

/** Mean CIEDE2000 between pixels of a picture and their nearest swatches. */
function meanDifference({ picture: { data } }: Scene, swatches: readonly Oklab[]): number {
  const labs = swatches.map(labFromOklab);
  const lab = new Float64Array(3);
  let sum = 0;
  let n = 0;
  for (let i = 0; i < data.length; i += 4 * STRIDE) {
    const [r, g, b] = [data[i], data[i + 1], data[i + 2]].map((byte) => LINEAR_OF_BYTE[byte]);
    writeLab(r, g, b, lab, 0);
    let least = Infinity;
    for (const { L, a, b: lb } of labs)
      least = Math.min(least, ciede2000Of(lab[0], lab[1], lab[2], L, a, lb));
    sum += least;
    n++;
  }
  return sum / n;
}

interface Result {
  mean: number;
  kept: number;
  milliseconds: number;
}

function tried({ palette }: Rival, scene: Scene, count: number): Result {
  const start = performance.now();
  const swatches = palette(scene.picture, count);
  const milliseconds = performance.now() - start;
  const kept = scene.accents.filter(({ colour, shades = [] }) =>
    [colour, ...shades].some((shade) =>
      swatches.some((swatch) => oklabDistance(swatch, shade) < KEPT),
    ),
  ).length;
  return { mean: meanDifference(scene, swatches), kept, milliseconds };
}

const OURS: Rival[] = (['balanced', 'area'] as const).map((lean) => ({
  name: `ours, ${lean}`,
  palette: (picture, count) =>
    extractPalette(picture, { count, lean }).swatches.map(({ colour }) => colour),
}));

/** Prints tables of all of them, and of accents on pictures that nothing is set by. */
export async function comparePalettes(): Promise<void> {
  compare(
    'the demo and made up',
    [...OURS, ...K_MEANS, ...QUANTIZERS],
    [
      ...(await Promise.all(DEMO.map(demoScene))),
      ...Array.from({ length: SEEDS }, (_, i) => generated(i + 1)),
    ],
  );
  for (const [accents, pictures] of HELD_OUT)
    compare(
      `${accents} accents, held out`,
      [...OURS, ...K_MEANS],
      Array.from({ length: pictures }, (_, i) => generated(FIRST_HELD_OUT + i, accents)),
    );
}

function compare(what: string, all: readonly Rival[], scenes: readonly Scene[]): void {
  const accents = scenes.reduce((sum, scene) => sum + scene.accents.length, 0);
  console.log(
    `\nPalettes of ${scenes.length} pictures (${what}) with ${accents} accents. The mean CIEDE2000 of the mapped picture, its ratio to that of the better k-means (the mean and the worst of all pictures), accents with a swatch within ${KEPT} in OKLab, milliseconds a picture:\n`,
  );
  console.log('  K  palette              mean  ratio  worst  accents    ms');
  for (const count of COUNTS) {
    const results = all.map((rival) => scenes.map((scene) => tried(rival, scene, count)));
    const best = scenes.map((_, s) =>
      Math.min(...all.map((rival, r) => (K_MEANS.includes(rival) ? results[r][s].mean : Infinity))),
    );
    all.forEach(({ name }, r) => {
      const ratios = results[r].map((one, s) => one.mean / best[s]);
      const kept = results[r].reduce((sum, one) => sum + one.kept, 0);
      const cells = [
        String(count).padStart(3),
        ` ${name.padEnd(19)}`,
        average(results[r].map((one) => one.mean))
          .toFixed(2)
          .padStart(5),
        average(ratios).toFixed(3).padStart(6),
        Math.max(...ratios)
          .toFixed(3)
          .padStart(6),
        (kept / accents).toFixed(2).padStart(8),
        average(results[r].map((one) => one.milliseconds))
          .toFixed(0)
          .padStart(5),
      ];
      console.log(cells.join(' '));
    });
  }
}

function average(numbers: readonly number[]): number {
  return numbers.reduce((sum, one) => sum + one, 0) / numbers.length;
}
