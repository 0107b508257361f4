import { MAX_ZOOM } from '../view';

export interface Size {
  width: number;
  height: number;
}
interface Point {
  x: number;
  y: number;
}
/** `zoom` 1 fits the picture; `centre` is the place in the middle of the stage, in fractions of the picture. */
export interface Looking {
  zoom: number;
  centre: Point;
}
/** Stage = picture pixel × scale + (x, y). */
export interface Viewport extends Point {
  scale: number;
}

const MARGIN = 20;

export function viewportOf({ zoom, centre }: Looking, picture: Size, stage: Size): Viewport {
  const scale = fit(picture, stage) * zoom;
  return {
    scale,
    x: stage.width / 2 - centre.x * picture.width * scale,
    y: stage.height / 2 - centre.y * picture.height * scale,
  };
}

/** The place under a point of the stage, in fractions of the picture; beyond 0–1 outside it. */
export function placeAt(point: Point, viewport: Viewport, picture: Size): Point {
  return {
    x: (point.x - viewport.x) / viewport.scale / picture.width,
    y: (point.y - viewport.y) / viewport.scale / picture.height,
  };
}

/** Zooms by a factor and keeps the place under `point` where it is. */
export function zoomedAt(
  looking: Looking,
  factor: number,
  point: Point,
  picture: Size,
  stage: Size,
): Looking {
  const place = placeAt(point, viewportOf(looking, picture, stage), picture);
  const zoom = Math.min(MAX_ZOOM, Math.max(1, looking.zoom * factor));
  const scale = fit(picture, stage) * zoom;
  return bounded({
    zoom,
    centre: {
      x: place.x - (point.x - stage.width / 2) / (picture.width * scale),
      y: place.y - (point.y - stage.height / 2) / (picture.height * scale),
    },
  });
}

/** Moves what is seen by a distance on the stage. */
export function pannedBy(looking: Looking, by: Point, picture: Size, stage: Size): Looking {
  const scale = fit(picture, stage) * looking.zoom;
  return bounded({
    zoom: looking.zoom,
    centre: {
      x: looking.centre.x - by.x / (picture.width * scale),
      y: looking.centre.y - by.y / (picture.height * scale),
    },
  });
}

function fit(picture: Size, stage: Size): number {
  return Math.max(
    0.01,
    Math.min(
      (stage.width - 2 * MARGIN) / picture.width,
      (stage.height - 2 * MARGIN) / picture.height,
    ),
  );
}

/** The middle of the stage stays on the picture, and a fitted picture stays in the middle. */
function bounded({ zoom, centre }: Looking): Looking {
  const reach = zoom <= 1 ? 0 : 0.5;
  const hold = (n: number) => Math.min(0.5 + reach, Math.max(0.5 - reach, n));
  return { zoom, centre: { x: hold(centre.x), y: hold(centre.y) } };
}
