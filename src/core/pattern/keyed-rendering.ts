import type { Picture } from '../picture/picture';

/** Steps of a channel between two key colours: a renderer's rounding is less. */
const STEP = 8;
const SIDE = Math.floor(256 / STEP);
/** So many colours can be told apart in a rendering. */
export const MAX_KEYED = SIDE ** 3;
/** Pixels that a softened edge between two colours is wide at most. */
const EDGE = 3;
/** A colour along so much of the rim is the ground. */
const GROUND_RIM = 0.6;

/** For each colour of a drawing one that a rendering is read by: no two alike. Throws a RangeError for too many. */
export function keyColours(hexes: readonly string[]): Map<string, string> {
  if (hexes.length > MAX_KEYED)
    throw new RangeError(`${hexes.length} colours; ${MAX_KEYED} can be told apart`);
  return new Map(
    hexes.map((hex, i) => {
      // Neighbours in order stand far apart in colour.
      const key = (i * 7919) % MAX_KEYED;
      const channels = [key % SIDE, Math.floor(key / SIDE) % SIDE, Math.floor(key / SIDE ** 2)];
      return [
        hex,
        `#${channels.map((channel) => (channel * STEP + STEP / 2).toString(16).padStart(2, '0')).join('')}`,
      ];
    }),
  );
}

/** What a rendering in key colours tells of a drawing's colours, each by its `#rrggbb`. */
export interface KeyedReading {
  /** The share of each colour, of all that can be read; edges that mix two are left out. */
  areas: Map<string, number>;
  /** Which colours touch, each pair once. */
  touching: [string, string][];
  /** The colour that most of the rim has; null where that is none. */
  ground: string | null;
  /** The share of the rendering that nothing is drawn on. */
  bare: number;
}

/** Reads a rendering in key colours. */
export function readKeyed(picture: Picture, keys: ReadonlyMap<string, string>): KeyedReading {
  const { width, height } = picture;
  const hexes = [...keys.keys()];
  const labels = keyedLabels(picture, keys);
  const counts = new Float64Array(hexes.length);
  const touching = new Set<number>();
  for (const label of labels) if (label >= 0) counts[label]++;
  const touch = (one: number, other: number) =>
    touching.add(Math.min(one, other) * hexes.length + Math.max(one, other));
  // Along a row or a column two colours touch where no more than an edge lies between them.
  const walk = (first: number, step: number, length: number) => {
    let last = -1;
    let since = 0;
    for (let i = 0, at = first; i < length; i++, at += step) {
      const label = labels[at];
      if (label < 0) {
        since++;
        continue;
      }
      if (last >= 0 && label !== last && since <= EDGE) touch(last, label);
      last = label;
      since = 0;
    }
  };
  for (let y = 0; y < height; y++) walk(y * width, 1, width);
  for (let x = 0; x < width; x++) walk(x, width, height);
  const all = counts.reduce((sum, count) => sum + count, 0);
  const { data } = picture;
  let bare = 0;
  for (let at = 3; at < data.length; at += 4) if (data[at] === 0) bare++;
  return {
    areas: new Map(hexes.map((hex, i) => [hex, all > 0 ? counts[i] / all : 0])),
    touching: [...touching]
      .sort((one, other) => one - other)
      .map((pair) => [hexes[Math.floor(pair / hexes.length)], hexes[pair % hexes.length]]),
    ground: groundOf(labels, width, height, hexes),
    bare: bare / (width * height),
  };
}

function groundOf(
  labels: Int32Array,
  width: number,
  height: number,
  hexes: readonly string[],
): string | null {
  const rim = new Float64Array(hexes.length);
  let length = 0;
  const count = (at: number) => {
    length++;
    if (labels[at] >= 0) rim[labels[at]]++;
  };
  for (let x = 0; x < width; x++) [x, x + (height - 1) * width].forEach(count);
  for (let y = 1; y < height - 1; y++) [y * width, (y + 1) * width - 1].forEach(count);
  const most = rim.indexOf(Math.max(...rim));
  return most >= 0 && rim[most] >= GROUND_RIM * length ? hexes[most] : null;
}

/** For each pixel the number of its colour; −1 for an edge, what can be seen through, and what is bare. */
function keyedLabels({ data }: Picture, keys: ReadonlyMap<string, string>): Int32Array {
  const numbers = new Map([...keys.values()].map((key, i) => [parseInt(key.slice(1), 16), i]));
  const labels = new Int32Array(data.length / 4).fill(-1);
  for (let at = 0; at < data.length; at += 4) {
    if (data[at + 3] < 255) continue;
    labels[at / 4] = numbers.get((data[at] << 16) | (data[at + 1] << 8) | data[at + 2]) ?? -1;
  }
  return labels;
}
