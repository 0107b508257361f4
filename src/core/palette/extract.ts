import { ciede2000Of } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import type { Oklab } from '../colour/oklab';
import type { Place } from '../picture/framing';
import type { Picture } from '../picture/picture';
import { findAccents } from './accents';
import { colourCells, type Cells } from './cells';
import { owners, seedCentres, settle, type Centres } from './cluster';
import { homes } from './place';

export const FEWEST_SWATCHES = 2;
export const MOST_SWATCHES = 16;

export interface ExtractedSwatch {
  colour: Oklab;
  /** Share of the picture nearest to this swatch, 0–1. */
  share: number;
  /** Where most of it stands, in fractions of the picture; null where it owns no pixel. */
  home: Place | null;
}

export interface Extraction {
  /** The kept colours first, as they were given; then those found, from dark to light. */
  swatches: ExtractedSwatch[];
  /** Mean CIEDE2000 between the picture's pixels and their nearest swatches. */
  meanDifference: number;
}

/**
 * A palette of `count` colours, fewer where the picture has fewer. Deterministic. Part of the
 * swatches is kept for small accents that the averages have lost; `keep` holds colours that stay
 * as they are and count toward `count`.
 * Throws a RangeError for a count outside 2–16 or a picture with no opaque pixel.
 */
export function extractPalette(
  picture: Picture,
  count: number,
  keep: readonly Oklab[] = [],
): Extraction {
  if (!Number.isInteger(count) || count < FEWEST_SWATCHES || count > MOST_SWATCHES)
    throw new RangeError(
      `${count} colours; ${FEWEST_SWATCHES} to ${MOST_SWATCHES} can be extracted`,
    );
  const cells = colourCells(picture);
  const kept = keep.flatMap(({ L, a, b }) => [L, a, b]);
  const centres = withAccents(cells, Math.max(count, keep.length), kept);
  const ordered = darkToLight(centres);
  const owner = owners(cells, ordered);
  const places = homes(picture, cells, owner, ordered.length / 3);
  const shares = new Float64Array(ordered.length / 3);
  owner.forEach((swatch, k) => (shares[swatch] += cells.share[k]));
  return {
    swatches: places.map((home, i) => ({
      colour: { L: ordered[i * 3], a: ordered[i * 3 + 1], b: ordered[i * 3 + 2] },
      share: Math.min(1, shares[i]),
      home,
    })),
    meanDifference: meanDifference(cells, ordered, owner),
  };
}

/** How many of the free swatches may go to accents: none of two or three, then about a third. */
function accentSlots(free: number): number {
  return free < 4 ? 0 : Math.round(free / 3);
}

/**
 * k-means on the whole count first: an accent it finds by itself needs no help. For what it lost,
 * the averages are settled anew on fewer centres, with the accents held.
 */
function withAccents(cells: Cells, count: number, kept: readonly number[]): Centres {
  const full = settle(cells, seedCentres(cells, count, kept)).centres;
  const free = count - kept.length / 3;
  const lost = findAccents(cells, full.oklab).slice(0, accentSlots(free));
  if (lost.length === 0) return full;
  const held = [...kept, ...lost.flatMap((accent) => accent.oklab)];
  const settled = settle(cells, seedCentres(cells, count, held)).centres;
  return { oklab: settled.oklab, fixed: kept.length / 3 };
}

/** The kept centres as they stand, the rest from dark to light. */
function darkToLight({ oklab, fixed }: Centres): number[] {
  const found: number[][] = [];
  for (let at = fixed * 3; at < oklab.length; at += 3) found.push(oklab.slice(at, at + 3));
  found.sort((one, other) => one[0] - other[0] || one[1] - other[1] || one[2] - other[2]);
  return [...oklab.slice(0, fixed * 3), ...found.flat()];
}

function meanDifference(cells: Cells, oklab: readonly number[], owner: Uint8Array): number {
  const labs = Array.from({ length: oklab.length / 3 }, (_, i) =>
    labFromOklab({ L: oklab[i * 3], a: oklab[i * 3 + 1], b: oklab[i * 3 + 2] }),
  );
  let mean = 0;
  for (let k = 0; k < owner.length; k++) {
    const { L, a, b } = labs[owner[k]];
    mean +=
      cells.share[k] *
      ciede2000Of(cells.lab[k * 3], cells.lab[k * 3 + 1], cells.lab[k * 3 + 2], L, a, b);
  }
  return mean;
}
