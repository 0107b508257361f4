import type { Picture } from '../picture/picture';

/** Steps of a channel between two key colours: a renderer's rounding is less. */
const STEP = 8;
const SIDE = Math.floor(256 / STEP);
/** So many colours can be told apart in a rendering. */
export const MAX_KEYED = SIDE ** 3;

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

/** Of a rendering in key colours the share of each colour, of all that can be read; edges that mix two are left out. */
export function keyedAreas(
  { data }: Picture,
  keys: ReadonlyMap<string, string>,
): Map<string, number> {
  const counts = new Map<number, number>();
  for (let at = 0; at < data.length; at += 4) {
    if (data[at + 3] < 255) continue;
    const pixel = (data[at] << 16) | (data[at + 1] << 8) | data[at + 2];
    counts.set(pixel, (counts.get(pixel) ?? 0) + 1);
  }
  const own = [...keys].map(
    ([hex, key]) => [hex, counts.get(parseInt(key.slice(1), 16)) ?? 0] as const,
  );
  const all = own.reduce((sum, [, count]) => sum + count, 0);
  return new Map(own.map(([hex, count]) => [hex, all > 0 ? count / all : 0]));
}
