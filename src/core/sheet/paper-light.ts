import { solved } from '../mixing/linear-system';
import { quantileOf } from '../raster/quantile';

/** Linear light of a picture, three floats a pixel. */
export interface LightGrid {
  width: number;
  height: number;
  light: Float32Array;
}

/** Tiles along the longer side, for each of which the paper is found. */
const TILES = 26;
/** A tile is read with so much around it, in tiles, and of its pixels every other one in each direction. */
const WINDOW = 1.4;
const STRIDE = 2;
/** Where the search for the paper begins: most strokes are darker. */
const BRIGHT = 0.8;
/** How far off the paper a pixel may be to count, in the logarithm of light, round by round (Tukey's biweight). */
const REACHES: readonly number[] = [0.45, 0.3, 0.2, 0.14, 0.1, 0.08];
/** A tile that is darker than this against what lies on both sides of it has no paper in it, or hardly any. */
const NO_PAPER = 0.88;
/** Nor has one whose chromaticity is off by this: the ratio of red to green, or of blue to green. */
const OTHER_HUE = 0.07;
/** Paper is no darker than this against the brightest paper, even in shadow: what is darker is what it lies on. */
const IN_SHADOW = 0.3;
const BRIGHTEST_TILES = 0.85;
/** Tiles to each side of one that it is held against. */
const AROUND = 3;
const AXES = [
  [1, 0],
  [0, 1],
  [1, 1],
  [1, -1],
] as const;
const DARK = 1e-4;

/** The logarithm of paper's light in and around a tile: a plane for each channel, by pixels from the tile's middle. */
type Planes = readonly (readonly [atMiddle: number, byX: number, byY: number])[];

/**
 * The light that paper would send back at each pixel, however it is lit: in each tile the plane that most of its bright
 * pixels lie on, so that a shadow's edge is followed and strokes are left out; tiles without paper get it from their
 * neighbours. Three floats a pixel.
 */
export function paperLight(grid: LightGrid): Float32Array {
  const { width, height } = grid;
  const side = Math.max(6, Math.ceil(Math.max(width, height) / TILES));
  const across = Math.ceil(width / side);
  const down = Math.ceil(height / side);
  const middle = (tile: number) => [
    ((tile % across) + 0.5) * side,
    (Math.floor(tile / across) + 0.5) * side,
  ];
  const tiles = Array.from({ length: across * down }, (_, tile) => {
    const [x, y] = middle(tile);
    return paperPlanes(grid, x, y, side * (0.5 + WINDOW / 2));
  });
  const level = tiles.map((planes) => planes.map(([at]) => Math.exp(at)));
  const bright = Float64Array.from(level, ([, green]) => green);
  const usual = quantileOf(bright, BRIGHTEST_TILES);
  const found: (Planes | null)[] = tiles.map((planes, tile) =>
    bright[tile] >= IN_SHADOW * usual && isPaper(tile) ? planes : null,
  );
  // What the sheet lies on is far from any paper: it gets its light from tile to tile.
  while (found.includes(null) && found.some((planes) => planes !== null)) spread();
  const filled = found.map((planes, tile) => planes ?? tiles[tile]);
  return blended();

  /**
   * Whether a tile has paper: it has the hue of the brightest around it, and is not darker than what lies on both its
   * sides. A shadow falls from one side to the other; a stroke is darker than both.
   */
  function isPaper(tile: number): boolean {
    const [tx, ty] = [tile % across, Math.floor(tile / across)];
    const brightness = (x: number, y: number) =>
      x < 0 || y < 0 || x >= across || y >= down ? 0 : bright[y * across + x];
    for (const [dx, dy] of AXES) {
      const [ahead, behind] = [1, -1].map((way) => {
        let most = 0;
        for (let step = 1; step <= AROUND; step++)
          most = Math.max(most, brightness(tx + way * step * dx, ty + way * step * dy));
        return most;
      });
      if (bright[tile] < NO_PAPER * Math.min(ahead, behind)) return false;
    }
    let best = tile;
    for (let y = Math.max(0, ty - AROUND); y <= Math.min(down - 1, ty + AROUND); y++)
      for (let x = Math.max(0, tx - AROUND); x <= Math.min(across - 1, tx + AROUND); x++)
        if (bright[y * across + x] > bright[best]) best = y * across + x;
    const ratio = (of: number, channel: number) => level[of][channel] / bright[of];
    return [0, 2].every(
      (channel) => Math.abs(ratio(tile, channel) / ratio(best, channel) - 1) < OTHER_HUE,
    );
  }

  /** Gives tiles without paper beside such with paper the mean of these, level. */
  function spread(): void {
    const was = found.slice();
    was.forEach((own, tile) => {
      if (own) return;
      const [tx, ty] = [tile % across, Math.floor(tile / across)];
      const beside: Planes[] = [];
      for (let y = Math.max(0, ty - 1); y <= Math.min(down - 1, ty + 1); y++)
        for (let x = Math.max(0, tx - 1); x <= Math.min(across - 1, tx + 1); x++) {
          const planes = was[y * across + x];
          if (planes) beside.push(planes);
        }
      if (beside.length === 0) return;
      found[tile] = [0, 1, 2].map((channel) => {
        const mean = beside.reduce((sum, planes) => sum + planes[channel][0], 0) / beside.length;
        return [mean, 0, 0] as const;
      });
    });
  }

  /** The planes of the four tiles around each pixel, weighed by how near their middles are. */
  function blended(): Float32Array {
    const out = new Float32Array(width * height * 3);
    for (let y = 0; y < height; y++) {
      const fy = Math.min(down - 1, Math.max(0, (y + 0.5) / side - 0.5));
      const top = Math.max(0, Math.min(down - 2, Math.floor(fy)));
      for (let x = 0; x < width; x++) {
        const fx = Math.min(across - 1, Math.max(0, (x + 0.5) / side - 0.5));
        const left = Math.max(0, Math.min(across - 2, Math.floor(fx)));
        for (let k = 0; k < 3; k++) {
          let sum = 0;
          for (let row = top; row <= Math.min(down - 1, top + 1); row++)
            for (let column = left; column <= Math.min(across - 1, left + 1); column++) {
              const weight = (1 - Math.abs(fy - row)) * (1 - Math.abs(fx - column));
              const [at, byX, byY] = filled[row * across + column][k];
              const dx = x + 0.5 - (column + 0.5) * side;
              const dy = y + 0.5 - (row + 0.5) * side;
              sum += weight * (at + byX * dx + byY * dy);
            }
          out[(y * width + x) * 3 + k] = Math.exp(sum);
        }
      }
    }
    return out;
  }
}

/** The planes that the paper around a place lies on, by iteratively reweighted least squares. */
function paperPlanes(
  { width, height, light }: LightGrid,
  x: number,
  y: number,
  reach: number,
): Planes {
  const pixels: number[] = [];
  for (let v = Math.max(0, Math.floor(y - reach)); v < Math.min(height, y + reach); v += STRIDE)
    for (let u = Math.max(0, Math.floor(x - reach)); u < Math.min(width, x + reach); u += STRIDE)
      pixels.push(v * width + u);
  const logs = [0, 1, 2].map((channel) =>
    Float64Array.from(pixels, (pixel) => Math.log(Math.max(DARK, light[pixel * 3 + channel]))),
  );
  const dx = Float64Array.from(pixels, (pixel) => (pixel % width) + 0.5 - x);
  const dy = Float64Array.from(pixels, (pixel) => Math.floor(pixel / width) + 0.5 - y);
  let plane: Planes[number] = [quantileOf(logs[1], BRIGHT), 0, 0];
  const weights = new Float64Array(pixels.length);
  for (const far of REACHES) {
    for (let i = 0; i < pixels.length; i++) {
      const off = (logs[1][i] - plane[0] - plane[1] * dx[i] - plane[2] * dy[i]) / far;
      weights[i] = off * off < 1 ? (1 - off * off) ** 2 : 0;
    }
    const next = weightedPlane(logs[1], dx, dy, weights);
    if (!next) break;
    plane = next;
  }
  return logs.map((channel, k) =>
    k === 1 ? plane : (weightedPlane(channel, dx, dy, weights) ?? [channel[0] ?? 0, 0, 0]),
  );
}

/** Null where too little has any weight. */
function weightedPlane(
  values: Float64Array,
  dx: Float64Array,
  dy: Float64Array,
  weights: Float64Array,
): Planes[number] | null {
  const rows = Array.from({ length: 3 }, () => new Float64Array(4));
  let total = 0;
  for (let i = 0; i < values.length; i++) {
    const w = weights[i];
    if (w === 0) continue;
    total += w;
    const [x, y, value] = [dx[i], dy[i], values[i]];
    rows[0][0] += w;
    rows[0][1] += w * x;
    rows[0][2] += w * y;
    rows[0][3] += w * value;
    rows[1][1] += w * x * x;
    rows[1][2] += w * x * y;
    rows[1][3] += w * x * value;
    rows[2][2] += w * y * y;
    rows[2][3] += w * y * value;
  }
  if (total < 8) return null;
  rows[1][0] = rows[0][1];
  rows[2][0] = rows[0][2];
  rows[2][1] = rows[1][2];
  const [at, byX, byY] = solved(rows);
  return [at, byX, byY].every(Number.isFinite) ? [at, byX, byY] : null;
}
