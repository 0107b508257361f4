import { pictureOf, type Picture } from '../picture/picture';

/**
 * How much of each paint is in each pixel of a rendering. What is laid over what is mixed in proportion to its cover, so a pixel is
 * a weighted sum of the paints, and the weights don't change with their colours: once they are known, a drawing in other
 * colours is a sum and no rendering. This holds for fills, strokes, opacity, gradients and patterns, and not for filters,
 * masks by light and blend modes.
 */
export interface PaintWeights {
  width: number;
  height: number;
  paints: readonly string[];
  /** The entries of pixel c are those from `start[c]` up to before `start[c + 1]`. */
  start: Uint32Array;
  paint: Uint16Array;
  /** Of 255, as premultiplied by alpha. */
  weight: Uint8Array;
  alpha: Uint8Array;
}

/** Paints whose weights one rendering tells: one in each channel. */
const CHANNELS = ['#ff0000', '#00ff00', '#0000ff'] as const;
const BLACK = '#000000';

/** What is not a sum of its paints, however it is written. */
const NOT_A_SUM =
  /mix-blend-mode|isolation\s*:|<(?:[\w.-]+:)?(?:filter|mask|image|animate\w*|set)\b|filter\s*:/i;

/** Whether a drawing's rendering is a weighted sum of its paints. */
export const isSumOfPaints = (text: string): boolean => !NOT_A_SUM.test(text);

/** The maps of colours that a drawing has to be rendered in, for its weights to be read. */
export function weightLayers(paints: readonly string[]): Map<string, string>[] {
  return Array.from(
    { length: Math.ceil(paints.length / 3) },
    (_, layer) =>
      new Map(paints.map((hex, i) => [hex, Math.floor(i / 3) === layer ? CHANNELS[i % 3] : BLACK])),
  );
}

/** Reads the weights off renderings in `weightLayers`, all of one size. Throws a RangeError for another number of them. */
export function readWeights(layers: readonly Picture[], paints: readonly string[]): PaintWeights {
  if (layers.length !== Math.ceil(paints.length / 3) || layers.length === 0)
    throw new RangeError(`${layers.length} renderings for ${paints.length} paints`);
  const { width, height } = layers[0];
  const cells = width * height;
  const start = new Uint32Array(cells + 1);
  for (let c = 0; c < cells; c++) {
    let count = 0;
    for (const { data } of layers)
      for (let k = 0; k < 3; k++) if (data[4 * c + k] > 0 && data[4 * c + 3] > 0) count++;
    start[c + 1] = start[c] + count;
  }
  const paint = new Uint16Array(start[cells]);
  const weight = new Uint8Array(start[cells]);
  const alpha = new Uint8Array(cells);
  let at = 0;
  for (let c = 0; c < cells; c++) {
    alpha[c] = layers[0].data[4 * c + 3];
    for (let layer = 0; layer < layers.length; layer++) {
      const { data } = layers[layer];
      const a = data[4 * c + 3];
      for (let k = 0; k < 3; k++) {
        const channel = data[4 * c + k];
        if (channel === 0 || a === 0) continue;
        paint[at] = 3 * layer + k;
        weight[at++] = Math.round((channel * a) / 255);
      }
    }
  }
  return { width, height, paints, start, paint, weight, alpha };
}

/** A rendering in some colours (`#rrggbb`), with `laid` below it where it lets something through. */
export function mixedPaints(
  { width, height, paints, start, paint, weight, alpha }: PaintWeights,
  map: ReadonlyMap<string, string>,
  laid: string | null,
): Picture {
  const channels = paints.map((hex) => bytesOf(map.get(hex) ?? hex));
  const ground = laid === null ? null : bytesOf(laid);
  const data = new Uint8ClampedArray(4 * width * height);
  for (let c = 0; c < alpha.length; c++) {
    let r = 0;
    let g = 0;
    let b = 0;
    for (let e = start[c]; e < start[c + 1]; e++) {
      const w = weight[e];
      const own = channels[paint[e]];
      r += w * own[0];
      g += w * own[1];
      b += w * own[2];
    }
    const a = alpha[c];
    if (ground) {
      r += (255 - a) * ground[0];
      g += (255 - a) * ground[1];
      b += (255 - a) * ground[2];
    }
    const over = ground ? 255 : a;
    if (over === 0) continue;
    data[4 * c] = Math.round(r / over);
    data[4 * c + 1] = Math.round(g / over);
    data[4 * c + 2] = Math.round(b / over);
    data[4 * c + 3] = over;
  }
  return pictureOf(width, height, data);
}

const bytesOf = (hex: string) => [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16));
