import type { Place } from '../picture/framing';
import { REACH, type Rim, type RimStretch } from './rim-profiles';

/** A band along an edge that is lighter or darker than what it lies in, away from the value beyond the edge. */
export interface Halo {
  tone: 'light' | 'dark';
  /** The mass that it lies in, and the one that it surrounds. */
  mass: number;
  beside: number;
  /** How much lighter or darker it is than the mass farther in: Munsell steps, above 0. */
  step: number;
  /** Along how much of the border of the two, 0–1. */
  along: number;
  /** On the border, where it is strongest. */
  place: Place;
}

/** A line along the border of two masses, lighter or darker than both. */
export interface ContourLine {
  tone: 'light' | 'dark';
  masses: [number, number];
  /** Against the nearer of the two in value: Munsell steps, above 0. */
  step: number;
  along: number;
  place: Place;
}

/** The least step of a halo, and of a line. */
const MIN_HALO = 0.4;
const MIN_LINE = 0.7;
/** What runs along less of a border is chance. */
const MIN_ALONG = 0.5;
const MIN_STRETCHES = 2;
/** Cells from the border: a line's middle lies within the first, its ground between the others. */
const LINE = 4;
const LINE_GROUND = [7, 11] as const;
/** The side of a line is steep: from the upper to the lower of these parts of its step in so many cells. A halo fades. */
const STEEP = { upper: 0.7, lower: 0.3, cells: 2 };
/** Three depths in cells at which a halo is read, for narrow and for wide ones; each is a mean over `BAND` cells. */
const HALO_DEPTHS = [
  [1, 7, 12],
  [3, 12, 19],
  [4, 16, 23],
] as const;
const BAND = 3;
/** The fall of a halo is over by the middle depth: more of it beyond is a turning form. */
const MAX_BEYOND = 0.5;
/** The edge itself has to be a plain one; in Munsell steps. */
const MIN_EDGE = 0.5;

function meanOver(profile: Float32Array, from: number, to: number): number {
  let sum = 0;
  for (let d = from; d < to; d++) sum += profile[Math.min(REACH - 1, d)];
  return sum / (to - from);
}

interface Found {
  step: number;
  length: number;
  place: Place;
}

/** Keeps what runs along enough of a rim: its mean step, and where that is largest. */
function along(rim: Rim, found: readonly Found[]) {
  const length = rim.stretches.reduce((sum, stretch) => sum + stretch.length, 0);
  const own = found.reduce((sum, stretch) => sum + stretch.length, 0);
  if (found.length < MIN_STRETCHES || own < MIN_ALONG * length) return null;
  const strongest = found.reduce((most, one) => (one.step > most.step ? one : most));
  return {
    step: found.reduce((sum, one) => sum + one.step * one.length, 0) / own,
    along: own / length,
    place: strongest.place,
  };
}

/** The lines drawn along borders, the strongest first. */
export function contourLines(rims: readonly Rim[]): ContourLine[] {
  return rims
    .flatMap((rim) =>
      (['dark', 'light'] as const).flatMap((tone): ContourLine[] => {
        const found = rim.stretches.flatMap((stretch) => {
          const step = lineStep(stretch, tone);
          return step === null ? [] : [{ ...stretch, step }];
        });
        const line = along(rim, found);
        return line ? [{ tone, masses: rim.masses, ...line }] : [];
      }),
    )
    .sort((one, other) => other.step * other.along - one.step * one.along);
}

/** By how much a line along a stretch stands out from both grounds; null where there is none. */
function lineStep({ inside }: RimStretch, tone: 'light' | 'dark'): number | null {
  const sign = tone === 'dark' ? -1 : 1;
  const grounds = inside.map((profile) => sign * meanOver(profile, ...LINE_GROUND));
  const peaks = inside.map((profile) =>
    Math.max(...profile.subarray(0, LINE).map((v) => sign * v)),
  );
  const peak = Math.max(...peaks);
  const step = peak - Math.max(...grounds);
  // NaN, where a mass is not as deep, is no line.
  if (!(step >= MIN_LINE)) return null;
  const isSteep = inside.every((profile, side) => {
    const left = Array.from(profile, (v) => (sign * v - grounds[side]) / (peak - grounds[side]));
    const last = left.findLastIndex((part, d) => d < LINE && part >= STEEP.upper);
    const end = left.findIndex((part, d) => d > last && part < STEEP.lower);
    return end >= 0 && end - Math.max(0, last) <= STEEP.cells;
  });
  return isSteep ? step : null;
}

/** The halos along borders, the strongest first. A line along the same stretch is no halo. */
export function halosAlong(rims: readonly Rim[]): Halo[] {
  return rims
    .flatMap((rim) =>
      ([0, 1] as const).flatMap((side): Halo[] => {
        const [mass, beside] = side === 0 ? rim.masses : [rim.masses[1], rim.masses[0]];
        const found = rim.stretches.flatMap((stretch) => {
          const halo = haloIn(stretch, side);
          return halo ? [{ ...stretch, ...halo }] : [];
        });
        return (['light', 'dark'] as const).flatMap((tone) => {
          const halo = along(
            rim,
            found.filter((one) => one.tone === tone),
          );
          return halo ? [{ tone, mass, beside, ...halo }] : [];
        });
      }),
    )
    .sort((one, other) => other.step * other.along - one.step * one.along);
}

/** How much lighter the one side is than the other, where either has come to rest. */
function edgeStep([one, other]: RimStretch['inside']): number {
  const [near] = HALO_DEPTHS[0];
  return meanOver(one, near, near + BAND) - meanOver(other, near, near + BAND);
}

function haloIn(stretch: RimStretch, side: 0 | 1): Pick<Halo, 'tone' | 'step'> | null {
  const { inside } = stretch;
  const edge = edgeStep(inside) * (side === 0 ? 1 : -1);
  if (!(Math.abs(edge) >= MIN_EDGE)) return null;
  if (lineStep(stretch, 'dark') !== null || lineStep(stretch, 'light') !== null) return null;
  // Away from the value beyond the edge: a blurred edge goes toward it.
  const sign = edge > 0 ? 1 : -1;
  for (const depths of HALO_DEPTHS) {
    const [near, middle, far] = depths.map((d) => sign * meanOver(inside[side], d, d + BAND));
    const step = near - middle;
    if (step >= MIN_HALO && Math.abs(middle - far) <= MAX_BEYOND * step)
      return { tone: sign > 0 ? 'light' : 'dark', step };
  }
  return null;
}
