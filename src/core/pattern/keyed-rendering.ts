import type { Picture } from '../picture/picture';
import type { Drawing, PaintUse } from './drawing';
import { rewritten } from './recolour';

/** Steps of a channel between two key colours: a renderer's rounding is less. */
const STEP = 8;
const SIDE = Math.floor(256 / STEP);
/** So many colours can be told apart in a rendering. */
export const MAX_KEYED = SIDE ** 3;
/** Pixels that a softened edge between two colours is wide at most. */
const EDGE = 3;
/** A colour along so much of the rim is the ground. */
const GROUND_RIM = 0.6;

/** What has one key colour in a rendering: a colour, or all stops of one gradient. */
export interface KeyedUnit {
  key: string;
  /** The colours of the drawing that it stands for. */
  hexes: string[];
}

/** A drawing written in key colours, no two alike, so that a rendering tells where each colour is. */
export interface KeyedDrawing {
  text: string;
  units: KeyedUnit[];
}

/**
 * Writes a drawing in key colours. A gradient has one for all its stops, since what lies between two of them would read as
 * neither. Throws a RangeError for more units than can be told apart.
 */
export function keyedDrawing(drawing: Drawing): KeyedDrawing {
  const units = new Map<string, KeyedUnit>();
  const unitOf = ({ hex, property, element }: PaintUse) => {
    const gradient =
      property === 'stop-color' && element !== null ? drawing.elements[element].parent : null;
    const id = gradient === null ? hex : `gradient ${gradient}`;
    const unit = units.get(id) ?? { key: keyColour(units.size), hexes: [] };
    if (!unit.hexes.includes(hex)) unit.hexes.push(hex);
    units.set(id, unit);
    return unit;
  };
  // Without its alpha: what is seen through would read as nothing.
  const text = rewritten(drawing, (paint) => unitOf(paint).key);
  return { text, units: [...units.values()] };
}

function keyColour(number: number): string {
  if (number >= MAX_KEYED) throw new RangeError(`${MAX_KEYED} colours can be told apart`);
  // Neighbours in order stand far apart in colour.
  const key = (number * 7919) % MAX_KEYED;
  const channels = [key % SIDE, Math.floor(key / SIDE) % SIDE, Math.floor(key / SIDE ** 2)];
  return `#${channels.map((channel) => (channel * STEP + STEP / 2).toString(16).padStart(2, '0')).join('')}`;
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

/** Reads a rendering in key colours. What a gradient covers is shared out among its stops. */
export function readKeyed(picture: Picture, units: readonly KeyedUnit[]): KeyedReading {
  const { width, height } = picture;
  const labels = keyedLabels(picture, units);
  const counts = new Float64Array(units.length);
  for (const label of labels) if (label >= 0) counts[label]++;
  const all = counts.reduce((sum, count) => sum + count, 0);
  const areas = new Map<string, number>();
  units.forEach(({ hexes }, i) => {
    const share = all > 0 ? counts[i] / all / hexes.length : 0;
    for (const hex of hexes) areas.set(hex, (areas.get(hex) ?? 0) + share);
  });
  const { data } = picture;
  let bare = 0;
  for (let at = 3; at < data.length; at += 4) if (data[at] === 0) bare++;
  return {
    areas,
    touching: touchingOf(labels, width, height, units),
    ground: groundOf(labels, width, height, units),
    bare: bare / (width * height),
  };
}

/** Along a row or a column two colours touch where no more than an edge lies between them. */
function touchingOf(
  labels: Int32Array,
  width: number,
  height: number,
  units: readonly KeyedUnit[],
): [string, string][] {
  const touching = new Set<number>();
  const walk = (first: number, step: number, length: number) => {
    let last = -1;
    let since = 0;
    for (let i = 0, at = first; i < length; i++, at += step) {
      const label = labels[at];
      if (label < 0) {
        since++;
        continue;
      }
      if (last >= 0 && label !== last && since <= EDGE)
        touching.add(Math.min(last, label) * units.length + Math.max(last, label));
      last = label;
      since = 0;
    }
  };
  for (let y = 0; y < height; y++) walk(y * width, 1, width);
  for (let x = 0; x < width; x++) walk(x, width, height);
  const pairs = new Map<string, [string, string]>();
  for (const pair of [...touching].sort((one, other) => one - other))
    for (const one of units[Math.floor(pair / units.length)].hexes)
      for (const other of units[pair % units.length].hexes)
        if (one !== other) pairs.set([one, other].sort().join(), [one, other]);
  return [...pairs.values()];
}

function groundOf(
  labels: Int32Array,
  width: number,
  height: number,
  units: readonly KeyedUnit[],
): string | null {
  const rim = new Float64Array(units.length);
  let length = 0;
  const count = (at: number) => {
    length++;
    if (labels[at] >= 0) rim[labels[at]]++;
  };
  for (let x = 0; x < width; x++) [x, x + (height - 1) * width].forEach(count);
  for (let y = 1; y < height - 1; y++) [y * width, (y + 1) * width - 1].forEach(count);
  const most = rim.indexOf(Math.max(...rim));
  return most >= 0 && rim[most] >= GROUND_RIM * length ? units[most].hexes[0] : null;
}

/** For each pixel the number of its unit; −1 for an edge, what can be seen through, and what is bare. */
function keyedLabels({ data }: Picture, units: readonly KeyedUnit[]): Int32Array {
  const numbers = new Map(units.map(({ key }, i) => [parseInt(key.slice(1), 16), i]));
  const labels = new Int32Array(data.length / 4).fill(-1);
  for (let at = 0; at < data.length; at += 4) {
    if (data[at + 3] < 255) continue;
    labels[at / 4] = numbers.get((data[at] << 16) | (data[at + 1] << 8) | data[at + 2]) ?? -1;
  }
  return labels;
}
