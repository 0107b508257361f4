import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { oklabFromLinear, type Oklab } from '../colour/oklab';
import { byteOfLinear, LINEAR_OF_BYTE, type Rgb } from '../colour/srgb';
import type { Picture } from '../picture/picture';
import { linearOf } from './observer';
import { smoothReflectance } from './smooth-reflectance';
import { spectrumOf, type Spectrum } from './spectrum';

export const MIN_INKS = 2;
export const MAX_INKS = 5;

/** Spot inks on a paper: what each looks like where it is printed solid, in the order they are printed. */
export interface Inks {
  paper: Oklab;
  inks: readonly Oklab[];
}

/** A surface on which each ink is printed or not. */
export interface Overprint {
  /** The inks that lie on it, by their places. */
  inks: number[];
  colour: Oklab;
}

/** What an ink lets through at least: none is blacker than this at any wavelength. */
const MIN_TRANSMITTANCE = 0.002;

/** How much of the paper's light each ink lets through twice, down and up again, at every wavelength. */
function throughOf({ paper, inks }: Inks): { paper: Spectrum; through: Spectrum[] } {
  const white = smoothReflectance(paper);
  return {
    paper: white,
    through: inks.map((ink) => {
      const solid = smoothReflectance(ink);
      return spectrumOf((_, band) =>
        Math.min(
          1,
          Math.max(MIN_TRANSMITTANCE, solid[band] / Math.max(white[band], MIN_TRANSMITTANCE)),
        ),
      );
    }),
  };
}

/** Linear sRGB of every overprint, the one with the inks of the bits of `i` at place `i`. */
function primariesOf(set: Inks): Rgb[] {
  if (set.inks.length < MIN_INKS || set.inks.length > MAX_INKS)
    throw new RangeError(`${MIN_INKS} to ${MAX_INKS} inks can be printed together`);
  const { paper, through } = throughOf(set);
  return Array.from({ length: 1 << set.inks.length }, (_, bits) =>
    linearOf(
      spectrumOf((_wavelength, band) =>
        through.reduce(
          (light, ink, i) => (bits & (1 << i) ? light * ink[band] : light),
          paper[band],
        ),
      ),
    ),
  );
}

/**
 * Every overprint of some inks, the paper first: inks are clear films, so that what two let through is the product of
 * what each does (Beer's law, the limit of Kubelka's film without scattering). Inks that hide are beyond this. Throws a
 * RangeError for too few or too many inks.
 */
export function overprints(set: Inks): Overprint[] {
  return primariesOf(set).map((light, bits) => ({
    inks: set.inks.flatMap((_, i) => (bits & (1 << i) ? [i] : [])),
    colour: oklabFromLinear(light),
  }));
}

/**
 * What the eye makes of inks that each cover a share (0–1) of the paper, by chance where they meet.
 * Source: H. Neugebauer, "Die theoretischen Grundlagen des Mehrfarbenbuchdrucks", 1937; E. Demichel, 1924.
 */
function screened(primaries: readonly Rgb[], cover: ArrayLike<number>, inks: number): Rgb {
  const light = { r: 0, g: 0, b: 0 };
  primaries.forEach((primary, bits) => {
    let weight = 1;
    for (let i = 0; i < inks; i++) weight *= bits & (1 << i) ? cover[i] : 1 - cover[i];
    light.r += weight * primary.r;
    light.g += weight * primary.g;
    light.b += weight * primary.b;
  });
  return light;
}

/** OKLab of inks that each cover a share (0–1) of the paper. */
export function printed(set: Inks, cover: readonly number[]): Oklab {
  return oklabFromLinear(screened(primariesOf(set), cover, set.inks.length));
}

/** Shares of cover are sought in steps that halve, from this one. */
const FIRST_STEP = 0.25;
const LAST_STEP = 1 / 255;
const STARTS = 3;

export interface Separation {
  /** The share (0–1) that each ink covers. */
  cover: number[];
  colour: Oklab;
  /** CIEDE2000 from the target. */
  deltaE: number;
}

/** The cover of each ink that comes nearest a colour: by steps along one ink at a time, which halve as none helps. */
export function separated(set: Inks, target: Oklab): Separation {
  return separationBy(primariesOf(set), set.inks.length, target);
}

function separationBy(primaries: readonly Rgb[], inks: number, target: Oklab): Separation {
  const wanted = labFromOklab(target);
  const missOf = (cover: readonly number[]) =>
    ciede2000(labFromOklab(oklabFromLinear(screened(primaries, cover, inks))), wanted);
  let best: number[] = [];
  let miss = Infinity;
  // From the nearest of the overprints: a descent from one place alone can end beside a better valley.
  const starts = primaries
    .map((_, bits) => Array.from({ length: inks }, (_one, i) => (bits & (1 << i) ? 0.75 : 0.25)))
    .map((start) => ({ start, near: missOf(start) }))
    .sort((one, other) => one.near - other.near);
  for (const { start } of starts.slice(0, STARTS)) {
    const [cover, own] = descended(start, missOf);
    if (own < miss) [best, miss] = [cover, own];
  }
  return {
    cover: best,
    colour: oklabFromLinear(screened(primaries, best, inks)),
    deltaE: miss,
  };
}

function descended(
  start: readonly number[],
  missOf: (cover: readonly number[]) => number,
): [cover: number[], miss: number] {
  let cover = [...start];
  let miss = missOf(cover);
  for (let step = FIRST_STEP; step >= LAST_STEP / 2;) {
    const before = miss;
    for (let i = 0; i < cover.length; i++)
      for (const by of [-step, step]) {
        const next = cover.with(i, Math.min(1, Math.max(0, cover[i] + by)));
        const own = missOf(next);
        if (own < miss - 1e-9) [cover, miss] = [next, own];
      }
    if (miss === before) step /= 2;
  }
  return [cover, miss];
}

/** Steps of each channel among which a picture's colours are separated; what lies between is interpolated. */
const GRID = 9;

export interface Plates {
  width: number;
  height: number;
  /** A byte a pixel for each ink: 0 no ink, 255 solid. */
  plates: Uint8Array[];
  /** What the plates come to on the paper. */
  proof: Picture;
}

/** A picture as one plate an ink, and the proof of these: what they come to when they are printed on the paper. */
export function platesOf(set: Inks, { width, height, data }: Picture): Plates {
  const primaries = primariesOf(set);
  const inks = set.inks.length;
  const grid = gridOf(primaries, inks);
  const plates = set.inks.map(() => new Uint8Array(width * height));
  const proof = new Uint8ClampedArray(width * height * 4);
  const cover = new Float64Array(inks);
  for (let pixel = 0; pixel < width * height; pixel++) {
    interpolate(grid, inks, data[pixel * 4], data[pixel * 4 + 1], data[pixel * 4 + 2], cover);
    for (let i = 0; i < inks; i++) {
      plates[i][pixel] = Math.round(cover[i] * 255);
      cover[i] = plates[i][pixel] / 255;
    }
    const { r, g, b } = screened(primaries, cover, inks);
    proof[pixel * 4] = byteOfLinear(r);
    proof[pixel * 4 + 1] = byteOfLinear(g);
    proof[pixel * 4 + 2] = byteOfLinear(b);
    proof[pixel * 4 + 3] = data[pixel * 4 + 3];
  }
  return { width, height, plates, proof: { width, height, data: proof } };
}

/** The proof of plates: what they come to on the paper; opaque. */
export function proofOf(
  set: Inks,
  width: number,
  height: number,
  plates: readonly Uint8Array[],
): Picture {
  const primaries = primariesOf(set);
  const data = new Uint8ClampedArray(width * height * 4);
  for (let pixel = 0; pixel < width * height; pixel++) {
    const { r, g, b } = screened(
      primaries,
      plates.map((plate) => plate[pixel] / 255),
      plates.length,
    );
    data[pixel * 4] = byteOfLinear(r);
    data[pixel * 4 + 1] = byteOfLinear(g);
    data[pixel * 4 + 2] = byteOfLinear(b);
    data[pixel * 4 + 3] = 255;
  }
  return { width, height, data };
}

/** The cover of each ink at every step of red, green and blue. */
function gridOf(primaries: readonly Rgb[], inks: number): Float64Array {
  const grid = new Float64Array(GRID ** 3 * inks);
  const light = (step: number) => LINEAR_OF_BYTE[Math.round((step * 255) / (GRID - 1))];
  for (let r = 0; r < GRID; r++)
    for (let g = 0; g < GRID; g++)
      for (let b = 0; b < GRID; b++) {
        const target = oklabFromLinear({ r: light(r), g: light(g), b: light(b) });
        grid.set(separationBy(primaries, inks, target).cover, ((r * GRID + g) * GRID + b) * inks);
      }
  return grid;
}

/** Writes the cover of each ink between the eight steps around a colour. */
function interpolate(
  grid: Float64Array,
  inks: number,
  red: number,
  green: number,
  blue: number,
  out: Float64Array,
): void {
  const at = [red, green, blue].map((byte) => (byte * (GRID - 1)) / 255);
  const low = at.map((place) => Math.min(GRID - 2, Math.floor(place)));
  const part = at.map((place, i) => place - low[i]);
  out.fill(0);
  for (let corner = 0; corner < 8; corner++) {
    const up = [corner & 1, (corner >> 1) & 1, (corner >> 2) & 1];
    const weight = up.reduce((all, one, i) => all * (one ? part[i] : 1 - part[i]), 1);
    if (weight === 0) continue;
    const cell = ((low[0] + up[0]) * GRID + low[1] + up[1]) * GRID + low[2] + up[2];
    for (let i = 0; i < inks; i++) out[i] += weight * grid[cell * inks + i];
  }
}

/** How near inks come to some colours: which are lost, by their places, nearest last. */
export function lostTo(set: Inks, colours: readonly Oklab[], within: number): number[] {
  const primaries = primariesOf(set);
  return colours
    .map((colour, i) => ({ i, miss: separationBy(primaries, set.inks.length, colour).deltaE }))
    .filter(({ miss }) => miss > within)
    .sort((one, other) => other.miss - one.miss)
    .map(({ i }) => i);
}
