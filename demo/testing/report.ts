import { readFile } from 'node:fs/promises';
import path from 'node:path';
import sharp from 'sharp';
import { ciede2000 } from '../../src/core/colour/ciede2000';
import { labFromOklab } from '../../src/core/colour/cielab';
import { oklchFromOklab, writeOklab, type Oklab } from '../../src/core/colour/oklab';
import { LINEAR_OF_BYTE } from '../../src/core/colour/srgb';
import { readColourStudy } from '../../src/core/measure/colour-study';
import type { ValueEnds } from '../../src/core/measure/value-ends';
import { measureSources } from '../../src/core/measure/sources';
import type { Verdict } from '../../src/core/measure/warm-cool';
import { readValueStudy } from '../../src/core/measure/value-study';
import { extractPalette, type ExtractedSwatch } from '../../src/core/palette/extract';
import type { Picture } from '../../src/core/picture/picture';
import { DEFAULT_SQUINT } from '../../src/core/picture/squint';
import { makeWorkingCopy } from '../../src/server/pictures/read-picture';
import { paint } from '../painter/paint';
import type { DemoPicture } from '../painter/picture';
import { bytesOfPlate } from '../painter/plate';
import { truthOf, type MassTruth, type Truth } from '../painter/truth';
import { lowerStation, LOWER_STATION_MANNER } from '../scenes/lower-station';
import { PICTURES } from '../scenes/pictures';

export interface PictureReport {
  file: string;
  bytes: number;
  longSide: number;
  truth: Truth;
  ends: ValueEnds;
  values: {
    key: string;
    range: string;
    p5: number;
    median: number;
    p95: number;
    carriedBy: number;
  };
  /** What the light is against the shadow, and what share of the picture it takes. */
  light: { is: Verdict | null; share: number };
  /** Share of each family, the family of the key, and the best scheme; null for what there is none of. */
  colours: { families: Record<string, number>; key: string | null; scheme: string | null };
  /** Where contrast is strongest. */
  focus: { x: number; y: number; reason: string } | null;
  /** Each mass in the picture against what was laid down. */
  masses: { name: string; share: number; shareInSmall: number; difference: number }[];
  accentsMissing: string[];
}

export interface DemoReport {
  pictures: PictureReport[];
  /** The share of bytes that come out otherwise when the small picture is painted again. */
  repaintedOtherwise: number;
  /** The same with another seed. */
  otherSeedOtherwise: number;
}

const folder = path.join(process.cwd(), 'demo');
const fileOf = ({ file, type }: DemoPicture) =>
  path.join(folder, 'pictures', `${file}.${type === 'jpeg' ? 'jpg' : 'webp'}`);
/** Every third pixel each way is plenty for a mean. */
const STRIDE = 3;

async function holdUp(picture: DemoPicture): Promise<PictureReport> {
  const bytes = await readFile(fileOf(picture));
  const { working, width, height } = await makeWorkingCopy(bytes);
  const truthFile = path.join(folder, 'pictures', `${picture.file}.truth.json`);
  const truth: Truth = JSON.parse(await readFile(truthFile, 'utf8'));
  // Rays are dear, shapes are cheap.
  const model = await picture.model(picture.kind === 'photograph' ? 0.12 : 0.4);
  const meanOf = meansUnder(working, model.map, model.plate.width, model.plate.height);
  const small = truthOf(picture, model).masses;
  const sources = measureSources(working);
  const study = readValueStudy(sources, {
    zones: 'carried',
    breaks: 'natural',
    squint: DEFAULT_SQUINT,
  });
  const { key, range, p5, median, p95, carriedBy } = study.values;
  const { light } = study.lightAndShadow;
  const [focus] = study.focus.places;
  const { hues, keyColour, harmony, temperature } = readColourStudy(sources, {
    zones: { zones: 4, breaks: 'natural' },
  });
  const { swatches } = extractPalette(working, { count: 9 });
  return {
    file: picture.file,
    bytes: bytes.length,
    longSide: Math.max(width, height),
    truth,
    values: { key, range, p5, median, p95, carriedBy },
    light: { is: temperature.verdict, share: light?.share ?? 0 },
    ends: { lights: study.values.lights, darks: study.values.darks },
    focus: focus ?? null,
    colours: {
      families: Object.fromEntries(
        hues.families.map(({ family, light, shadow }) => [family, light + shadow]),
      ),
      key: keyColour?.family ?? null,
      scheme: harmony.fits[0]?.scheme ?? null,
    },
    masses: truth.masses.map(({ name, share, oklab: [L, a, b] }, i) => ({
      name,
      share,
      shareInSmall: small[i].share,
      difference: ciede2000(labFromOklab(meanOf(i)), labFromOklab({ L, a, b })),
    })),
    accentsMissing: truth.accents.filter(
      (name) =>
        !isAmong(
          swatches,
          truth.masses.find((mass) => mass.name === name),
        ),
    ),
  };
}

/** Whether a palette holds an accent: near it, or as plainly of its hue where light has changed it. */
function isAmong(swatches: readonly ExtractedSwatch[], mass: MassTruth | undefined): boolean {
  if (!mass) return false;
  const [L, a, b] = mass.oklab;
  const hue = oklchFromOklab({ L, a, b }).h;
  return swatches.some(({ colour }) => {
    const { C, h } = oklchFromOklab(colour);
    const turn = Math.abs(((h - hue + 540) % 360) - 180);
    return Math.hypot(colour.L - L, colour.a - a, colour.b - b) < 0.1 || (turn < 22 && C > 0.08);
  });
}

/**
 * Mean OKLab of each mass in the finished picture. The map is of a small model, laid over the
 * picture; places where it borders on another mass are left out.
 */
function meansUnder(picture: Picture, map: Uint8Array, width: number, height: number) {
  const sums = new Map<number, number[]>();
  const ok = new Float64Array(3);
  for (let y = 0; y < picture.height; y += STRIDE) {
    const my = Math.floor((y / picture.height) * height);
    for (let x = 0; x < picture.width; x += STRIDE) {
      const mx = Math.floor((x / picture.width) * width);
      const mass = map[my * width + mx];
      const alone = [-1, 0, 1].every((dy) =>
        [-1, 0, 1].every((dx) => {
          const beside = map[(my + dy) * width + mx + dx];
          return beside === undefined || beside === mass;
        }),
      );
      if (!alone) continue;
      const at = (y * picture.width + x) * 4;
      const [r, g, b] = [0, 1, 2].map((c) => LINEAR_OF_BYTE[picture.data[at + c]]);
      writeOklab(r, g, b, ok, 0);
      const sum = sums.get(mass) ?? [0, 0, 0, 0];
      sum[0]++;
      for (let c = 0; c < 3; c++) sum[c + 1] += ok[c];
      sums.set(mass, sum);
    }
  }
  return (mass: number): Oklab => {
    const [n, L, a, b] = sums.get(mass) ?? [1, 0, 0, 0];
    return { L: L / n, a: a / n, b: b / n };
  };
}

/** The share of bytes that differ by more than another processor's rounding of a sine can explain. */
async function otherwise(seed: number): Promise<number> {
  const kept = await sharp(path.join(folder, 'testing/lower-station-small.png'))
    .removeAlpha()
    .raw()
    .toBuffer();
  const { plate } = await lowerStation.model(0.15);
  const again = bytesOfPlate(paint(plate, { ...LOWER_STATION_MANNER, seed }));
  if (again.length !== kept.length) return 1;
  let different = 0;
  again.forEach((byte, i) => (different += Math.abs(byte - kept[i]) > 3 ? 1 : 0));
  return different / again.length;
}

/** Holds the finished pictures against their truth. */
export async function demoReport(): Promise<DemoReport> {
  const pictures: PictureReport[] = [];
  for (const picture of PICTURES) pictures.push(await holdUp(picture));
  return {
    pictures,
    repaintedOtherwise: await otherwise(LOWER_STATION_MANNER.seed),
    otherSeedOtherwise: await otherwise(LOWER_STATION_MANNER.seed + 1),
  };
}
