import type { Oklab } from '../colour/oklab';
import type { Picture } from '../picture/picture';
import { probe } from '../picture/probe';

/** A place of a picture that a question can be about. */
export interface PicturePlace {
  /** The picture, by its id, what it is called, and its width over its height. */
  picture: string;
  title: string;
  aspect: number;
  /** Fractions of the picture, and a share of its diagonal. */
  x: number;
  y: number;
  radius: number;
  colour: Oklab;
  /** The mean of what lies about it: what it is seen against. */
  around: Oklab;
}

/** How large a place is, and how far what lies about it reaches: shares of the diagonal. */
const RADIUS = 0.02;
const AROUND = 0.12;
/** How far inside the picture a place lies, as a fraction of its width and height. */
const MARGIN = 0.06;
/** Mean ΔE₀₀ within a place: what is more mixed has no one colour. */
const MAX_SPREAD = 2.5;
/** So many positions are tried for each place that is wanted. */
const TRIES = 8;

/** Places of nearly one colour, each tried anywhere in the picture; fewer where it has few. `random` gives 0–1. */
export function picturePlaces(
  picture: Picture,
  { id, title }: { id: string; title: string },
  count: number,
  random: () => number,
): PicturePlace[] {
  const places: PicturePlace[] = [];
  for (let i = 0; i < count * TRIES && places.length < count; i++) {
    const x = MARGIN + (1 - 2 * MARGIN) * random();
    const y = MARGIN + (1 - 2 * MARGIN) * random();
    const own = probe(picture, { x, y }, RADIUS);
    if (!own || own.spread > MAX_SPREAD) continue;
    const around = probe(picture, { x, y }, AROUND);
    if (!around) continue;
    places.push({
      picture: id,
      title,
      aspect: picture.width / picture.height,
      ...{ x, y, radius: RADIUS },
      colour: own.colour,
      around: around.colour,
    });
  }
  return places;
}
