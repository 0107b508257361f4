import { oklabFromLinear, type Oklab } from '../colour/oklab';
import { bytesFromOklab } from '../colour/hex';
import type { Picture } from '../picture/picture';
import { componentSizes } from '../raster/connected-components';
import {
  opaqueCount,
  edgeOfValue,
  greyOfValue,
  NO_VALUE,
  VALUE_BINS,
  valueOfBin,
  type ValueImage,
} from '../picture/value-map';
import { groupLight } from './group-colours';
import { evenEdges, naturalEdges } from './thresholds';

export const BREAKS = ['even', 'natural', 'hand'] as const;
export type Breaks = (typeof BREAKS)[number];

export const MIN_ZONES = 2;
export const MAX_ZONES = 9;

/** How the range of value is cut into zones. */
export interface ZoneCut {
  /** 2–9; by hand, the thresholds say. */
  zones: number;
  breaks: Breaks;
  /** The values (Munsell, 0–10) that part zones by hand: 1 to 8 of them; not used by other breaks. */
  thresholds?: readonly number[];
}

/** One zone of value; all values Munsell, 0–10. */
export interface Zone {
  from: number;
  to: number;
  /** Share of the picture, 0–1. */
  share: number;
  /** Mean value of what lies in it; the middle of the zone when nothing does. */
  mean: number;
}

/** What a zone looks like. */
export interface ZoneBody {
  /** Mean of its light; null when it is empty. */
  colour: Oklab | null;
  /** How many separate masses of it take more than 0.5 % of the picture. */
  masses: number;
  /** Share of the picture that its largest mass takes, 0–1. */
  largest: number;
}

/** From this share of the picture on, a piece of a zone is a mass. */
export const MIN_MASS = 0.005;

/**
 * Bin edges between the zones of a cut. By hand they stand in order, whatever order the thresholds
 * came in; two at one value part off an empty zone. Throws a RangeError for other than 2–9 zones.
 */
export function zoneEdges(counts: ArrayLike<number>, cut: ZoneCut): number[] {
  const count = cut.breaks === 'hand' ? (cut.thresholds?.length ?? 0) + 1 : cut.zones;
  if (!Number.isInteger(count) || count < MIN_ZONES || count > MAX_ZONES)
    throw new RangeError(`${count} zones; ${MIN_ZONES} to ${MAX_ZONES} can be read`);
  if (cut.breaks === 'even') return evenEdges(VALUE_BINS, count);
  return cut.breaks === 'natural'
    ? naturalEdges(counts, count)
    : (cut.thresholds ?? []).map(edgeOfValue).sort((a, b) => a - b);
}

/** The zones between bin edges, from dark to light. */
export function zonesOf(counts: ArrayLike<number>, edges: readonly number[]): Zone[] {
  let total = 0;
  for (let bin = 0; bin < counts.length; bin++) total += counts[bin];
  const bounds = [0, ...edges, counts.length];
  return bounds.slice(1).map((end, i) => {
    const start = bounds[i];
    let inside = 0;
    let weighted = 0;
    for (let bin = start; bin < end; bin++) {
      inside += counts[bin];
      weighted += counts[bin] * valueOfBin(bin);
    }
    const from = (start / counts.length) * 10;
    const to = (end / counts.length) * 10;
    return {
      from,
      to,
      share: total ? inside / total : 0,
      mean: inside ? weighted / inside : (from + to) / 2,
    };
  });
}

/** The zone number of each bin: 256 entries, `NO_VALUE` staying `NO_VALUE`. */
export function zoneOfBin(edges: readonly number[]): Uint8Array {
  return Uint8Array.from({ length: 256 }, (_, bin) =>
    bin === NO_VALUE ? NO_VALUE : edges.filter((edge) => bin >= edge).length,
  );
}

/** The zone number of each pixel, `NO_VALUE` where it is transparent. */
export function zoneMap(map: Uint8Array, edges: readonly number[]): Uint8Array {
  const zone = zoneOfBin(edges);
  const out = new Uint8Array(map.length);
  for (let p = 0; p < map.length; p++) out[p] = zone[map[p]];
  return out;
}

/** Colour and masses of each zone of what is seen. */
export function zoneBodies(image: ValueImage, edges: readonly number[]): ZoneBody[] {
  const { picture, map } = image;
  const zones = zoneMap(map, edges);
  const opaque = opaqueCount(image);
  const lights = groupLight(picture, zones, edges.length + 1);
  const found = componentSizes(zones, picture.width, picture.height, NO_VALUE);
  const bodies = lights.map((light): ZoneBody => ({
    colour: light && oklabFromLinear(light),
    masses: 0,
    largest: 0,
  }));
  found.size.forEach((size, piece) => {
    const body = bodies[found.entry[piece]];
    const share = size / opaque;
    if (share > MIN_MASS) body.masses++;
    body.largest = Math.max(body.largest, share);
  });
  return bodies;
}

/** The picture with every zone flat in the grey of its mean value. */
export function zoneGreys({ picture, map, counts }: ValueImage, edges: readonly number[]): Picture {
  const greys = zonesOf(counts, edges).map(({ mean }) => greyOfValue(mean));
  return flat(
    picture,
    map,
    edges,
    greys.map((grey) => [grey, grey, grey]),
  );
}

/** The picture with every zone flat in its mean colour. */
export function zoneColours({ picture, map }: ValueImage, edges: readonly number[]): Picture {
  const lights = groupLight(picture, zoneMap(map, edges), edges.length + 1);
  return flat(
    picture,
    map,
    edges,
    lights.map((light) => (light ? bytesFromOklab(oklabFromLinear(light)) : [0, 0, 0])),
  );
}

function flat(
  { width, height }: Picture,
  map: Uint8Array,
  edges: readonly number[],
  colours: readonly (readonly number[])[],
): Picture {
  const zone = zoneOfBin(edges);
  // Red first in memory on every machine that runs a browser.
  const packed = Uint32Array.from({ length: 256 }, (_, bin) => {
    if (bin === NO_VALUE) return 0;
    const [r, g, b] = colours[zone[bin]];
    return ((255 << 24) | (b << 16) | (g << 8) | r) >>> 0;
  });
  const data = new Uint32Array(map.length);
  for (let p = 0; p < map.length; p++) data[p] = packed[map[p]];
  return { width, height, data: new Uint8ClampedArray(data.buffer) };
}

/** Lines where one zone meets the next, `thick` pixels wide: black in white, clear everywhere else. */
export function zoneOutlines({ picture, map }: ValueImage, edges: readonly number[]): Picture {
  const { width, height } = picture;
  const zones = zoneMap(map, edges);
  const data = new Uint8ClampedArray(width * height * 4);
  const reach = Math.max(1, Math.round(Math.max(width, height) / 800));
  const draw = (x: number, y: number, by: number, grey: number) => {
    for (let j = Math.max(0, y - by); j < Math.min(height, y + by); j++)
      for (let i = Math.max(0, x - by); i < Math.min(width, x + by); i++) {
        const at = (j * width + i) * 4;
        data[at] = data[at + 1] = data[at + 2] = grey;
        data[at + 3] = 255;
      }
  };
  for (const [by, grey] of [
    [reach * 2, 255],
    [reach, 0],
  ])
    for (let y = 1; y < height; y++)
      for (let x = 1, p = y * width + 1; x < width; x++, p++) {
        const zone = zones[p];
        if (zone !== zones[p - 1] || zone !== zones[p - width]) draw(x, y, by, grey);
      }
  return { width, height, data };
}
