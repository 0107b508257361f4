import type { Picture } from './picture';

/**
 * A veil to lay over a picture: clear where `map` holds `shown`, a mid grey of `strength` (0–255)
 * everywhere else, so that one part stays and the rest steps back. Entries of `absent` stay clear.
 */
export function veil(
  map: Uint8Array,
  width: number,
  height: number,
  shown: (entry: number) => boolean,
  absent: number,
  strength = 205,
): Picture {
  const alphaOf = Uint8Array.from({ length: 256 }, (_, entry) =>
    entry === absent || shown(entry) ? 0 : strength,
  );
  const data = new Uint8ClampedArray(width * height * 4);
  for (let p = 0, i = 0; p < map.length; p++, i += 4) {
    const alpha = alphaOf[map[p]];
    if (alpha === 0) continue;
    data[i] = data[i + 1] = data[i + 2] = 119;
    data[i + 3] = alpha;
  }
  return { width, height, data };
}
