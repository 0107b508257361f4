import sharp from 'sharp';
import { pictureOf, type Picture } from '../../src/core/picture/picture';
import { connectedComponents } from '../../src/core/raster/connected-components';
import type { Quad } from '../../src/core/raster/homography';
import { chance, type Chance } from '../painter/chance';
import { BROAD_TO_FINE, paint } from '../painter/paint';
import {
  photographedStudy,
  shifted,
  type Fault,
  type Light,
  type Photography,
  type Shift,
} from '../painter/photographed-study';
import { bytesOfPlate, plateFromBytes } from '../painter/plate';
import { wandering, type Layer } from '../painter/strokes';
import { byteOfLinear, LINEAR_OF_BYTE, luminance } from '../../src/core/colour/srgb';
import { smoothed } from '../../src/core/compare/scale-steps';
import { DEFAULT_SQUINT } from '../../src/core/picture/squint';
import { quickValueOfLuminance } from '../../src/core/colour/value';

/** A fault where it was planted: how much of it each pixel of the model has, 0–1. */
export type PlantedFault = Fault & { mask: Float32Array };

/** A model and the photograph of a study of it, with all that is known of it because it was made so. */
export interface StudyPair {
  model: Picture;
  /** The study as it was painted, before anything was photographed. */
  study: Picture;
  photo: Picture;
  shift: Shift;
  faults: PlantedFault[];
  corners: Quad;
  /** A place of a grey card, where there is one and no margin of paper. */
  card: { x: number; y: number } | null;
  hasMargin: boolean;
  isRepainted: boolean;
}

export async function pictureOfFile(file: string, side: number): Promise<Picture> {
  const { data, info } = await sharp(file)
    .resize(side, side, { fit: 'inside' })
    .toColourspace('srgb')
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return pictureOf(info.width, info.height, new Uint8ClampedArray(data));
}

/** Of four pairs one is repainted with strokes. */
const REPAINTED = 4;

/**
 * A made-up pair: a shift, two wrong relations, perspective to 15°, uneven light, a white balance that is off, noise, and by
 * chance blur, paper around the study, a card beside it, or neither with the study's edges cut off.
 */
export function studyPair(model: Picture, seed: number): StudyPair {
  // Another for each picture.
  const random = chance(seed * 31 + model.data[4000] * 977 + model.data[9001] * 131 + 5);
  const about = (by: number) => (random() * 2 - 1) * by;
  const key = meanValue(model, null);
  const shift = {
    // There is room for it.
    value: key > 6.5 ? -0.7 * random() : key < 3.5 ? 0.7 * random() : about(0.7),
    valueGain: 1 + about(0.12),
    chromaGain: 1 + about(0.25),
    hueTurn: about(12),
  };
  const faults: PlantedFault[] = [];
  while (faults.length < 2) faults.push(plantedFault(model, random, faults[0]?.mask ?? null));
  const isRepainted = seed % REPAINTED === 3;
  const plain = shifted(model, shift, faults);
  const study = isRepainted ? repainted(plain, seed) : plain;
  const shot = photography(seed, model.width / model.height);
  const { picture, corners, card } = photographedStudy(study, shot);
  const isInside = card?.every((at) => at > 0.03 && at < 0.97);
  return {
    model,
    study: pictureOfLight(study),
    photo: picture,
    shift,
    faults,
    corners,
    card: card && isInside && shot.margin === 0 ? { x: card[0], y: card[1] } : null,
    hasMargin: shot.margin > 0,
    isRepainted,
  };
}

export function pictureOfLight({ width, height, light }: Light): Picture {
  const data = new Uint8ClampedArray(width * height * 4).fill(255);
  for (let p = 0; p < width * height; p++)
    for (let k = 0; k < 3; k++) data[p * 4 + k] = byteOfLinear(light[p * 3 + k]);
  return pictureOf(width, height, data);
}

/** What a painter is off by on the whole when nothing is wrong. */
export function slightShift(random: Chance): Shift {
  const about = (by: number) => (random() * 2 - 1) * by;
  return {
    value: about(0.3),
    valueGain: 1 + about(0.1),
    chromaGain: 1 + about(0.2),
    hueTurn: about(8),
  };
}

export function photography(seed: number, aspect: number): Photography {
  const random = chance(seed * 7919 + 1);
  const about = (by: number) => (random() * 2 - 1) * by;
  const margin = random() < 0.5 ? 0.05 + 0.1 * random() : 0;
  const card = random() < 0.3;
  const whole = Math.min(1, aspect >= 1 ? aspect / (4 / 3) : 3 / 4 / aspect);
  const fill = margin > 0 || card ? 0.5 + 0.22 * random() : (0.6 + 0.42 * random()) * whole;
  return {
    seed,
    width: aspect >= 1 ? 800 : 600,
    height: aspect >= 1 ? 600 : 800,
    yaw: about(15),
    pitch: about(15),
    roll: about(4),
    fill,
    off: [about(0.05), about(0.05)],
    margin,
    card,
    fall: 0.4 * random(),
    fallAngle: 6.28 * random(),
    corners: 0.15 * random(),
    whiteBalance: [1 + about(0.15), 1, 1 + about(0.2)],
    exposure: 0.5 + 0.25 * random(),
    blur: random() < 0.5 ? 1 : 0,
    grain: 1 + 3 * random(),
  };
}

/** A fault in an ellipse with a soft rim, or in a connected patch of nearly one colour. */
function plantedFault(model: Picture, random: Chance, taken: Float32Array | null): PlantedFault {
  const sign = random() < 0.5 ? -1 : 1;
  const kind = random();
  const fault: Fault =
    kind < 0.6
      ? { value: sign * (0.8 + 0.8 * random()), chroma: 0, hue: 0 }
      : kind < 0.8
        ? { value: 0, chroma: 0.05 + 0.04 * random(), hue: 0 }
        : { value: sign * 0.7, chroma: 0.03, hue: sign * 20 };
  for (;;) {
    const mask: Float32Array | null =
      random() < 0.5 ? ellipse(model, random) : patch(model, random);
    if (!mask) continue;
    let share = 0;
    let isFree = true;
    mask.forEach((part, p) => {
      share += part / mask.length;
      // Two that touch and are off alike would be one.
      if (part > 0 && taken && isNear(taken, p, model.width)) isFree = false;
    });
    if (!isFree || share > 0.25 || massAtSquint(mask, model) < MIN_MASS_SHARE) continue;
    const value = meanValue(model, mask);
    if (value + fault.value > 8.8 || value + fault.value < 1.2) fault.value *= -1;
    return { ...fault, mask };
  }
}

/** A fault is planted in a mass: at the squint it takes up so much of the picture, at least, in one piece. */
const MIN_MASS_SHARE = 0.015;

/** How much of the picture the largest piece of a mask has at the squint, where most of what is blurred together is of it. */
function massAtSquint(data: Float32Array, { width, height }: Picture): number {
  const mask = new Uint8Array(data.length).fill(1);
  const radius = DEFAULT_SQUINT * Math.hypot(width, height);
  const squinted = smoothed({ width, height, data, mask }, radius);
  const inside = Int32Array.from(squinted, (part) => (part > 0.5 ? 1 : 0));
  const { labels, size } = connectedComponents(inside, width, height, 0);
  return (
    labels.reduce((most, label) => Math.max(most, label < 0 ? 0 : size[label]), 0) / data.length
  );
}

const APART = 8;

const isNear = (mask: Float32Array, p: number, width: number): boolean =>
  [0, -APART, APART].some((y) => [0, -APART, APART].some((x) => mask[p + y * width + x] > 0));

/** Mean Munsell value where a mask is, or everywhere. */
function meanValue({ data }: Picture, mask: Float32Array | null): number {
  let [sum, all] = [0, 0];
  for (let p = 0; p < data.length / 4; p++) {
    const weight = mask ? mask[p] : 1;
    if (weight === 0) continue;
    const [r, g, b] = [0, 1, 2].map((k) => LINEAR_OF_BYTE[data[p * 4 + k]]);
    sum += weight * quickValueOfLuminance(luminance(r, g, b));
    all += weight;
  }
  return sum / all;
}

function ellipse({ width, height }: Picture, random: Chance): Float32Array {
  const [cx, cy] = [0.15 + 0.7 * random(), 0.15 + 0.7 * random()];
  const [rx, ry] = [0.08 + 0.12 * random(), 0.08 + 0.12 * random()];
  return Float32Array.from({ length: width * height }, (_, p) => {
    const x = (p % width) / width;
    const y = Math.floor(p / width) / height;
    return Math.min(1, Math.max(0, (1.05 - Math.hypot((x - cx) / rx, (y - cy) / ry)) / 0.1));
  });
}

function patch({ width, height, data }: Picture, random: Chance): Float32Array | null {
  const cells = Int32Array.from(
    { length: width * height },
    (_, p) => (data[p * 4] >> 5) * 64 + (data[p * 4 + 1] >> 5) * 8 + (data[p * 4 + 2] >> 5),
  );
  const { labels, size } = connectedComponents(cells, width, height, -1);
  const large = size.flatMap((n, i) =>
    n > 0.02 * cells.length && n < 0.25 * cells.length ? [i] : [],
  );
  if (large.length === 0) return null;
  const one = large[Math.floor(random() * large.length)];
  return Float32Array.from(labels, (label) => (label === one ? 1 : 0));
}

/** The study as somebody paints it: strokes from broad to fine that stray a little. */
export function repainted(
  { width, height, light }: Light,
  seed: number,
  layers: readonly Layer[] = BROAD_TO_FINE,
): Light {
  const bytes = new Uint8Array(width * height * 3);
  for (let i = 0; i < bytes.length; i++) bytes[i] = byteOfLinear(light[i]);
  const plate = paint(plateFromBytes(width, height, bytes, 3), {
    seed,
    ground: [0.6, 0.01, 0.02],
    layers: layers.map((layer) => ({ ...layer, radius: layer.radius * 1.4 })),
    handling: { strayL: 0.012, strayAb: 0.006, dry: 0.3, body: 0.4 },
    flow: wandering(35, 25, 3, seed),
    relief: 0.3,
    tooth: 0.4,
  });
  return {
    width,
    height,
    light: Float32Array.from(bytesOfPlate(plate), (byte) => LINEAR_OF_BYTE[byte]),
  };
}

/** Whether a place of the model (fractions) lies in a planted fault, or within a cell or two of it. */
export function liesIn(
  fault: PlantedFault,
  { width, height }: Picture,
  x: number,
  y: number,
): boolean {
  const reach = Math.ceil(0.012 * Math.max(width, height));
  const [px, py] = [Math.floor(x * width), Math.floor(y * height)];
  for (let j = Math.max(0, py - reach); j <= Math.min(height - 1, py + reach); j++)
    for (let i = Math.max(0, px - reach); i <= Math.min(width - 1, px + reach); i++)
      if (fault.mask[j * width + i] > 0.4) return true;
  return false;
}
