import { blocksOf } from '../picture/blocks';
import { halfSizePicture } from '../picture/half-size';
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
import { quantileOf } from '../raster/quantile';
import { aligned, alignmentScore, warpedInto } from './align';
import { likelyPlacements } from './placements';
import { lightCells, localContrast, valueGrid, type Grid } from './value-grid';

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
/** The model is parted into so many squares along each side to say how far places are off. */
const PARTS = 5;
/** Corners that were set by hand are off by no more than this share of the diagonal. */
const MAX_CORRECTION = 0.12;

/**
 * Finds where a photograph shows a study of a model: a homography, refined on the edges of value. `corners` are those that
 * somebody set, in fractions of the photograph; without them every size and place is searched for an upright study.
 * Null where there is nothing to go by.
 */
export function register(model: Picture, photo: Picture, corners?: Quad): Registration | null {
  const [models, photos] = [halved(model), halved(photo)];
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
function halved(picture: Picture): Picture[] {
  const sizes = [picture];
  for (let last = picture; Math.max(last.width, last.height) > LEVELS[0] * PIXELS_A_CELL;) {
    last = halfSizePicture(blocksOf(last));
    sizes.push(last);
  }
  return sizes;
}

/** The smallest of a picture's sizes that is enough for so many cells, else the largest. */
const sizeFor = (sizes: readonly Picture[], side: number): Picture =>
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
function searched(model: Picture, photo: Picture): Homography[] {
  const own = contrastOf(model, SEARCH_CELLS, SEARCH_REACH);
  const target = contrastOf(photo, SEARCH_CELLS, SEARCH_REACH);
  return likelyPlacements(own, target, FOLLOWED[0]).map(({ toPhoto }) =>
    inFractions(toPhoto, own, target),
  );
}

const contrastOf = (picture: Picture, side: number, reach: number): Grid =>
  localContrast(valueGrid(lightCells(picture, side)), reach);

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

function levelOf(model: Picture, photo: Picture, side: number): Level {
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
    const values = valueGrid(lightCells(photo, step));
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

/** Each part of the model is moved by itself to where it agrees best: the median way, in diagonals of the model. */
function partsError(own: Grid, target: Grid, toPhoto: Homography): number {
  const ways: number[] = [];
  const back = inverted(toPhoto);
  const [across, down] = [own.width / PARTS, own.height / PARTS].map(Math.floor);
  if (across < 8 || down < 8) return 0;
  for (let row = 0; row < PARTS; row++)
    for (let column = 0; column < PARTS; column++) {
      const [left, top] = [column * across, row * down];
      const part = cutOut(own, left, top, across, down);
      const start = composed(toPhoto, [1, 0, left, 0, 1, top, 0, 0, 1]);
      const way = bestWay(part, target, start);
      if (way === null) continue;
      const [x, y] = [across / 2, down / 2];
      const [px, py] = mapped(start, x + way[0], y + way[1]);
      const [bx, by] = mapped(back, px, py);
      ways.push(Math.hypot(bx - left - x, by - top - y));
    }
  return quantileOf(Float64Array.from(ways), 0.5) / Math.hypot(own.width, own.height);
}

function cutOut(grid: Grid, left: number, top: number, width: number, height: number): Grid {
  const at = (c: number) => (top + Math.floor(c / width)) * grid.width + left + (c % width);
  return {
    width,
    height,
    data: Float32Array.from({ length: width * height }, (_, c) => grid.data[at(c)]),
    mask: Uint8Array.from({ length: width * height }, (_, c) => grid.mask[at(c)]),
  };
}

/** How far parts are tried to each side, in cells. */
const WAYS = 4;
/** A part whose contrasts agree less than this, wherever it is put, says nothing. */
const MIN_AGREEMENT = 0.3;

/** The shift in cells at which a part agrees best, between whole cells by a parabola through the neighbours; null where it never does. */
function bestWay(part: Grid, target: Grid, start: Homography): [number, number] | null {
  const { width, height } = part;
  const around = warpedInto(
    target,
    composed(start, [1, 0, -WAYS - 1, 0, 1, -WAYS - 1, 0, 0, 1]),
    width + 2 * WAYS + 2,
    height + 2 * WAYS + 2,
  );
  const score = (dx: number, dy: number) => {
    let [mm, ss, ms] = [0, 0, 0];
    for (let y = 0, c = 0; y < height; y++) {
      let d = (y + dy + WAYS + 1) * around.width + dx + WAYS + 1;
      for (let x = 0; x < width; x++, c++, d++) {
        if (!part.mask[c] || !around.mask[d]) continue;
        mm += part.data[c] * part.data[c];
        ss += around.data[d] * around.data[d];
        ms += part.data[c] * around.data[d];
      }
    }
    return mm > 0 && ss > 0 ? ms / Math.sqrt(mm * ss) : 0;
  };
  let [best, bx, by] = [MIN_AGREEMENT, NaN, NaN];
  for (let dy = -WAYS; dy <= WAYS; dy++)
    for (let dx = -WAYS; dx <= WAYS; dx++) {
      const here = score(dx, dy);
      if (here > best) [best, bx, by] = [here, dx, dy];
    }
  if (Number.isNaN(bx)) return null;
  const top = (before: number, after: number) => {
    const bend = before - 2 * best + after;
    return bend < 0 ? Math.max(-0.5, Math.min(0.5, (before - after) / (2 * bend))) : 0;
  };
  return [
    bx + top(score(bx - 1, by), score(bx + 1, by)),
    by + top(score(bx, by - 1), score(bx, by + 1)),
  ];
}
