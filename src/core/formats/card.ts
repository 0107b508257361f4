import { labFromOklab } from '../colour/cielab';
import { ciede2000 } from '../colour/ciede2000';
import { writeOklab, type Oklab } from '../colour/oklab';
import { LINEAR_OF_BYTE } from '../colour/srgb';
import { OPAQUE, type Picture } from '../picture/picture';
import { connectedComponents } from '../raster/connected-components';
import { growRegions } from '../raster/region-growing';
import { bareSwatch, FormatError, type LibraryFile } from './library-file';

/** A patch of a swatch card: its colour, and where it lies in fractions of the picture. */
export interface CardPatch {
  colour: Oklab;
  x: number;
  y: number;
  width: number;
  height: number;
}

/** The long side, in samples, on which patches are sought. */
const SIDE = 360;
/** Two neighbours within this CIEDE2000 are of one patch; paper grain and JPEG are under it. */
const SMOOTH = 2.3;
/** A patch takes at least this share of the picture, and fills this much of its own box. */
const MIN_SHARE = 0.0012;
const MIN_FULL = 0.82;
/** The longest a patch is against its width: longer ones are lines and borders. */
const LONGEST = 14;
/** Of a patch's outline, the share beyond which the colour must break off at once, and how far out that is looked at. */
const MIN_BROKEN = 0.7;
const STEP_OUT = 3;
/** A piece that reaches along this much of the picture's edge is what the card lies on. */
const EDGE = 0.2;
/** Share of a patch, at each of its sides, that is left out of its colour. */
const RIM = 0.15;
const MAX_PATCHES = 2000;
/** Samples after which the mean of a growing patch is computed again. */
const MEAN_EVERY = 32;

/**
 * The even patches of a picture of a swatch card or chart, in reading order: connected samples that part little from
 * their neighbours, that fill their box, and are not the ground. Patches of one colour that touch are one.
 */
export function cardPatches(picture: Picture): CardPatch[] {
  const small = evened(sampled(picture));
  const { labels, entry, size } = connectedComponents(
    evenMap(small),
    small.width,
    small.height,
    -1,
  );
  const boxes = boxesOf(labels, size.length, small.width, small.height);
  const area = small.width * small.height;
  const around = 2 * (small.width + small.height);
  const patches: CardPatch[] = [];
  entry.forEach((_, component) => {
    const box = boxes[component];
    const wide = box.right - box.left + 1;
    const high = box.bottom - box.top + 1;
    const large = size[component] >= Math.max(9, MIN_SHARE * area);
    const full = size[component] >= MIN_FULL * wide * high;
    const shapely = Math.max(wide, high) <= LONGEST * Math.min(wide, high);
    if (!large || !full || !shapely || box.edge > EDGE * around) return;
    if (brokenShare(small, labels, component, box) < MIN_BROKEN) return;
    patches.push({
      colour: colourWithin(small, labels, component, box),
      x: box.left / small.width,
      y: box.top / small.height,
      width: wide / small.width,
      height: high / small.height,
    });
  });
  return inReadingOrder(patches).slice(0, MAX_PATCHES);
}

/** The card as a library; its swatches have no names of their own. Throws a FormatError where no patch is found. */
export function readCard(picture: Picture): LibraryFile {
  const patches = cardPatches(picture);
  if (patches.length === 0)
    throw new FormatError(1, 'no even patches of colour were found in this picture.');
  return {
    name: '',
    note: '',
    tags: [],
    swatches: patches.map(({ colour }) => bareSwatch('', colour)),
  };
}

interface SampleGrid {
  width: number;
  height: number;
  /** OKLab of each sample, and whether it is seen. */
  colour: Float64Array;
  mask: Uint8Array;
}

/** The picture as means of the linear light of small squares, in OKLab. */
function sampled({ width, height, data }: Picture): SampleGrid {
  const step = Math.max(1, Math.max(width, height) / SIDE);
  const wide = Math.max(1, Math.floor(width / step));
  const high = Math.max(1, Math.floor(height / step));
  const colour = new Float64Array(wide * high * 3);
  const mask = new Uint8Array(wide * high);
  for (let y = 0; y < high; y++)
    for (let x = 0; x < wide; x++) {
      const at = y * wide + x;
      let count = 0;
      const sum = [0, 0, 0];
      for (
        let v = Math.floor(y * step);
        v < Math.max(Math.floor(y * step) + 1, (y + 1) * step);
        v++
      )
        for (
          let u = Math.floor(x * step);
          u < Math.max(Math.floor(x * step) + 1, (x + 1) * step);
          u++
        ) {
          const p = (Math.min(v, height - 1) * width + Math.min(u, width - 1)) * 4;
          if (data[p + 3] < OPAQUE) continue;
          count++;
          for (let k = 0; k < 3; k++) sum[k] += LINEAR_OF_BYTE[data[p + k]];
        }
      if (count === 0) continue;
      mask[at] = 1;
      writeOklab(sum[0] / count, sum[1] / count, sum[2] / count, colour, at * 3);
    }
  return { width: wide, height: high, colour, mask };
}

/** With each sample the mean of the nine around it, which takes most of a camera's grain. */
function evened(samples: SampleGrid): SampleGrid {
  const { width, height, colour, mask } = samples;
  const out = new Float64Array(colour.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let count = 0;
      const at = (y * width + x) * 3;
      for (let v = Math.max(0, y - 1); v <= Math.min(height - 1, y + 1); v++)
        for (let u = Math.max(0, x - 1); u <= Math.min(width - 1, x + 1); u++) {
          const from = v * width + u;
          if (!mask[from]) continue;
          count++;
          for (let k = 0; k < 3; k++) out[at + k] += colour[from * 3 + k];
        }
      if (count > 0) for (let k = 0; k < 3; k++) out[at + k] /= count;
    }
  return { ...samples, colour: out };
}

function colourAt({ colour }: SampleGrid, at: number): Oklab {
  return { L: colour[at * 3], a: colour[at * 3 + 1], b: colour[at * 3 + 2] };
}

/**
 * The patch of each sample: samples join their neighbours while they are near the mean of what has joined
 * so far, so that a slow fading is no patch.
 */
function evenMap(samples: SampleGrid): Int32Array {
  let sum = { L: 0, a: 0, b: 0 };
  let count = 0;
  let mean = { L: 0, a: 0, b: 0 };
  return growRegions(samples, {
    begin(cell) {
      sum = { L: 0, a: 0, b: 0 };
      count = 0;
      mean = labFromOklab(colourAt(samples, cell));
    },
    join(cell) {
      const { L, a, b } = colourAt(samples, cell);
      sum = { L: sum.L + L, a: sum.a + a, b: sum.b + b };
      count++;
      if (count % MEAN_EVERY === 0)
        mean = labFromOklab({ L: sum.L / count, a: sum.a / count, b: sum.b / count });
    },
    accepts: (cell) => ciede2000(mean, labFromOklab(colourAt(samples, cell))) <= SMOOTH,
  });
}

interface Box {
  left: number;
  right: number;
  top: number;
  bottom: number;
  /** Samples on the picture's edge. */
  edge: number;
}

function boxesOf(of: Int32Array, count: number, width: number, height: number): Box[] {
  const boxes = Array.from({ length: count }, () => ({
    left: width,
    right: -1,
    top: height,
    bottom: -1,
    edge: 0,
  }));
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const box = boxes[of[y * width + x]];
      if (!box) continue;
      box.left = Math.min(box.left, x);
      box.right = Math.max(box.right, x);
      box.top = Math.min(box.top, y);
      box.bottom = Math.max(box.bottom, y);
      if (x === 0 || y === 0 || x === width - 1 || y === height - 1) box.edge++;
    }
  return boxes;
}

/** The share of a patch's sides, row by row and column by column, at which another colour begins at once. */
function brokenShare(samples: SampleGrid, of: Int32Array, component: number, box: Box): number {
  const { width, height } = samples;
  let sides = 0;
  let broken = 0;
  const look = (x: number, y: number, dx: number, dy: number) => {
    const u = x + dx * STEP_OUT;
    const v = y + dy * STEP_OUT;
    sides++;
    if (u < 0 || v < 0 || u >= width || v >= height || !samples.mask[v * width + u]) {
      broken++;
      return;
    }
    const apart = ciede2000(
      labFromOklab(colourAt(samples, y * width + x)),
      labFromOklab(colourAt(samples, v * width + u)),
    );
    if (apart > SMOOTH) broken++;
  };
  for (let y = box.top; y <= box.bottom; y++) {
    let first = box.left;
    while (of[y * width + first] !== component && first < box.right) first++;
    let last = box.right;
    while (of[y * width + last] !== component && last > box.left) last--;
    look(first, y, -1, 0);
    look(last, y, 1, 0);
  }
  for (let x = box.left; x <= box.right; x++) {
    let first = box.top;
    while (of[first * width + x] !== component && first < box.bottom) first++;
    let last = box.bottom;
    while (of[last * width + x] !== component && last > box.top) last--;
    look(x, first, 0, -1);
    look(x, last, 0, 1);
  }
  return broken / sides;
}

/** The mean of a patch without its rim, where it has run into what lies beside it. */
function colourWithin(samples: SampleGrid, of: Int32Array, component: number, box: Box): Oklab {
  const inset = (from: number, to: number) => Math.floor((to - from + 1) * RIM);
  const across = inset(box.left, box.right);
  const down = inset(box.top, box.bottom);
  const sum = { L: 0, a: 0, b: 0 };
  let count = 0;
  for (let y = box.top + down; y <= box.bottom - down; y++)
    for (let x = box.left + across; x <= box.right - across; x++) {
      const at = y * samples.width + x;
      if (of[at] !== component) continue;
      const { L, a, b } = colourAt(samples, at);
      sum.L += L;
      sum.a += a;
      sum.b += b;
      count++;
    }
  return { L: sum.L / count, a: sum.a / count, b: sum.b / count };
}

/** Row by row from above, each from the left; a row is what overlaps by half in height. */
function inReadingOrder(patches: readonly CardPatch[]): CardPatch[] {
  const waiting = [...patches].sort((one, other) => one.y - other.y);
  const order: CardPatch[] = [];
  while (waiting.length > 0) {
    const { y, height } = waiting[0];
    const row = waiting.filter((patch) => patch.y + patch.height / 2 < y + height);
    order.push(...row.sort((one, other) => one.x - other.x));
    for (const patch of row) waiting.splice(waiting.indexOf(patch), 1);
  }
  return order;
}
