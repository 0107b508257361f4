import type { Oklab } from '../colour/oklab';
import { linearOf } from './observer';
import { oklabFromLinear } from '../colour/oklab';
import { luminance } from '../colour/srgb';
import { belowSurface, throughSurface } from './kubelka-munk';
import { filmTerms } from './film-terms';
import type { Optics } from './pigment';
import { BAND_COUNT, spectrumOf, type Spectrum } from './spectrum';

/** A coloured pencil: its pigment as physics. */
export interface Pencil {
  id: string;
  optics: Optics;
}

export const PRESSURES = ['light', 'middle', 'full'] as const;
export type Pressure = (typeof PRESSURES)[number];
export const MAX_LAYERS = 7;

/** One pencil over the whole patch at one pressure. */
export interface PencilLayer {
  pencil: Pencil;
  pressure: Pressure;
}

/** Of the tooth that is still open, the share that a layer of a pressure closes, and how thick it lies in full coats. */
const CLOSES: Readonly<Record<Pressure, number>> = { light: 0.18, middle: 0.4, full: 0.92 };
const COAT: Readonly<Record<Pressure, number>> = { light: 0.1, middle: 0.16, full: 0.3 };
/** Of the surface that has tooth, the share that a layer of a pressure touches. */
const TOUCHES: Readonly<Record<Pressure, number>> = { light: 0.45, middle: 0.7, full: 0.97 };
/** A tooth that is this full takes hardly anything more: wax slides over it. */
export const WAX_FULL = 0.9;
/** Where less of the tooth is open than this, a pencil begins to slide over what lies there. */
const SLIDES = 0.4;
/** Reflectance of drawing paper, as the eye gets it. */
const PAPER = 0.88;
/** A full stroke on bare paper: how thick it lies, the share of the paper it touches, and the paper's reflectance. */
export const FULL_STROKE = { coat: COAT.full, touches: TOUCHES.full, paper: PAPER };
/** Parts of the surface that differ are kept apart up to so many; beyond that the rarest are joined. */
const MAX_PATCHES = 8;

/** A part of the surface that looks the same; its reflectance below the surface, since wax lies in wax without air between. */
interface Patch {
  share: number;
  reflectance: Spectrum;
}

/** What lies on the paper. */
export interface PencilSurface {
  patches: readonly Patch[];
  /** How full the tooth is, 0–1. */
  filled: number;
}

export const barePaper = (): PencilSurface => ({
  patches: [{ share: 1, reflectance: spectrumOf(() => belowSurface(PAPER)) }],
  filled: 0,
});

/**
 * A surface with one layer more. A layer fills part of what is open of the tooth, touches part of the surface, and lies
 * the thinner the fuller the tooth is: a film over what was there, by Kubelka's general solution. What it does not touch
 * stays as it was.
 */
export function withLayer(
  { patches, filled }: PencilSurface,
  { pencil, pressure }: PencilLayer,
): PencilSurface {
  const open = 1 - filled;
  const touched = TOUCHES[pressure] * Math.min(1, open / SLIDES);
  const coat = COAT[pressure] * open;
  const next = patches.flatMap(({ share, reflectance }) => [
    { share: share * touched, reflectance: filmWithin(pencil.optics, coat, reflectance) },
    { share: share * (1 - touched), reflectance },
  ]);
  return { patches: joined(next), filled: filled + open * CLOSES[pressure] };
}

/**
 * White laid at full pressure at the end: it melts the layers into one another and fills what paper shows, so that the
 * surface evens and, as far as there is tooth for it, lightens.
 */
export function burnished(surface: PencilSurface, white: Pencil): PencilSurface {
  const open = 1 - surface.filled;
  const mean = meanOf(surface.patches);
  return {
    patches: [{ share: 1, reflectance: filmWithin(white.optics, COAT.full * open, mean) }],
    filled: 1,
  };
}

/** Layers on bare paper, in the order they are laid. */
export function layered(layers: readonly PencilLayer[]): PencilSurface {
  return layers.reduce(withLayer, barePaper());
}

/** OKLab of a surface at arm's length, where its grain is not seen: light adds up. */
export function surfaceColour({ patches }: PencilSurface): Oklab {
  return oklabFromLinear(linearOf(meanToEye(patches)));
}

/** A film over a reflectance, both below the surface. */
function filmWithin(optics: Optics, coat: number, ground: Spectrum): Spectrum {
  const { a, slope } = filmTerms(optics, coat);
  const film = new Float64Array(BAND_COUNT);
  for (let band = 0; band < BAND_COUNT; band++)
    film[band] =
      (1 - ground[band] * (a[band] - slope[band])) / (a[band] - ground[band] + slope[band]);
  return film;
}

/** The mean of what the eye gets of each part. */
function meanToEye(patches: readonly Patch[]): Spectrum {
  const mean = new Float64Array(BAND_COUNT);
  for (const { share, reflectance } of patches)
    for (let band = 0; band < BAND_COUNT; band++)
      mean[band] += share * throughSurface(reflectance[band]);
  return mean;
}

/** How uneven a surface is: the standard deviation of luminance over it, 0 for one that is even. */
export function grainOf({ patches }: PencilSurface): number {
  const light = patches.map(({ share, reflectance }) => {
    const { r, g, b } = linearOf(reflectance.map(throughSurface));
    return { share, Y: luminance(r, g, b) };
  });
  const mean = light.reduce((sum, { share, Y }) => sum + share * Y, 0);
  return Math.sqrt(light.reduce((sum, { share, Y }) => sum + share * (Y - mean) ** 2, 0));
}

function meanOf(patches: readonly Patch[]): Spectrum {
  const mean = new Float64Array(BAND_COUNT);
  for (const { share, reflectance } of patches)
    for (let band = 0; band < BAND_COUNT; band++) mean[band] += share * reflectance[band];
  return mean;
}

/** The largest patches, and the rest as one: a surface of seven layers would have 128. */
function joined(patches: readonly Patch[]): Patch[] {
  const kept = patches.filter(({ share }) => share > 1e-9);
  if (kept.length <= MAX_PATCHES) return kept;
  const sorted = kept.toSorted((one, other) => other.share - one.share);
  const rest = sorted.slice(MAX_PATCHES - 1);
  const share = rest.reduce((sum, patch) => sum + patch.share, 0);
  const reflectance = meanOf(rest).map((light) => light / share);
  return [...sorted.slice(0, MAX_PATCHES - 1), { share, reflectance }];
}
