import type { Picture } from '../picture/picture';
import {
  composed,
  inverted,
  mapped,
  quadOf,
  rescaled,
  squareToQuad,
  type Homography,
  type Quad,
} from '../raster/homography';
import { aligned, alignmentScore } from './align';
import { partsError } from './parts-error';
import { likelyPlacements } from './placements';
import {
  halvedPlane,
  localContrast,
  luminancePlane,
  valueGrid,
  type Grid,
  type LuminancePlane,
} from './value-grid';

/** A study laid on its model. */
export interface Registration {
  /** From fractions of the model to fractions of the photograph. */
  toPhoto: Homography;
  /** The model's corners in fractions of the photograph, clockwise from the upper left. */
  corners: Quad;
  /** How far places are off what they show, in fractions of the model's diagonal: the median over its parts. */
  error: number;
  /** 0–1; under `MIN_CONFIDENCE` it was not found. */
  confidence: number;
}

/** Under this a study is taken not to show its model, or not where it is looked for. */
export const MIN_CONFIDENCE = 0.4;

/** Cells along the longer side in the first search, of the photograph and of the model. */
const SEARCH_CELLS = 48;
const SEARCH_REACH = 4;
/** So many pixels along a picture's longer side are enough for each of a level's cells. */
const PIXELS_A_CELL = 5;
/** How many placements are followed up at each level. */
const FOLLOWED = [40, 8, 3, 1] as const;
/** On fine levels only placements are followed up whose correlation comes this near the best. */
const MAX_BEHIND = 0.25;
/** Placements whose corners are all nearer than this, in fractions of the photograph, have come to one. */
const ONE_PLACE = 0.01;
/** The model's cells along its longer side, from coarse to fine. */
const LEVELS = [40, 80, 160, 320] as const;
/** From this level on only the study itself counts. */
const FINE_LEVEL = 160;
/** Half the side of a place's surroundings, in cells, at each level. */
const REACH = 4;
/** The level whose correlation says how far to trust, and between which correlations it is none and full. */
const TRUST_LEVEL = 1;
const NO_MATCH = 0.15;
const FULL_MATCH = 0.75;
/** Corners that were set by hand are off by no more than this share of the diagonal. */
const MAX_CORRECTION = 0.12;

/**
 * Finds where a photograph shows a study of a model: a homography, refined on the edges of value. `corners` are those that
 * somebody set, in fractions of the photograph; without them every size and place is searched for an upright study.
 * Null where there is nothing to go by.
 */
export function register(model: Picture, photo: Picture, corners?: Quad): Registration | null {
  const [models, photos] = [planesOf(model), planesOf(photo)];
  const levels = LEVELS.map((side) => levelOf(sizeFor(models, side), sizeFor(photos, side), side));
  const given = corners ? squareToQuad(corners) : null;
  if (corners && !given) return null;
  const starts = searched(sizeFor(models, SEARCH_CELLS), sizeFor(photos, SEARCH_CELLS)).filter(
    (start) => !corners || !strays(start, corners, photo),
  );
  let found = [...(given ? [given] : []), ...starts].map((toPhoto) => ({ toPhoto, score: 0 }));
  levels.forEach((level, i) => {
    const best = found[0]?.score ?? 0;
    found = (i === 0 ? found : distinct(found))
      .slice(0, FOLLOWED[i])
      // What holds so much worse than another on a coarse level doesn't come before it on a fine one.
      .filter(({ score }) => LEVELS[i] < FINE_LEVEL || score > best - MAX_BEHIND)
      .map(({ toPhoto }) => level.refined(toPhoto))
      .sort((one, other) => other.score - one.score);
  });
  if (found.length === 0) return null;
  let { toPhoto } = found[0];
  const finest = levels[levels.length - 1];
  // What was set by hand is kept where the refined place strays far or holds worse.
  if (
    corners &&
    given &&
    (strays(toPhoto, corners, photo) || finest.score(given) > finest.score(toPhoto))
  )
    toPhoto = given;
  const trust = (levels[TRUST_LEVEL].score(toPhoto) - NO_MATCH) / (FULL_MATCH - NO_MATCH);
  return {
    toPhoto,
    corners: quadOf(toPhoto),
    error: finest.error(toPhoto),
    confidence: Math.min(1, Math.max(0, trust)),
  };
}

/** A picture at its own size, at half of it and so on: levels read it in many grids, each from no more than it needs. */
function planesOf(picture: Picture): LuminancePlane[] {
  const sizes = [luminancePlane(picture)];
  for (let [last] = sizes; Math.max(last.width, last.height) > LEVELS[0] * PIXELS_A_CELL;) {
    last = halvedPlane(last);
    sizes.push(last);
  }
  return sizes;
}

/** The smallest of a picture's sizes that is enough for so many cells, else the largest. */
const sizeFor = (sizes: readonly LuminancePlane[], side: number): LuminancePlane =>
  sizes.findLast(({ width, height }) => Math.max(width, height) >= side * PIXELS_A_CELL) ??
  sizes[0];

/** Without those that came to where a better one lies; the best first. */
function distinct<P extends { toPhoto: Homography }>(found: readonly P[]): P[] {
  const kept: { placement: P; corners: Quad }[] = [];
  for (const placement of found) {
    const corners = quadOf(placement.toPhoto);
    const isNew = kept.every((other) =>
      corners.some(
        ([x, y], i) => Math.hypot(x - other.corners[i][0], y - other.corners[i][1]) > ONE_PLACE,
      ),
    );
    if (isNew) kept.push({ placement, corners });
  }
  return kept.map(({ placement }) => placement);
}

function strays(toPhoto: Homography, corners: Quad, { width, height }: Picture): boolean {
  const limit = MAX_CORRECTION * Math.hypot(width, height);
  return quadOf(toPhoto).some(
    ([x, y], i) => Math.hypot((x - corners[i][0]) * width, (y - corners[i][1]) * height) > limit,
  );
}

/** Homographies to begin at, in fractions of both pictures. */
function searched(model: LuminancePlane, photo: LuminancePlane): Homography[] {
  const own = contrastOf(model, SEARCH_CELLS, SEARCH_REACH);
  const target = contrastOf(photo, SEARCH_CELLS, SEARCH_REACH);
  return likelyPlacements(own, target, FOLLOWED[0]).map(({ toPhoto }) =>
    inFractions(toPhoto, own, target),
  );
}

const contrastOf = (plane: LuminancePlane, side: number, reach: number): Grid =>
  localContrast(valueGrid(plane, side), reach);

/** A map between cells, whose middles are whole numbers, as one between fractions; and back. */
const inFractions = (map: Homography, from: Grid, to: Grid): Homography =>
  rescaled(
    composed([1, 0, 0.5, 0, 1, 0.5, 0, 0, 1], composed(map, [1, 0, -0.5, 0, 1, -0.5, 0, 0, 1])),
    [from.width, from.height],
    [1 / to.width, 1 / to.height],
  );
const inCells = (map: Homography, from: Grid, to: Grid): Homography =>
  composed(
    [1, 0, -0.5, 0, 1, -0.5, 0, 0, 1],
    composed(
      rescaled(map, [1 / from.width, 1 / from.height], [to.width, to.height]),
      [1, 0, 0.5, 0, 1, 0.5, 0, 0, 1],
    ),
  );

interface Level {
  refined: (toPhoto: Homography) => { toPhoto: Homography; score: number };
  score: (toPhoto: Homography) => number;
  error: (toPhoto: Homography) => number;
}

function levelOf(model: LuminancePlane, photo: LuminancePlane, side: number): Level {
  const own = contrastOf(model, side, REACH);
  const isFine = side >= FINE_LEVEL;
  const photos = new Map<number, { values: Grid; contrast: Grid }>();
  /** The photograph in cells as large on the study as the model's own. */
  const photoFor = (toPhoto: Homography) => {
    const quad = quadOf(toPhoto).map(([x, y]) => [x * photo.width, y * photo.height]);
    const area = Math.abs(
      quad.reduce((sum, [x, y], i) => {
        const [nx, ny] = quad[(i + 1) % 4];
        return sum + x * ny - nx * y;
      }, 0) / 2,
    );
    const scale =
      Math.sqrt(area / (model.width * model.height)) * Math.max(model.width, model.height);
    const cells = (Math.max(photo.width, photo.height) / Math.max(1, scale)) * side;
    // In steps of some per cent, so that candidates of one size share a grid.
    const step = Math.min(
      8 * side,
      Math.round(1.06 ** Math.round(Math.log(cells) / Math.log(1.06))),
    );
    const known = photos.get(step);
    if (known) return known;
    const values = valueGrid(photo, step);
    const made = { values, contrast: localContrast(values, REACH) };
    photos.set(step, made);
    return made;
  };
  return {
    refined: (toPhoto) => {
      const { values, contrast } = photoFor(toPhoto);
      const start = inCells(toPhoto, own, contrast);
      // At the finest level it already lies by what is within the study.
      const found = side > FINE_LEVEL ? null : aligned(own, contrast, start);
      if (found && !isFine)
        return { toPhoto: inFractions(found.toPhoto, own, contrast), score: found.score };
      // Once more without what lies around the study, which the model knows nothing of.
      const first = found?.toPhoto ?? start;
      const alone = localContrast(within(values, own, first), REACH);
      const again = aligned(own, alone, first);
      return { toPhoto: inFractions(again.toPhoto, own, alone), score: again.score };
    },
    score: (toPhoto) => {
      const target = photoFor(toPhoto).contrast;
      return alignmentScore(own, target, inCells(toPhoto, own, target));
    },
    error: (toPhoto) => {
      const target = photoFor(toPhoto).contrast;
      return partsError(own, target, inCells(toPhoto, own, target));
    },
  };
}

/** The part of a photograph's cells that shows the model. */
function within(values: Grid, own: Grid, toPhoto: Homography): Grid {
  const back = inverted(toPhoto);
  const mask = values.mask.map((there, c) => {
    const [x, y] = mapped(back, c % values.width, Math.floor(c / values.width));
    const isInside = x > -0.5 && y > -0.5 && x < own.width - 0.5 && y < own.height - 0.5;
    return there && isInside ? 1 : 0;
  });
  return { ...values, mask };
}
