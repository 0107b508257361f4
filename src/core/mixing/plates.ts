import { oklabDistance, oklabFromLinear } from '../colour/oklab';
import { byteOfLinear, LINEAR_OF_BYTE, type Rgb } from '../colour/srgb';
import type { Picture } from '../picture/picture';
import { primariesOf, screened, separationBy, type Inks } from './inks';

/** Plates with tones, or each pixel solid or bare. */
export const PLATE_LOOKS = ['tones', 'flat'] as const;
export type PlateLook = (typeof PLATE_LOOKS)[number];

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

/** Steps of each channel among which the nearest overprint is sought for flat plates. */
const FLAT_GRID = 32;

/**
 * A picture as plates without any tone, for a stencil or a block: each pixel gets the overprint that is nearest in
 * OKLab, so that every ink lies on it solid or not at all.
 */
export function flatPlatesOf(set: Inks, { width, height, data }: Picture): Plates {
  const primaries = primariesOf(set);
  const colours = primaries.map((light) => oklabFromLinear(light));
  const bytes = primaries.map(({ r, g, b }) => [r, g, b].map((light) => byteOfLinear(light)));
  const step = 256 / FLAT_GRID;
  const nearest = Uint8Array.from({ length: FLAT_GRID ** 3 }, (_, cell) => {
    const light = (n: number) => LINEAR_OF_BYTE[Math.floor((n + 0.5) * step)];
    const at = oklabFromLinear({
      r: light(Math.floor(cell / FLAT_GRID ** 2)),
      g: light(Math.floor(cell / FLAT_GRID) % FLAT_GRID),
      b: light(cell % FLAT_GRID),
    });
    const away = colours.map((one) => oklabDistance(one, at));
    return away.indexOf(Math.min(...away));
  });
  const plates = set.inks.map(() => new Uint8Array(width * height));
  const proof = new Uint8ClampedArray(width * height * 4);
  for (let pixel = 0, at = 0; pixel < width * height; pixel++, at += 4) {
    const [r, g, b] = [data[at], data[at + 1], data[at + 2]].map((byte) => Math.floor(byte / step));
    const bits = nearest[(r * FLAT_GRID + g) * FLAT_GRID + b];
    for (let i = 0; i < plates.length; i++) plates[i][pixel] = bits & (1 << i) ? 255 : 0;
    proof.set(bytes[bits], at);
    proof[at + 3] = data[at + 3];
  }
  return { width, height, plates, proof: { width, height, data: proof } };
}

/** How a picture becomes plates of each look. */
export const PLATES_OF: Readonly<Record<PlateLook, (set: Inks, picture: Picture) => Plates>> = {
  tones: platesOf,
  flat: flatPlatesOf,
};
