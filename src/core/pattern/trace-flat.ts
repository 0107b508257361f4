import { OPAQUE, type Picture } from '../picture/picture';
import { DrawingError } from './drawing-error';
import { labelOutlines } from './outlines';

/** More flat colours than these are a picture, not a pattern. */
export const MAX_FLAT = 200;
/** Of the picture so much has to be flat colour; the rest is softened edges. */
const MIN_FLAT = 0.6;
/** A colour that fills fewer squares of two by two pixels is a thin line's or a softened edge's. */
const MIN_SQUARES = 2;
/** Of all that is opaque a flat colour has at least this: less is a stray of an edge. */
const MIN_SHARE = 1e-4;
/** The same for the colour of lines one pixel wide. */
const MIN_LINE_SHARE = 1e-3;
/** So near to the line between two colours, in 8-bit RGB, a colour is a mixture of them. */
const MIXTURE_TOLERANCE = 12;
/** A colour is an edge's when at least so much of it lies between two colours that it mixes. */
const MIN_MIXED = 0.5;

/**
 * A flat-coloured picture as a drawing: one path for each of its colours, along the pixels' edges. Softened edges between two
 * colours go to the nearer of the flat ones beside them. Throws a DrawingError in a sentence for a picture that isn't flat.
 */
export function traceFlat(picture: Picture): string {
  const { width, height } = picture;
  const { labels, colours } = flatLabels(picture);
  const paths = labelOutlines(labels, width, height, colours.length);
  const shapes = paths.map(
    (path, i) => `<path id="colour-${i + 1}" fill="${hexOf(colours[i])}" d="${path}"/>`,
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}" shape-rendering="crispEdges">\n${shapes.join('\n')}\n</svg>\n`;
}

const hexOf = (rgb: number) => `#${rgb.toString(16).padStart(6, '0')}`;

/** For each pixel the number of its flat colour, the most frequent first; −1 where nothing is. */
function flatLabels({ width, height, data }: Picture): { labels: Int32Array; colours: number[] } {
  const cells = width * height;
  const rgb = new Int32Array(cells);
  let opaque = 0;
  for (let c = 0; c < cells; c++) {
    const at = 4 * c;
    rgb[c] = data[at + 3] < OPAQUE ? -1 : (data[at] << 16) | (data[at + 1] << 8) | data[at + 2];
    if (rgb[c] >= 0) opaque++;
  }
  if (opaque === 0) throw new DrawingError('there is nothing in the picture.');
  const squares = new Map<number, number>();
  const counts = new Map<number, number>();
  for (let c = 0; c < cells; c++) {
    if (rgb[c] < 0) continue;
    counts.set(rgb[c], (counts.get(rgb[c]) ?? 0) + 1);
    const isSquare =
      (c + 1) % width !== 0 &&
      c + width < cells &&
      rgb[c + 1] === rgb[c] &&
      rgb[c + width] === rgb[c] &&
      rgb[c + width + 1] === rgb[c];
    if (isSquare) squares.set(rgb[c], (squares.get(rgb[c]) ?? 0) + 1);
  }
  const isFlat = new Set<number>();
  for (const [colour, count] of counts)
    if ((squares.get(colour) ?? 0) >= MIN_SQUARES && count >= MIN_SHARE * opaque)
      isFlat.add(colour);
  const thin = new Map<number, number>();
  for (const [colour, count] of counts)
    if (!isFlat.has(colour) && count >= MIN_LINE_SHARE * opaque) thin.set(colour, 0);
  for (let c = 0; c < cells; c++) {
    const mixed = thin.get(rgb[c]);
    if (mixed !== undefined && isMixture(c, rgb, width, isFlat)) thin.set(rgb[c], mixed + 1);
  }
  for (const [colour, mixed] of thin)
    if (mixed < MIN_MIXED * counts.get(colour)!) isFlat.add(colour);
  const colours = [...isFlat].sort(
    (one, other) => counts.get(other)! - counts.get(one)! || one - other,
  );
  const flat = colours.reduce((sum, colour) => sum + counts.get(colour)!, 0);
  if (colours.length > MAX_FLAT || flat < MIN_FLAT * opaque)
    throw new DrawingError(
      `the picture isn’t painted in flat colours: ${colours.length > MAX_FLAT ? `it has over ${MAX_FLAT}` : `only ${Math.round((100 * flat) / opaque)} % of it is flat`}.`,
    );
  const numbers = new Map(colours.map((colour, i) => [colour, i]));
  const labels = new Int32Array(cells);
  for (let c = 0; c < cells; c++) labels[c] = rgb[c] < 0 ? -1 : (numbers.get(rgb[c]) ?? -2);
  giveEdges(labels, rgb, colours, width);
  return { labels, colours };
}

const STEPS = [
  [-1, -1],
  [0, -1],
  [1, -1],
  [-1, 0],
  [1, 0],
  [-1, 1],
  [0, 1],
  [1, 1],
] as const;

/** The pixels around one, without those beyond the picture's sides. */
function around(c: number, width: number, cells: number): number[] {
  const x = c % width;
  return STEPS.filter(([dx]) => x + dx >= 0 && x + dx < width)
    .map(([dx, dy]) => c + dx + dy * width)
    .filter((beside) => beside >= 0 && beside < cells);
}

/** Whether a pixel mixes two of the flat colours around it, as the softened edge between them does. */
function isMixture(c: number, rgb: Int32Array, width: number, flat: ReadonlySet<number>): boolean {
  const beside = [...new Set(around(c, width, rgb.length).map((other) => rgb[other]))].filter(
    (colour) => flat.has(colour),
  );
  return beside.some((one, i) =>
    beside.slice(i + 1).some((other) => isBetween(rgb[c], one, other)),
  );
}

function isBetween(colour: number, one: number, other: number): boolean {
  const [from, to, at] = [one, other, colour].map(channelsOf);
  const way = to.map((channel, k) => channel - from[k]);
  const length = way.reduce((sum, d) => sum + d * d, 0);
  const along = way.reduce((sum, d, k) => sum + d * (at[k] - from[k]), 0) / length;
  if (along <= 0 || along >= 1) return false;
  const off = way.reduce((sum, d, k) => sum + (from[k] + along * d - at[k]) ** 2, 0);
  return off <= MIXTURE_TOLERANCE ** 2;
}

const channelsOf = (rgb: number) => [rgb >> 16, (rgb >> 8) & 255, rgb & 255];

/** Gives pixels of edges (−2) to the nearest colour among those beside them, a ring at a time from the flat ones on. */
function giveEdges(
  labels: Int32Array,
  rgb: Int32Array,
  colours: readonly number[],
  width: number,
): void {
  let open = labels.reduce<number[]>((list, label, c) => {
    if (label === -2) list.push(c);
    return list;
  }, []);
  while (open.length > 0) {
    const given: [cell: number, label: number][] = [];
    const left: number[] = [];
    for (const c of open) {
      let [best, least] = [-1, Infinity];
      for (const beside of around(c, width, labels.length)) {
        const label = labels[beside];
        if (label < 0) continue;
        const distance = squaredDistance(rgb[c], colours[label]);
        if (distance < least) [best, least] = [label, distance];
      }
      if (best >= 0) given.push([c, best]);
      else left.push(c);
    }
    if (given.length === 0) {
      // Islands of edge alone.
      for (const c of left) labels[c] = nearestColour(rgb[c], colours);
      return;
    }
    for (const [c, label] of given) labels[c] = label;
    open = left;
  }
}

function nearestColour(rgb: number, colours: readonly number[]): number {
  let best = 0;
  for (let i = 1; i < colours.length; i++)
    if (squaredDistance(rgb, colours[i]) < squaredDistance(rgb, colours[best])) best = i;
  return best;
}

function squaredDistance(one: number, other: number): number {
  const r = (one >> 16) - (other >> 16);
  const g = ((one >> 8) & 255) - ((other >> 8) & 255);
  const b = (one & 255) - (other & 255);
  return r * r + g * g + b * b;
}
