import { OPAQUE, type Picture } from '../picture/picture';
import { DrawingError } from './drawing-error';
import { labelOutlines } from './outlines';

/** More flat colours than these are a picture, not a pattern. */
export const MAX_FLAT = 200;
/** Of the picture so much has to be flat colour; the rest is softened edges. */
const MIN_FLAT = 0.6;
/** A colour that fills no square of two pixels is an edge's. */
const MIN_SQUARES = 2;
/** Of all that is opaque a flat colour has at least this: less is a stray of an edge. */
const MIN_SHARE = 1e-4;

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
  const colours = [...counts]
    .filter(
      ([colour, count]) => (squares.get(colour) ?? 0) >= MIN_SQUARES && count >= MIN_SHARE * opaque,
    )
    .sort((one, other) => other[1] - one[1] || one[0] - other[0])
    .map(([colour]) => colour);
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
  const around = [-width - 1, -width, -width + 1, -1, 1, width - 1, width, width + 1];
  while (open.length > 0) {
    const given: [cell: number, label: number][] = [];
    const left: number[] = [];
    for (const c of open) {
      let [best, least] = [-1, Infinity];
      for (const step of around) {
        const beside = c + step;
        if (beside < 0 || beside >= labels.length) continue;
        // The end of a row is not beside the start of the next.
        if (Math.abs((beside % width) - (c % width)) > 1) continue;
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
