/**
 * How a picture is cropped and straightened, kept apart from its pixels. Places are fractions of
 * the original: (0, 0) is its upper left, (1, 1) its lower right.
 */
export interface Framing {
  /** Degrees the picture is turned clockwise about its centre, −45 to 45. */
  angle: number;
  /** The part kept, in fractions of the original's width and height after turning; null keeps the most that has no empty corner. */
  crop: Box | null;
}

export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

export interface Place {
  x: number;
  y: number;
}

export const WHOLE: Box = { x: 0, y: 0, width: 1, height: 1 };

/**
 * The largest box of the picture's own proportions that holds no empty corner after turning.
 * Along each side, half-width·cos + half-height·sin has to stay within the original's half-width.
 */
export function largestFrame(angle: number, aspect: number): Box {
  const turn = (Math.abs(angle) * Math.PI) / 180;
  const longer = Math.max(aspect, 1 / aspect);
  const scale = 1 / (Math.cos(turn) + Math.sin(turn) * longer);
  return { x: (1 - scale) / 2, y: (1 - scale) / 2, width: scale, height: scale };
}

/** The box that a framing keeps, for an original of `aspect` = width / height. */
export function keptBox(framing: Framing, aspect: number): Box {
  return framing.crop ?? (framing.angle === 0 ? WHOLE : largestFrame(framing.angle, aspect));
}

/** A place in the framed picture (fractions of it) to its place in the original. */
export function toOriginal(place: Place, framing: Framing, aspect: number): Place {
  const box = keptBox(framing, aspect);
  return turned(
    { x: box.x + place.x * box.width, y: box.y + place.y * box.height },
    -framing.angle,
    aspect,
  );
}

/** A place in the original to its place in the framed picture; outside 0–1 where it was cut away. */
export function toFramed(place: Place, framing: Framing, aspect: number): Place {
  const box = keptBox(framing, aspect);
  const straight = turned(place, framing.angle, aspect);
  return { x: (straight.x - box.x) / box.width, y: (straight.y - box.y) / box.height };
}

/** Turns a place clockwise about the picture's centre; heights count as 1 and widths as `aspect`. */
function turned(place: Place, degrees: number, aspect: number): Place {
  if (degrees === 0) return place;
  const turn = (degrees * Math.PI) / 180;
  const dx = (place.x - 0.5) * aspect;
  const dy = place.y - 0.5;
  const cos = Math.cos(turn);
  const sin = Math.sin(turn);
  return { x: 0.5 + (dx * cos - dy * sin) / aspect, y: 0.5 + dx * sin + dy * cos };
}
