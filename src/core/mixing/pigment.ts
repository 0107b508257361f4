import { spectrumOf, type Spectrum } from './spectrum';

export const OPACITIES = ['transparent', 'semi-transparent', 'semi-opaque', 'opaque'] as const;
export type Opacity = (typeof OPACITIES)[number];
export const STRENGTHS = ['weak', 'medium', 'strong', 'very strong'] as const;
export type TintingStrength = (typeof STRENGTHS)[number];
export type Drying = 'fast' | 'medium' | 'slow';
/** What of a pigment asks for care. */
export type Metal = 'cadmium' | 'cobalt' | 'nickel' | 'chromium' | 'manganese' | 'lead' | 'zinc';

/** A band of absorption: a Gaussian about a wavelength (nm), its standard deviation (nm) and its height. */
export type AbsorptionBand = readonly [centre: number, width: number, height: number];
/** Absorption of all that is shorter than a wavelength (nm): half of its height there, e-fold in so many nm. */
export type AbsorptionEdge = readonly [wavelength: number, steepness: number, height: number];

/**
 * A pigment as physics, per unit of paint as squeezed from a tube of usual strength. Absorption and
 * scattering are on the scale in which titanium white scatters 1 at 550 nm.
 */
export interface Pigment {
  /** Its Colour Index name without spaces; variants of one name by a suffix: `PBr7-burnt-umber`. */
  id: string;
  /** Everyday names, the most usual one before others. */
  names: readonly [string, ...string[]];
  /** What is known of its absorption, and why its curve is as it is. */
  known: string;
  /** Absorption at every wavelength. */
  level: number;
  bands?: readonly AbsorptionBand[];
  edges?: readonly AbsorptionEdge[];
  /** Scattering at 550 nm. */
  scattering: number;
  /** The power of the wavelength with which scattering falls; −0.7 where nothing is said. */
  slope?: number;
  opacity: Opacity;
  strength: TintingStrength;
  drying: Drying;
  metals?: readonly Metal[];
}

/** Absorption and scattering of a paint in each band. */
export interface Optics {
  K: Spectrum;
  S: Spectrum;
}

const DEFAULT_SLOPE = -0.7;
const REFERENCE_WAVELENGTH = 550;

/** A pigment's absorption and scattering in each band. */
export function opticsOf({
  level,
  bands = [],
  edges = [],
  scattering,
  slope = DEFAULT_SLOPE,
}: Pigment): Optics {
  return {
    K: spectrumOf(
      (wavelength) =>
        level +
        bands.reduce(
          (sum, [centre, width, height]) =>
            sum + height * Math.exp(-(((wavelength - centre) / width) ** 2) / 2),
          0,
        ) +
        edges.reduce(
          (sum, [at, steepness, height]) =>
            sum + height / (1 + Math.exp((wavelength - at) / steepness)),
          0,
        ),
    ),
    S: spectrumOf((wavelength) => scattering * (wavelength / REFERENCE_WAVELENGTH) ** slope),
  };
}
