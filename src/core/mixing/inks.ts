import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { oklabFromLinear, type Oklab } from '../colour/oklab';
import type { Rgb } from '../colour/srgb';
import { linearOf } from './observer';
import { smoothReflectance } from './smooth-reflectance';
import { spectrumOf, type Spectrum } from './spectrum';

export const MIN_INKS = 2;
export const MAX_INKS = 5;

/** Spot inks on a paper: what each looks like where it is printed solid, in the order they are printed. */
export interface Inks {
  paper: Oklab;
  inks: readonly Oklab[];
  /** How many times as thick each lies as where its colour was taken; 1 where it is left out. */
  strengths?: readonly number[];
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
function throughOf({ paper, inks, strengths }: Inks): { paper: Spectrum; through: Spectrum[] } {
  const white = smoothReflectance(paper);
  return {
    paper: white,
    through: inks.map((ink, i) => {
      const solid = smoothReflectance(ink);
      return spectrumOf(
        (_, band) =>
          Math.min(
            1,
            Math.max(MIN_TRANSMITTANCE, solid[band] / Math.max(white[band], MIN_TRANSMITTANCE)),
          ) ** (strengths?.[i] ?? 1),
      );
    }),
  };
}

/** Linear sRGB of every overprint, the one with the inks of the bits of `i` at place `i`. */
export function primariesOf(set: Inks): Rgb[] {
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
export function screened(primaries: readonly Rgb[], cover: ArrayLike<number>, inks: number): Rgb {
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

export function separationBy(primaries: readonly Rgb[], inks: number, target: Oklab): Separation {
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

/** How near inks come to some colours: which are lost, by their places, nearest last. */
export function lostTo(set: Inks, colours: readonly Oklab[], within: number): number[] {
  const primaries = primariesOf(set);
  return colours
    .map((colour, i) => ({ i, miss: separationBy(primaries, set.inks.length, colour).deltaE }))
    .filter(({ miss }) => miss > within)
    .sort((one, other) => other.miss - one.miss)
    .map(({ i }) => i);
}
