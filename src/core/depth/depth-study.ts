import { MASS_CELLS, type Mass, type Masses } from '../measure/masses';
import type { MeasureSources } from '../measure/sources';
import { colourGrid } from '../picture/colour-grid';
import {
  DISTANCES,
  FACINGS,
  withMarks,
  type DepthMark,
  type Distance,
  type Facing,
  type MassDepth,
} from './depth-marks';
import { firstGuess } from './first-guess';
import { planeReading, type PlaneReading } from './plane-reading';
import { recessionOf, type Recession } from './recession';

export interface DepthStudy {
  masses: (Mass & MassDepth)[];
  /** What has no mass is null. The sky is left out of the distances while other things are far. */
  distances: Record<Distance, PlaneReading | null>;
  facings: Record<Facing, PlaneReading | null>;
  /** How the farthest differs from the nearest; null while all lies at one distance. */
  recession: Recession | null;
}

/**
 * How the depth of a picture is told: its masses (through a squint, a share of the diagonal) by distance and
 * by which way they face, as a hand marked them and else as guessed, and whether what lies far steps back.
 */
export function readDepth(
  sources: MeasureSources,
  squint: number,
  marks: readonly DepthMark[],
): DepthStudy {
  const { masses } = sources.masses(squint);
  const grid = colourGrid(sources.picture, sources.blocks(), MASS_CELLS);
  const depths = massDepths(masses, marks);
  const all = masses.masses.map((_, i) => i);
  const farLand = all.filter((i) => depths[i].distance === 'far' && depths[i].facing !== 'sky');
  const atDistance = (distance: Distance) =>
    distance === 'far' && farLand.length > 0
      ? farLand
      : all.filter((i) => depths[i].distance === distance);
  const distances = Object.fromEntries(
    DISTANCES.map((distance) => [distance, planeReading(masses, grid, atDistance(distance))]),
  ) as DepthStudy['distances'];
  const facings = Object.fromEntries(
    FACINGS.map((facing) => [
      facing,
      planeReading(
        masses,
        grid,
        all.filter((i) => depths[i].facing === facing),
      ),
    ]),
  ) as DepthStudy['facings'];
  return {
    masses: masses.masses.map((mass, i) => ({ ...mass, ...depths[i] })),
    distances,
    facings,
    recession: recessionOf(distances),
  };
}

/** The masses as a hand marked them, and else as guessed. */
export function massDepths(masses: Masses, marks: readonly DepthMark[]): MassDepth[] {
  return withMarks(masses, firstGuess(masses), marks);
}
