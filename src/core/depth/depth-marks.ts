import type { Masses } from '../measure/masses';
import type { ColourGrid } from '../picture/colour-grid';
import type { Place } from '../picture/framing';

/** How far away a mass lies, and which way it faces. */
export const DISTANCES = ['near', 'middle', 'far'] as const;
export type Distance = (typeof DISTANCES)[number];
export const FACINGS = ['ground', 'upright', 'sky'] as const;
export type Facing = (typeof FACINGS)[number];

export const DEPTH_WORDS = [...DISTANCES, ...FACINGS] as const;
export type DepthWord = (typeof DEPTH_WORDS)[number];

/** What a hand says of the mass at a place. */
export interface DepthMark extends Place {
  is: DepthWord;
}

export interface MassDepth {
  distance: Distance;
  facing: Facing;
  /** Which of the two a hand said; the rest is a guess. */
  byHand: { distance: boolean; facing: boolean };
}

export const isDistance = (word: DepthWord): word is Distance =>
  (DISTANCES as readonly string[]).includes(word);

/** The cell at a place in fractions of the picture; null beyond it. */
function cellAt({ width, height, across, down }: ColourGrid, { x, y }: Place): number | null {
  if (x < 0 || y < 0 || x > 1 || y > 1) return null;
  const column = Math.min(width - 1, Math.floor(x * across));
  return Math.min(height - 1, Math.floor(y * down)) * width + column;
}

/** The mass at a place in fractions of the picture; null where nothing is. */
export function massAt({ grid, labels }: Masses, place: Place): number | null {
  const cell = cellAt(grid, place);
  return cell === null || labels[cell] < 0 ? null : labels[cell];
}

/** Lays what a hand said over a guess; the later marks over the earlier. */
export function withMarks(
  masses: Masses,
  guess: readonly MassDepth[],
  marks: readonly DepthMark[],
): MassDepth[] {
  const depths = guess.map((depth) => ({ ...depth, byHand: { ...depth.byHand } }));
  for (const mark of marks) {
    const index = massAt(masses, mark);
    if (index === null) continue;
    const depth = depths[index];
    if (isDistance(mark.is)) {
      depth.distance = mark.is;
      depth.byHand.distance = true;
    } else {
      depth.facing = mark.is;
      depth.byHand.facing = true;
      // What a hand calls sky lies behind all else until it says otherwise.
      if (mark.is === 'sky' && !depth.byHand.distance) depth.distance = 'far';
    }
  }
  return depths;
}
