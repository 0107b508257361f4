import type { Pusher } from './push';

/** Nodes along the grey's lightness, and along a and b. */
const GREYS = 41;
const SIDES = 121;
/** a and b reach this far to either side of grey: all of sRGB. */
const MAX_AB = 0.33;
/** How much denser nodes stand about grey than at the ends. */
const CROWDED = 2.3;

const NODES = GREYS * SIDES * SIDES;
const STEP_GREY = SIDES * SIDES;
const STEP_A = SIDES;

/** a or b of a node: dense about grey, where the pushes bend most. */
const AT = Float64Array.from({ length: SIDES }, (_, i) => {
  const t = (2 * i) / (SIDES - 1) - 1;
  return (MAX_AB * Math.sinh(CROWDED * t)) / Math.sinh(CROWDED);
});
/** What the four corners of a pixel's tetrahedron weigh together, as a power of two. */
const WEIGHT_BITS = 8;
const WEIGHTS = 1 << WEIGHT_BITS;
/** So many that a step is no more than a weight's unit, where nodes stand densest. */
const FINE = 65536;
/** A place among `nodes` of them in whole 256ths, before the last node. */
const fixed = (place: number, nodes: number) =>
  Math.min((nodes - 1) * WEIGHTS - 1, Math.max(0, Math.floor(place * WEIGHTS)));
/** Place among the nodes by a or b, in fine steps: in the middle of each. */
const POSITION = Uint16Array.from({ length: FINE }, (_, step) => {
  const x = ((2 * (step + 0.5)) / FINE - 1) * MAX_AB;
  const t = Math.asinh((x / MAX_AB) * Math.sinh(CROWDED)) / CROWDED;
  return fixed(((t + 1) / 2) * (SIDES - 1), SIDES);
});

/** Lightness of a node's grey: dense toward black and white, where there is little room for chroma. */
const GREY_AT = Float64Array.from(
  { length: GREYS },
  (_, i) => (1 - Math.cos((Math.PI * i) / (GREYS - 1))) / 2,
);
const GREY_POSITION = Uint16Array.from({ length: FINE }, (_, step) =>
  fixed((Math.acos(1 - (2 * (step + 0.5)) / FINE) / Math.PI) * (GREYS - 1), GREYS),
);

const PER_AB = FINE / (2 * MAX_AB);
/** The fine step of a number from 0 on, within the table. */
const fineStep = (step: number) => (step <= 0 ? 0 : step >= FINE ? FINE - 1 : step | 0);

/** Further corners of a cube of nodes on the way from its first to its last, in the six orders of walking
 * it, in places of a table. */
const SECOND = Int32Array.of(STEP_GREY, STEP_GREY, STEP_A, STEP_A, 1, 1).map((step) => step * 4);
const THIRD = Int32Array.of(
  STEP_GREY + STEP_A,
  STEP_GREY + 1,
  STEP_A + STEP_GREY,
  STEP_A + 1,
  1 + STEP_GREY,
  1 + STEP_A,
).map((step) => step * 4);
const LAST = (STEP_GREY + STEP_A + 1) * 4;
/** Parts of a level that a table keeps, as a power of two. */
const LEVEL_BITS = 5;
const LEVEL = 1 << LEVEL_BITS;
const SHIFT = WEIGHT_BITS + LEVEL_BITS;
const HALF = 1 << (SHIFT - 1);

/** Where pixels stand among the nodes of a table: made once for a picture, used at every move of a slider. */
export interface Positions {
  /** The first corner, times eight, and the order of the others. */
  corner: Uint32Array;
  /** What the three others weigh, in 256ths (255 at most), eight bits each. */
  weights: Uint32Array;
}

export function emptyPositions(pixels: number): Positions {
  return { corner: new Uint32Array(pixels), weights: new Uint32Array(pixels) };
}

/** Where a grey of some lightness stands among the nodes, in 256ths. */
export const greyPosition = (lightness: number): number =>
  GREY_POSITION[fineStep(lightness * FINE)];

/** Notes where a pixel stands, by the position of its grey and its a and b. */
export function setPosition(
  { corner, weights }: Positions,
  p: number,
  g: number,
  a: number,
  b: number,
): void {
  const u = POSITION[fineStep((a + MAX_AB) * PER_AB)];
  const v = POSITION[fineStep((b + MAX_AB) * PER_AB)];
  const fg = g & (WEIGHTS - 1);
  const fa = u & (WEIGHTS - 1);
  const fb = v & (WEIGHTS - 1);
  let order: number;
  if (fg >= fa) order = fa >= fb ? 0 : fg >= fb ? 1 : 4;
  else order = fg >= fb ? 2 : fa >= fb ? 3 : 5;
  const most = fg >= fa ? (fg >= fb ? fg : fb) : fa >= fb ? fa : fb;
  const least = fg <= fa ? (fg <= fb ? fg : fb) : fa <= fb ? fa : fb;
  const middle = fg + fa + fb - most - least;
  const corners = (g >> WEIGHT_BITS) * STEP_GREY + (u >> WEIGHT_BITS) * STEP_A + (v >> WEIGHT_BITS);
  corner[p] = (corners << 3) | order;
  weights[p] = (most - middle) | ((middle - least) << 8) | (least << 16);
}

/** The nodes that positions use: 1 for each. */
export function usedNodes({ corner }: Positions): Uint8Array {
  const used = new Uint8Array(NODES);
  for (const one of corner) {
    const first = one >> 3;
    used[first] = 1;
    used[first + SECOND[one & 7] / 4] = 1;
    used[first + THIRD[one & 7] / 4] = 1;
    used[first + LAST / 4] = 1;
  }
  return used;
}

/**
 * What a push makes of the nodes that are used: four places each, three of them encoded channels in 32nds of a level. Less what
 * `none` makes of them, if that is given: then nothing is pushed where nothing is asked.
 */
export function tableOf(
  push: Pusher,
  none: Pusher | null,
  [castA, castB]: readonly [number, number],
  used: Uint8Array,
): Int16Array {
  const table = new Int16Array(NODES * 4);
  const before = new Float64Array(3);
  const after = new Float64Array(3);
  for (let node = 0; node < NODES; node++) {
    if (!used[node]) continue;
    const grey = GREY_AT[Math.floor(node / STEP_GREY)];
    const a = AT[Math.floor(node / STEP_A) % SIDES];
    const b = AT[node % SIDES];
    push(grey, grey, a, b, castA, castB, after, 0);
    none?.(grey, grey, a, b, castA, castB, before, 0);
    for (let k = 0; k < 3; k++) table[node * 4 + k] = Math.round((after[k] - before[k]) * LEVEL);
  }
  return table;
}

/**
 * Adds to pixels what a table says at their positions, by tetrahedral interpolation. `keep` says how far
 * each is pushed, in 255ths; null pushes all of them.
 */
export function addTable(
  { corner, weights }: Positions,
  table: Int16Array,
  from: Uint8ClampedArray,
  keep: Uint8Array | null,
  out: Uint8ClampedArray,
): void {
  // Four bytes at once, lowest first: one write a pixel.
  const source = new Uint32Array(from.buffer, from.byteOffset, corner.length);
  const target = new Uint32Array(out.buffer, out.byteOffset, corner.length);
  for (let p = 0; p < corner.length; p++) {
    const one = corner[p];
    const n0 = (one >> 3) << 2;
    const n1 = n0 + SECOND[one & 7];
    const n2 = n0 + THIRD[one & 7];
    const n3 = n0 + LAST;
    const packed = weights[p];
    const w1 = packed & 255;
    const w2 = (packed >> 8) & 255;
    const w3 = packed >> 16;
    const w0 = WEIGHTS - w1 - w2 - w3;
    let r = w0 * table[n0] + w1 * table[n1] + w2 * table[n2] + w3 * table[n3];
    let g = w0 * table[n0 + 1] + w1 * table[n1 + 1] + w2 * table[n2 + 1] + w3 * table[n3 + 1];
    let b = w0 * table[n0 + 2] + w1 * table[n1 + 2] + w2 * table[n2 + 2] + w3 * table[n3 + 2];
    if (keep !== null) {
      const share = keep[p];
      r = ((r >> 4) * share) >> 4;
      g = ((g >> 4) * share) >> 4;
      b = ((b >> 4) * share) >> 4;
    }
    const own = source[p];
    r = (own & 255) + ((r + HALF) >> SHIFT);
    g = ((own >> 8) & 255) + ((g + HALF) >> SHIFT);
    b = ((own >> 16) & 255) + ((b + HALF) >> SHIFT);
    if ((r | g | b) & ~255) {
      r = r < 0 ? 0 : r > 255 ? 255 : r;
      g = g < 0 ? 0 : g > 255 ? 255 : g;
      b = b < 0 ? 0 : b > 255 ? 255 : b;
    }
    target[p] = (own & 0xff000000) | (b << 16) | (g << 8) | r;
  }
}
