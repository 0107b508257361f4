import { OPAQUE, type Picture } from '../picture/picture';
import type { Place } from '../picture/framing';
import { HISTOGRAM_BINS, histogramBin, type ColourHistogram } from '../picture/colour-histogram';

/** Above this many pixels on the longer side every second one in either direction tells enough. */
const FINE = 800;
/** The side of the squares that are compared, as a share of the longer side. */
const SQUARES = 40;

/**
 * The representative point of each swatch: the middle of the square that holds most of its pixels, in fractions of the picture; null for a swatch that owns no pixel.
 */
export function representativePoints(
  { width, height, data }: Picture,
  histogram: ColourHistogram,
  owner: Uint8Array,
  swatches: number,
): (Place | null)[] {
  const ownerOfCell = new Uint8Array(HISTOGRAM_BINS);
  histogram.id.forEach((id, k) => (ownerOfCell[id] = owner[k]));
  const side = Math.max(1, Math.ceil(Math.max(width, height) / SQUARES));
  const across = Math.ceil(width / side);
  const down = Math.ceil(height / side);
  const counts = new Uint32Array(across * down * swatches);
  const step = Math.max(width, height) > FINE ? 2 : 1;
  for (let y = 0; y < height; y += step) {
    const row = Math.floor(y / side) * across;
    for (let x = 0; x < width; x += step) {
      const i = (y * width + x) * 4;
      if (data[i + 3] < OPAQUE) continue;
      const swatch = ownerOfCell[histogramBin(data[i], data[i + 1], data[i + 2])];
      counts[(row + ((x / side) | 0)) * swatches + swatch]++;
    }
  }
  const middle = (square: number): Place => {
    const left = (square % across) * side;
    const top = Math.floor(square / across) * side;
    return {
      x: (left + Math.min(side, width - left) / 2) / width,
      y: (top + Math.min(side, height - top) / 2) / height,
    };
  };
  return Array.from({ length: swatches }, (_, swatch) =>
    representativePoint(across * down, (square) => counts[square * swatches + swatch], middle),
  );
}

/** Squares this near to the fullest count as full: of those, the one nearest the swatch's centroid is taken. */
const NEARLY_FULL = 0.97;

function representativePoint(
  squares: number,
  countOf: (square: number) => number,
  middle: (square: number) => Place,
): Place | null {
  let most = 0;
  let total = 0;
  let x = 0;
  let y = 0;
  for (let square = 0; square < squares; square++) {
    const count = countOf(square);
    if (count === 0) continue;
    const place = middle(square);
    most = Math.max(most, count);
    total += count;
    x += count * place.x;
    y += count * place.y;
  }
  if (total === 0) return null;
  let nearestPlace: Place | null = null;
  let nearest = Infinity;
  for (let square = 0; square < squares; square++) {
    if (countOf(square) < most * NEARLY_FULL) continue;
    const place = middle(square);
    const distance = Math.hypot(place.x - x / total, place.y - y / total);
    if (distance < nearest) {
      nearest = distance;
      nearestPlace = place;
    }
  }
  return nearestPlace;
}
