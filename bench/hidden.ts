// How well quiet colours are found in made-up fogs, and how well they are pushed beside plain ways:
// `npm run bench -- --only hidden`. docs/hidden-colours.md says how to read it.
import sharp from 'sharp';
import { readHidden } from '../src/core/amplify/hidden';
import { NO_PUSH, type Push } from '../src/core/amplify/push';
import { pushable, pushedPicture } from '../src/core/amplify/pushed';
import { EMPTY_KINDS, emptyPicture, fog, type Fog } from '../src/core/amplify/testing/fogs';
import { ciede2000 } from '../src/core/colour/ciede2000';
import { labFromOklab } from '../src/core/colour/cielab';
import { oklabFromBytes, type Bytes } from '../src/core/colour/hex';
import type { Oklab } from '../src/core/colour/oklab';
import { PAINTERS_WHEEL, wheelPosition } from '../src/core/colour/wheel';
import type { Picture } from '../src/core/picture/picture';
import { readValueLock } from '../src/core/amplify/value-lock';
import { gained, RIVAL_NAMES, type RivalName } from './gains';

const SIZE = { width: 720, height: 480, noise: 3 };
const QUALITIES = [50, 70, 85, 95];
const FOGS = 60;
const EMPTY = 200;
const MIN_SHARE = 0.01;
const PUSHES: Push[] = [
  { ...NO_PUSH, spread: 0.5 },
  { ...NO_PUSH, spread: 0.5, cast: 'local' },
  { ...NO_PUSH, quiet: 0.6 },
  { ...NO_PUSH, lift: 1 },
];

const average = (numbers: readonly number[]) =>
  numbers.reduce((sum, one) => sum + one, 0) / Math.max(1, numbers.length);

export async function benchHidden(): Promise<void> {
  await benchFinding();
  await benchFalseAlarms();
  benchPushing();
}

async function throughJpeg({ width, height, data }: Picture, quality: number): Promise<Picture> {
  const file = await sharp(Buffer.from(data.buffer), { raw: { width, height, channels: 4 } })
    .removeAlpha()
    .jpeg({ quality })
    .toBuffer();
  const pixels = await sharp(file).ensureAlpha().raw().toBuffer();
  return { width, height, data: new Uint8ClampedArray(pixels) };
}

async function benchFinding(): Promise<void> {
  console.log(
    `\nHidden colours in ${FOGS} made-up fogs with camera noise, as JPEG. Of the true regions over 1 %: listed with the right family and at least half of it covered by one that is mostly it; listed so with the family or, within 8° of its hue, the neighbour's; listed where only fog is:\n`,
  );
  console.log('  quality  regions  right  nearly  besides');
  for (const quality of QUALITIES) {
    let all = 0;
    let right = 0;
    let nearly = 0;
    let besides = 0;
    for (let seed = 1; seed <= FOGS; seed++) {
      const truth = fog(seed, SIZE);
      const found = compared(truth, await throughJpeg(truth.picture, quality), quality);
      all += found.all;
      right += found.right;
      nearly += found.nearly;
      besides += found.besides;
    }
    console.log(
      `  ${String(quality).padStart(7)}  ${String(all).padStart(7)}  ${(right / all).toFixed(3)}  ${(nearly / all).toFixed(3).padStart(6)}  ${String(besides).padStart(7)}`,
    );
  }
}

/** How the list of a fog compares with what it was made of. */
function compared(truth: Fog, picture: Picture, quality: number) {
  const subject = pushable(picture, quality);
  const { grid } = subject.ground;
  const { colours, labels } = readHidden(subject, PUSHES[0]);
  const regions = truth.regions.length;
  // How many cells of each listed colour lie in each true region; the first is the fog alone.
  const overlap = colours.map(() => new Float64Array(regions + 1));
  const sizes = new Float64Array(regions + 1);
  for (let c = 0; c < labels.length; c++) {
    if (!grid.mask[c]) continue;
    const x = Math.floor((((c % grid.width) + 0.5) / grid.across) * picture.width);
    const y = Math.floor(((Math.floor(c / grid.width) + 0.5) / grid.down) * picture.height);
    const label =
      truth.of[Math.min(picture.height - 1, y) * picture.width + Math.min(picture.width - 1, x)];
    sizes[label]++;
    if (labels[c] >= 0) overlap[labels[c]][label]++;
  }
  const mostly = overlap.map((cells) => cells.indexOf(Math.max(...cells)));
  let right = 0;
  let nearly = 0;
  const large = truth.regions.map(({ share }, i) => ({ share, label: i + 1 }));
  const over = large.filter(({ share }) => share >= MIN_SHARE);
  for (const { label } of over) {
    const listed = colours.filter(
      (_, i) => mostly[i] === label && overlap[i][label] >= 0.5 * sizes[label],
    );
    const { family, hue } = truth.regions[label - 1];
    const isRight = listed.some((one) => one.readsAs === family);
    if (isRight) right++;
    const offHue = ({ colour }: { colour: Oklab }) => {
      const [a, b] = subject.ground.cast;
      const found = (Math.atan2(colour.b - b, colour.a - a) * 180) / Math.PI;
      return Math.abs(((found - hue + 900) % 360) - 180);
    };
    if (isRight || listed.some((one) => offHue(one) < 8)) nearly++;
  }
  return { all: over.length, right, nearly, besides: mostly.filter((label) => label === 0).length };
}

async function benchFalseAlarms(): Promise<void> {
  console.log(
    `\nPictures with no hidden colour, ${EMPTY} seeds each, at JPEG qualities ${QUALITIES.join(', ')} by turns: how many list one\n`,
  );
  for (const kind of EMPTY_KINDS) {
    let alarms = 0;
    for (let seed = 1; seed <= EMPTY; seed++) {
      const quality = QUALITIES[seed % QUALITIES.length];
      const picture = await throughJpeg(emptyPicture(kind, seed, SIZE), quality);
      if (readHidden(pushable(picture, quality), PUSHES[0]).colours.length > 0) alarms++;
    }
    console.log(`  ${kind.padEnd(10)} ${alarms}  (${((100 * alarms) / EMPTY).toFixed(1)} %)`);
  }
}

const SEEDS = Array.from({ length: 12 }, (_, i) => i + 1);

/** Ours beside plain gains that move colours as far. */
function benchPushing(): void {
  const fogs = SEEDS.map((seed) => fog(seed, { ...SIZE, width: 480, height: 320 }));
  console.log(
    `\nPushing ${fogs.length} fogs. Each plain gain is set so that colours move as far as with the first (mean ΔE00). Apart: mean distance of true regions on the painters' wheel, families of twelve; value: mean |ΔL*|; noise: deviation of a and b where the truth is flat, against before; ratio: chroma between regions gained for noise gained\n`,
  );
  console.log('  way                         moved  apart  value  noise  ratio');
  const print = (name: string, after: readonly Picture[]) => {
    const cells = [
      average(fogs.map((one, i) => moved(one.picture, after[i])))
        .toFixed(1)
        .padStart(5),
      average(fogs.map((one, i) => apart(one, after[i])))
        .toFixed(2)
        .padStart(5),
      average(fogs.map((one, i) => readValueLock(one.picture, after[i]).mean))
        .toFixed(2)
        .padStart(5),
      average(fogs.map((one, i) => noise(one, after[i]) / noise(one, one.picture)))
        .toFixed(2)
        .padStart(5),
      average(
        fogs.map(
          (one, i) =>
            contrast(one, after[i]) /
            contrast(one, one.picture) /
            (noise(one, after[i]) / noise(one, one.picture)),
        ),
      )
        .toFixed(2)
        .padStart(5),
    ];
    console.log(`  ${name.padEnd(26)}  ${cells.join('  ')}`);
  };
  print(
    'as it is',
    fogs.map((one) => one.picture),
  );
  const ours = PUSHES.map((push) => fogs.map((one) => pushedPicture(one.picture, push)));
  PUSHES.forEach((push, i) => print(nameOf(push), ours[i]));
  for (const name of RIVAL_NAMES)
    print(
      name,
      fogs.map((one, i) => gainedAsFar(name, one.picture, moved(one.picture, ours[0][i]))),
    );
}

function nameOf({ lift, quiet, spread, cast }: Push): string {
  if (spread > 0) return `spread ${spread}, ${cast} cast`;
  return quiet > 0 ? `lift the quiet ${quiet}` : `lift ${lift}`;
}

/** A plain gain as strong as moves colours so far. */
function gainedAsFar(name: RivalName, picture: Picture, wanted: number): Picture {
  let low = 1;
  let high = 30;
  for (let step = 0; step < 9; step++) {
    const middle = (low + high) / 2;
    if (moved(picture, gained(name, picture, middle)) < wanted) low = middle;
    else high = middle;
  }
  return gained(name, picture, (low + high) / 2);
}

const colourAt = ({ data }: Picture, p: number): Oklab =>
  oklabFromBytes([data[p * 4], data[p * 4 + 1], data[p * 4 + 2]] as Bytes);

function moved(before: Picture, after: Picture): number {
  const gaps: number[] = [];
  for (let p = 0; p < before.data.length / 4; p += 97)
    gaps.push(ciede2000(labFromOklab(colourAt(before, p)), labFromOklab(colourAt(after, p))));
  return average(gaps);
}

/** Mean a and b of the fog and of each true region over 1 %, and the deviation within. */
function regionMeans({ of, regions }: Fog, picture: Picture) {
  const labels = [0, ...regions.flatMap(({ share }, i) => (share >= MIN_SHARE ? [i + 1] : []))];
  return labels.map((label) => {
    const colours: Oklab[] = [];
    for (let p = 0; p < of.length; p += 5) if (of[p] === label) colours.push(colourAt(picture, p));
    const a = average(colours.map((one) => one.a));
    const b = average(colours.map((one) => one.b));
    return { a, b };
  });
}

function apart(truth: Fog, picture: Picture): number {
  const position = ({ a, b }: { a: number; b: number }) =>
    wheelPosition((Math.atan2(b, a) * 180) / Math.PI, PAINTERS_WHEEL);
  return pairs(regionMeans(truth, picture), (one, other) => {
    const gap = Math.abs(position(one) - position(other));
    return Math.min(gap, 12 - gap);
  });
}

function contrast(truth: Fog, picture: Picture): number {
  return pairs(regionMeans(truth, picture), (one, other) =>
    Math.hypot(one.a - other.a, one.b - other.b),
  );
}

function pairs<T>(all: readonly T[], of: (one: T, other: T) => number): number {
  return average(all.flatMap((one, i) => all.slice(i + 1).map((other) => of(one, other))));
}

/** Deviation of a and b from pixel to pixel where both are of one region: noise, since the truth is flat there. */
function noise({ of, picture: { width } }: Fog, picture: Picture): number {
  const gaps: number[] = [];
  for (let p = 0; p + 3 < of.length; p += 31) {
    if (of[p] !== of[p + 3] || (p % width) + 3 >= width) continue;
    const one = colourAt(picture, p);
    const other = colourAt(picture, p + 3);
    gaps.push((one.a - other.a) ** 2 + (one.b - other.b) ** 2);
  }
  return Math.sqrt(average(gaps) / 4);
}
