import { oklabDistance, oklabFromLinear, type Oklab } from '../colour/oklab';
import { LINEAR_OF_BYTE } from '../colour/srgb';
import type { Picture } from '../picture/picture';
import { connectedComponents } from '../raster/connected-components';
import { quantileOf } from '../raster/quantile';
import { mapped } from '../raster/homography';
import { fittedLattice, type Lattice, type Point } from './lattice';
import { paperLight, type LightGrid } from './paper-light';

/** A stroke on a sheet: its colour as it would be on white paper in a white light, and its place in fractions of the picture. */
export interface SheetStroke {
  colour: Oklab;
  x: number;
  y: number;
  /** Whether it is only supposed, because the rows have a place for it: it can hardly be told from the paper. */
  supposed: boolean;
}

/** A sheet that was read. */
export interface OpenSheet {
  strokes: SheetStroke[];
  /** What is painted at a place, in fractions of the picture. */
  colourAt: (x: number, y: number) => Oklab;
}

/** What a touch takes where nothing was found, as a share of the long side. */
const TOUCHED = 0.03;
/** The long side, in samples, on which strokes are sought. */
const SIDE = 760;
/** Reflectance of paper. */
const PAPER_LIGHT = 0.86;
const PAPER = oklabFromLinear({ r: PAPER_LIGHT, g: PAPER_LIGHT, b: PAPER_LIGHT });
/** A stroke is at least this far from the paper in OKLab, and this many times as far as the paper is from itself. */
const MIN_CONTRAST = 0.028;
const OVER_NOISE = 4;
/** A stroke takes at least this share of the picture, and fills this much of its box. */
const MIN_SHARE = 0.0003;
const MIN_FULL = 0.45;
const LONGEST = 5;
/** Areas of strokes against their median: perspective and two that touch. */
const AREAS = [0.25, 3.2] as const;
/** A lattice is believed where it holds this share of the strokes. */
const MIN_IN_LATTICE = 0.7;
/** A stroke that is wider or higher than this, in pitches, is more than one. */
const TOUCHING = 1.2;
/** Samples along each side of the middle of a stroke, and how far they reach, in pitches. */
const SAMPLES = 11;
const REACH = 0.2;
/** Of the paper that shows through a stroke's grain, the share that is passed over. */
const MIDDLE = 0.45;

/**
 * The strokes of a photographed sheet in reading order: what departs from the paper, freed of the light that falls on it,
 * in the rows and columns that it stands in. Where most stand in a lattice, every place of it is read, so that a stroke as
 * pale as the paper is there too; places at the end of the last row that are bare are left out. None for a picture
 * without strokes.
 */
export function readSheet(picture: Picture): OpenSheet {
  const grid = sampled(picture);
  const { width, height } = grid;
  const onPaper = freed(grid);
  const found = strokesIn(contrasts(onPaper, width, height), width, height);
  const lattice = fittedLattice(found.map(({ x, y }) => ({ x: x / width, y: y / width })));
  const inLattice = lattice?.cells.filter((cell) => cell !== null).length ?? 0;
  const around = (x: number, y: number, size: number) =>
    medianAround(onPaper, width, height, { x, y, across: size / 3, down: size / 3 });
  const strokes =
    lattice && inLattice >= MIN_IN_LATTICE * found.length
      ? fromLattice(onPaper, width, height, lattice, found)
      : inRows(found).map(({ x, y, size }) => ({
          colour: around(x, y, size),
          x: x / width,
          y: y / height,
          supposed: false,
        }));
  const sizes = Float64Array.from(found, ({ size }) => size);
  const usual = sizes.length > 0 ? quantileOf(sizes, 0.5) : TOUCHED * Math.max(width, height);
  return { strokes, colourAt: (x, y) => around(x * width, y * height, usual) };
}

/** The picture as means of linear light. */
function sampled({ width, height, data }: Picture): LightGrid {
  const step = Math.max(1, Math.max(width, height) / SIDE);
  const wide = Math.max(1, Math.floor(width / step));
  const high = Math.max(1, Math.floor(height / step));
  const light = new Float32Array(wide * high * 3);
  for (let y = 0; y < high; y++)
    for (let x = 0; x < wide; x++) {
      const [x0, y0] = [Math.floor(x * step), Math.floor(y * step)];
      const x1 = Math.max(x0 + 1, Math.floor((x + 1) * step));
      const y1 = Math.max(y0 + 1, Math.floor((y + 1) * step));
      const at = (y * wide + x) * 3;
      for (let v = y0; v < y1; v++)
        for (let u = x0; u < x1; u++)
          for (let k = 0; k < 3; k++)
            light[at + k] +=
              LINEAR_OF_BYTE[data[(v * width + u) * 4 + k]] / ((x1 - x0) * (y1 - y0));
    }
  return { width: wide, height: high, light };
}

/** Linear light as it would be on white paper in a white light, three floats a pixel. */
function freed(grid: LightGrid): Float32Array {
  const paper = paperLight(grid);
  return grid.light.map((light, i) =>
    Math.min(1, (PAPER_LIGHT * light) / Math.max(paper[i], 1e-4)),
  );
}

/** How far each pixel, with the eight around it, is from the paper; OKLab. */
function contrasts(onPaper: Float32Array, width: number, height: number): Float32Array {
  const far = new Float32Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const sum = [0, 0, 0];
      let count = 0;
      for (let v = Math.max(0, y - 1); v <= Math.min(height - 1, y + 1); v++)
        for (let u = Math.max(0, x - 1); u <= Math.min(width - 1, x + 1); u++) {
          count++;
          for (let k = 0; k < 3; k++) sum[k] += onPaper[(v * width + u) * 3 + k];
        }
      const [r, g, b] = sum.map((channel) => channel / count);
      far[y * width + x] = oklabDistance(oklabFromLinear({ r, g, b }), PAPER);
    }
  return far;
}

/** The contrast from which a pixel is no paper. */
function contrastFrom(far: Float32Array): number {
  const near = far.filter((d) => d < 2 * MIN_CONTRAST);
  const noise = near.length > 0 ? quantileOf(near, 0.5) : 0;
  return Math.max(MIN_CONTRAST, OVER_NOISE * noise);
}

interface FoundStroke extends Point {
  /** The side of a square as large, and how wide and high it is. */
  size: number;
  wide: number;
  high: number;
}

/** What departs from the paper and has the shape of a stroke; places in samples. */
function strokesIn(far: Float32Array, width: number, height: number): FoundStroke[] {
  const from = contrastFrom(far);
  const map = Int8Array.from(far, (d) => (d > from ? 1 : -1));
  const { labels, size } = connectedComponents(map, width, height, -1);
  const boxes = size.map(() => ({ left: width, right: 0, top: height, bottom: 0, x: 0, y: 0 }));
  for (let y = 0, pixel = 0; y < height; y++)
    for (let x = 0; x < width; x++, pixel++) {
      const component = labels[pixel];
      if (component < 0) continue;
      const box = boxes[component];
      box.left = Math.min(box.left, x);
      box.right = Math.max(box.right, x);
      box.top = Math.min(box.top, y);
      box.bottom = y;
      box.x += x;
      box.y += y;
    }
  const shaped = boxes.flatMap(({ left, right, top, bottom, x, y }, i) => {
    const [wide, high] = [right - left + 1, bottom - top + 1];
    const atEdge = left === 0 || top === 0 || right === width - 1 || bottom === height - 1;
    const isStroke =
      !atEdge &&
      size[i] >= MIN_SHARE * width * height &&
      size[i] >= MIN_FULL * wide * high &&
      Math.max(wide, high) <= LONGEST * Math.min(wide, high);
    return isStroke ? [{ x: x / size[i], y: y / size[i], area: size[i], wide, high }] : [];
  });
  if (shaped.length === 0) return [];
  const usual = quantileOf(
    Float64Array.from(shaped, ({ area }) => area),
    0.5,
  );
  return shaped
    .filter(({ area }) => area >= AREAS[0] * usual && area <= AREAS[1] * usual)
    .map(({ x, y, area, wide, high }) => ({ x, y, size: Math.sqrt(area), wide, high }));
}

function fromLattice(
  onPaper: Float32Array,
  width: number,
  height: number,
  { columns, rows, toPicture, cells }: Lattice,
  inPicture: readonly FoundStroke[],
): SheetStroke[] {
  const own = new Map<string, FoundStroke>();
  cells.forEach((cell, i) => cell && own.set(cell.join(' '), inPicture[i]));
  const strokes: SheetStroke[] = [];
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const [here, right, below] = [
        [column, row],
        [column + 1, row],
        [column, row + 1],
      ].map(([u, v]) => mapped(toPicture, u, v).map((at) => at * width));
      const across = right[0] - here[0];
      const down = below[1] - here[1];
      const found = own.get(`${column} ${row}`);
      // Strokes that touch are found as one: each lies where the rows have it.
      const alone =
        found && found.wide < TOUCHING * across && found.high < TOUCHING * down ? found : null;
      const { x, y } = alone ?? { x: here[0], y: here[1] };
      const colour = medianAround(onPaper, width, height, {
        x,
        y,
        across: across * REACH,
        down: down * REACH,
      });
      const supposed = !alone && oklabDistance(colour, PAPER) < MIN_CONTRAST;
      strokes.push({ colour, x: x / width, y: y / height, supposed });
    }
  // A set rarely fills its last row: what ends it is there only where it was found.
  const last = strokes.findLastIndex((_, i) =>
    own.has(`${i % columns} ${Math.floor(i / columns)}`),
  );
  return strokes.slice(0, last + 1);
}

/** The middle of the samples around a place, as far as `across` and `down`, channel by channel: grain that shows through is passed over. */
function medianAround(
  onPaper: Float32Array,
  width: number,
  height: number,
  { x, y, across, down }: Point & { across: number; down: number },
): Oklab {
  const channels = [0, 1, 2].map(() => new Float64Array(SAMPLES * SAMPLES));
  for (let j = 0; j < SAMPLES; j++)
    for (let i = 0; i < SAMPLES; i++) {
      const u = Math.round(x + across * ((2 * i) / (SAMPLES - 1) - 1));
      const v = Math.round(y + down * ((2 * j) / (SAMPLES - 1) - 1));
      const at = Math.min(height - 1, Math.max(0, v)) * width + Math.min(width - 1, Math.max(0, u));
      for (let k = 0; k < 3; k++) channels[k][j * SAMPLES + i] = onPaper[at * 3 + k];
    }
  const [r, g, b] = channels.map((channel) => quantileOf(channel, MIDDLE));
  return oklabFromLinear({ r, g, b });
}

/** Strokes that stand in no lattice, row by row: one begins where a stroke lies below the whole of the row before. */
function inRows(found: readonly FoundStroke[]): FoundStroke[] {
  const rows: FoundStroke[][] = [];
  for (const stroke of found.toSorted((one, other) => one.y - other.y)) {
    const row = rows[rows.length - 1];
    const mean = row && row.reduce((sum, { y }) => sum + y, 0) / row.length;
    if (row && stroke.y < mean + stroke.size / 2) row.push(stroke);
    else rows.push([stroke]);
  }
  return rows.flatMap((row) => row.toSorted((one, other) => one.x - other.x));
}
