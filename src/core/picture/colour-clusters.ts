import { writeOklab, type Oklab } from '../colour/oklab';
import { LINEAR_OF_BYTE } from '../colour/srgb';
import { kMeans } from '../raster/k-means';
import type { Place } from './framing';
import type { Picture } from './picture';
import { pixelsWithin } from './probe';

/** One of the colours that together make an area's average. */
export interface ColourCluster {
  colour: Oklab;
  /** Of the area, 0–1. */
  share: number;
}

const MAX_CLUSTERS = 4;
/** A further colour has to explain this share of the remaining variance. */
const WORTH = 0.35;
/** Under this mean square distance (OKLab) an area is one colour. */
const ONE_COLOUR = 0.012 ** 2;
/** Colours with a smaller share of the area are left out. */
const MIN_SHARE = 0.04;
const ROUNDS = 12;

/**
 * The one to four colours that make a round area's average, the largest first: k-means in OKLab of
 * its pixels, begun without chance at the pixels farthest from what is there, with as many colours
 * as each help plainly. Place, radius and null as for `probe`. The shares add to 1 and the colours,
 * weighed by them, make the average.
 */
export function colourClusters(
  picture: Picture,
  place: Place,
  radius: number,
): ColourCluster[] | null {
  const at = pixelsWithin(picture, place, radius);
  if (!at) return null;
  const colours = new Float64Array(at.length * 3);
  at.forEach((i, k) => {
    const [r, g, b] = [0, 1, 2].map((c) => LINEAR_OF_BYTE[picture.data[i + c]]);
    writeOklab(r, g, b, colours, k * 3);
  });
  let best = cluster(colours, 1);
  for (let k = 2; k <= MAX_CLUSTERS && best.error > ONE_COLOUR; k++) {
    const next = cluster(colours, k);
    const isSmall = next.found.some(({ share }) => share < MIN_SHARE);
    if (isSmall || next.error > best.error * (1 - WORTH)) break;
    best = next;
  }
  return best.found.sort((one, other) => other.share - one.share);
}

/** `count` clusters of colours (three floats each), and the mean square distance to them. */
function cluster(colours: Float64Array, count: number): { found: ColourCluster[]; error: number } {
  const pixels = colours.length / 3;
  const centres = [meanOf(colours)];
  while (centres.length < count) {
    let farthest = 0;
    let most = -1;
    for (let p = 0; p < pixels; p++) {
      const away = Math.min(...centres.map((centre) => square(colours, p, centre)));
      if (away > most) {
        most = away;
        farthest = p;
      }
    }
    centres.push([...colours.subarray(farthest * 3, farthest * 3 + 3)]);
  }
  const { centres: means, weights, error } = kMeans(colours, centres.flat(), ROUNDS);
  const found = Array.from(weights, (weight, k) => {
    const [L, a, b] = means.subarray(k * 3, k * 3 + 3);
    return { colour: { L, a, b }, share: weight / pixels };
  });
  return { found, error: error / pixels };
}

function square(colours: Float64Array, pixel: number, centre: readonly number[]): number {
  return (
    (colours[pixel * 3] - centre[0]) ** 2 +
    (colours[pixel * 3 + 1] - centre[1]) ** 2 +
    (colours[pixel * 3 + 2] - centre[2]) ** 2
  );
}

function meanOf(colours: Float64Array): number[] {
  const sum = [0, 0, 0];
  for (let i = 0; i < colours.length; i++) sum[i % 3] += colours[i];
  return sum.map((one) => (one * 3) / colours.length);
}
