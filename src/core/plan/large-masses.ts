import type { ColourGrid } from '../picture/colour-grid';
import { connectedComponents } from '../raster/connected-components';

const ABSENT = 255;
/** A small mass within a small mass gives way first, its host then: deeper nesting is not to be seen. */
const MAX_ROUNDS = 8;

/**
 * Values of cells in which no connected part of a zone is smaller than a share of the picture: each small one takes the
 * mean value of the zone that it borders on most. `means` are the zones', from dark to light.
 */
export function withoutSmallMasses(
  { width, height, value, mask }: ColourGrid,
  thresholds: readonly number[],
  means: readonly number[],
  least: number,
): Float32Array {
  const values = value.slice();
  const cells = mask.reduce((sum, one) => sum + one, 0);
  const zoneOf = (c: number) => thresholds.filter((threshold) => values[c] >= threshold).length;
  for (let round = 0; round < MAX_ROUNDS; round++) {
    const zones = Uint8Array.from(values, (_, c) => (mask[c] ? zoneOf(c) : ABSENT));
    const { labels, entry, size } = connectedComponents(zones, width, height, ABSENT);
    const isSmall = size.map((pixels) => pixels < least * cells);
    const hosts = bordersOf(labels, zones, width, height, size.length, thresholds.length + 1);
    let isChanged = false;
    for (let c = 0; c < values.length; c++) {
      const label = labels[c];
      if (label < 0 || !isSmall[label]) continue;
      const host = mostBordered(hosts, label, thresholds.length + 1, entry[label]);
      if (host < 0) continue;
      values[c] = means[host];
      isChanged = true;
    }
    if (!isChanged) break;
  }
  return values;
}

/** For each component the length of its border with each zone. */
function bordersOf(
  labels: Int32Array,
  zones: Uint8Array,
  width: number,
  height: number,
  components: number,
  count: number,
): Uint32Array {
  const borders = new Uint32Array(components * count);
  const meet = (one: number, other: number) => {
    if (labels[one] < 0 || labels[other] < 0 || zones[one] === zones[other]) return;
    borders[labels[one] * count + zones[other]]++;
    borders[labels[other] * count + zones[one]]++;
  };
  for (let y = 0, c = 0; y < height; y++)
    for (let x = 0; x < width; x++, c++) {
      if (x + 1 < width) meet(c, c + 1);
      if (y + 1 < height) meet(c, c + width);
    }
  return borders;
}

function mostBordered(borders: Uint32Array, component: number, count: number, own: number): number {
  let best = -1;
  for (let zone = 0; zone < count; zone++) {
    const length = borders[component * count + zone];
    if (zone !== own && length > 0 && (best < 0 || length > borders[component * count + best]))
      best = zone;
  }
  return best;
}
