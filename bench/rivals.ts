import * as imageQ from 'image-q';
import quantize from 'quantize';
import { oklabFromBytes, type Bytes } from '../src/core/colour/hex';
import { oklabFromRgb, type Oklab } from '../src/core/colour/oklab';
import { writeLab } from '../src/core/colour/cielab';
import { writeOklab } from '../src/core/colour/oklab';
import { LINEAR_OF_BYTE } from '../src/core/colour/srgb';
import type { Picture } from '../src/core/picture/picture';
import { kMeans as kMeansFrom } from '../src/core/raster/k-means';
import { randomFrom } from '../src/core/seeded';

/** Something else that makes a palette of a picture. */
export interface Rival {
  name: string;
  palette: (picture: Picture, count: number) => Oklab[];
}

const RESTARTS = 10;
const ROUNDS = 60;

type Write = typeof writeOklab;

/** Pixels gathered by six bits a channel, each with its mean in a space. */
function points({ data }: Picture, write: Write) {
  const sums = new Map<number, [number, number, number, number]>();
  for (let i = 0; i < data.length; i += 4) {
    const key = ((data[i] >> 2) << 12) | ((data[i + 1] >> 2) << 6) | (data[i + 2] >> 2);
    const sum = sums.get(key) ?? [0, 0, 0, 0];
    for (let c = 0; c < 3; c++) sum[c] += LINEAR_OF_BYTE[data[i + c]];
    sum[3]++;
    sums.set(key, sum);
  }
  const at = new Float64Array(sums.size * 3);
  const weight = new Float64Array(sums.size);
  let k = 0;
  for (const [r, g, b, n] of sums.values()) {
    write(r / n, g / n, b / n, at, k * 3);
    weight[k++] = n;
  }
  return { at, weight };
}

/** k-means with k-means++ seeds, the best of ten restarts by its own squared error, in a space. */
function kMeans(picture: Picture, count: number, write: Write): Oklab[] {
  const { at, weight } = points(picture, write);
  const n = weight.length;
  const random = randomFrom(count * 7919);
  const squared = (k: number, centre: Float64Array, c: number) =>
    (at[k * 3] - centre[c * 3]) ** 2 +
    (at[k * 3 + 1] - centre[c * 3 + 1]) ** 2 +
    (at[k * 3 + 2] - centre[c * 3 + 2]) ** 2;
  let best: Uint8Array = new Uint8Array(n);
  let least = Infinity;
  for (let restart = 0; restart < RESTARTS; restart++) {
    const centre = new Float64Array(count * 3);
    const near = new Float64Array(n).fill(Infinity);
    for (let c = 0; c < count; c++) {
      const mass = weight.reduce((sum, w, k) => sum + w * (c === 0 ? 1 : near[k]), 0);
      let left = random() * mass;
      let k = 0;
      while (k < n - 1 && (left -= weight[k] * (c === 0 ? 1 : near[k])) > 0) k++;
      centre.set(at.subarray(k * 3, k * 3 + 3), c * 3);
      for (let i = 0; i < n; i++) near[i] = Math.min(near[i], squared(i, centre, c));
    }
    const { owner, error } = kMeansFrom(at, centre, ROUNDS, weight);
    if (error < least) {
      least = error;
      best = owner;
    }
  }
  return meansOf(best, at, weight, count, write);
}

/** The groups' means in the space that they were found in. */
function meansOf(
  owner: Uint8Array,
  at: Float64Array,
  weight: Float64Array,
  count: number,
  write: Write,
): Oklab[] {
  const sums = Array.from({ length: count }, () => ({ p: [0, 0, 0], w: 0 }));
  for (let k = 0; k < owner.length; k++) {
    const sum = sums[owner[k]];
    for (let c = 0; c < 3; c++) sum.p[c] += weight[k] * at[k * 3 + c];
    sum.w += weight[k];
  }
  return sums
    .filter(({ w }) => w > 0)
    .map(({ p, w }) => {
      const mean = p.map((one) => one / w);
      return write === writeOklab ? { L: mean[0], a: mean[1], b: mean[2] } : oklabFromLab(mean);
    });
}

/** CIELAB (D65) to OKLab; the white is that of the sRGB matrix, as in the core. */
function oklabFromLab([L, a, b]: number[]): Oklab {
  const fy = (L + 16) / 116;
  const inverse = (f: number) => (f ** 3 > 216 / 24389 ? f ** 3 : (116 * f - 16) / (24389 / 27));
  const X = 0.9504559270516716 * inverse(fy + a / 500);
  const Y = inverse(fy);
  const Z = 1.0890577507598784 * inverse(fy - b / 200);
  const encode = (u: number) =>
    u <= 0.0031308 ? 12.92 * u : 1.055 * Math.max(0, u) ** (1 / 2.4) - 0.055;
  return oklabFromRgb({
    r: encode(3.2409699419 * X - 1.5373831776 * Y - 0.4986107603 * Z),
    g: encode(-0.9692436363 * X + 1.8759675015 * Y + 0.0415550574 * Z),
    b: encode(0.0556300797 * X - 0.2039769589 * Y + 1.0569715142 * Z),
  });
}

function byImageQ(method: 'wuquant' | 'neuquant' | 'neuquant-float') {
  return ({ width, height, data }: Picture, count: number): Oklab[] => {
    const container = imageQ.utils.PointContainer.fromUint8Array(data, width, height);
    const palette = imageQ.buildPaletteSync([container], {
      paletteQuantization: method,
      colors: count,
      colorDistanceFormula: 'euclidean',
    });
    return palette
      .getPointContainer()
      .getPointArray()
      .map(({ r, g, b }) => oklabFromBytes([r, g, b]));
  };
}

export const K_MEANS: Rival[] = [
  { name: 'k-means, OKLab', palette: (picture, count) => kMeans(picture, count, writeOklab) },
  { name: 'k-means, CIELAB', palette: (picture, count) => kMeans(picture, count, writeLab) },
];

export const QUANTIZERS: Rival[] = [
  { name: 'Wu', palette: byImageQ('wuquant') },
  { name: 'neural net', palette: byImageQ('neuquant') },
  { name: 'neural net, floats', palette: byImageQ('neuquant-float') },
  {
    name: 'median cut',
    palette: ({ data }, count) => {
      const pixels: Bytes[] = [];
      for (let i = 0; i < data.length; i += 4) pixels.push([data[i], data[i + 1], data[i + 2]]);
      const map = quantize(pixels, count);
      return map ? map.palette().map((bytes) => oklabFromBytes(bytes)) : [];
    },
  },
];
