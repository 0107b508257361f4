/** How a tile covers cloth: edge to edge, each column half a tile lower, each row half a tile further. */
export const REPEATS = ['straight', 'half-drop', 'brick'] as const;
export type Repeat = (typeof REPEATS)[number];

export interface TilePlace {
  x: number;
  y: number;
}

/** More tiles than these are not laid: smaller ones are below what can be told apart. */
export const MAX_TILES = 4000;

/**
 * Where tiles of a size lie so that an area is covered, from its upper left corner on; all in the same unit. Throws a RangeError for
 * tiles without a size, or so small that there would be more than `MAX_TILES`.
 */
export function tilePlaces(
  repeat: Repeat,
  tile: { width: number; height: number },
  area: { width: number; height: number },
): TilePlace[] {
  if (!(tile.width > 0 && tile.height > 0)) throw new RangeError('a tile needs a size');
  const columns = Math.ceil(area.width / tile.width) + (repeat === 'brick' ? 1 : 0);
  const rows = Math.ceil(area.height / tile.height) + (repeat === 'half-drop' ? 1 : 0);
  if (columns * rows > MAX_TILES)
    throw new RangeError(`${columns * rows} tiles; ${MAX_TILES} can be laid`);
  return Array.from({ length: columns * rows }, (_, i) => {
    const [column, row] = [i % columns, Math.floor(i / columns)];
    const across = repeat === 'brick' && row % 2 === 1 ? -0.5 : 0;
    const down = repeat === 'half-drop' && column % 2 === 1 ? -0.5 : 0;
    return { x: (column + across) * tile.width, y: (row + down) * tile.height };
  });
}
