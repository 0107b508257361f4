import { oklabFromOklch } from '../colour/oklab';
import { familyOf, wheelOf, type WheelId } from '../colour/wheel';
import { layStroke, type Stroke } from '../picture/strokes';
import { boxSums } from '../raster/box-sums';

/** What is kept from being pushed. Strokes are in fractions of the picture. */
export interface Protection {
  wheel: WheelId;
  /** Indexes of families on the wheel. */
  families: readonly number[];
  /** Brushed or looped parts. */
  strokes: readonly Stroke[];
  /** 1 where may be pushed: only the lights, only the shadows, only a zone; null for all. */
  only: Uint8Array | null;
}

/** Colours under the first chroma have no family to be kept by; from the second on they have. */
const NO_FAMILY = 0.008;
const FAMILY = 0.016;
/** Protection fades over this many degrees at a family's boundary. */
const FADE = 4;
const HUES = 180;
const GREYS = 8;
/** How far a mask's rim is softened: a share of the diagonal. */
const SOFT = 0.003;

interface Pixels {
  width: number;
  /** The rows of a picture that is `height` pixels high. */
  from: number;
  to: number;
  height: number;
  /** Each pixel's grey, and its a and b. */
  evened: () => { grey: Float32Array; ab: Float32Array };
}

/** How far each pixel may be pushed, in 255ths; null where nothing is protected. */
export function keepMap(pixels: Pixels, protection: Protection): Uint8Array | null {
  const { families, strokes, only } = protection;
  if (families.length === 0 && strokes.length === 0 && only === null) return null;
  const keep = new Uint8Array(pixels.width * (pixels.to - pixels.from)).fill(255);
  if (only !== null || strokes.length > 0) maskInto(keep, pixels, strokes, only);
  if (families.length > 0) familiesInto(keep, pixels, protection);
  return keep;
}

function maskInto(
  keep: Uint8Array,
  { width, from, to, height }: Pixels,
  strokes: readonly Stroke[],
  only: Uint8Array | null,
): void {
  const reach = Math.max(1, Math.round(SOFT * Math.hypot(width, height)));
  // Rows above and below, so that rims are as soft across the rows' ends.
  const first = Math.max(0, from - reach);
  const end = Math.min(height, to + reach);
  const soft = new Float64Array(width * (end - first));
  for (let p = 0, at = first * width; p < soft.length; p++, at++)
    soft[p] = only === null || only[at] === 1 ? 1 : 0;
  for (const stroke of strokes)
    layStroke(stroke, width, height, (row, left, right) => {
      if (row >= first && row < end)
        soft.fill(0, (row - first) * width + left, (row - first) * width + right + 1);
    });
  boxSums(soft, width, end - first, 1, reach);
  for (let y = from, p = 0; y < to; y++) {
    const rows = Math.min(end - 1, y + reach) - Math.max(first, y - reach) + 1;
    for (let x = 0; x < width; x++, p++) {
      const columns = Math.min(width - 1, x + reach) - Math.max(0, x - reach) + 1;
      keep[p] = Math.round((255 * soft[(y - first) * width + x]) / (rows * columns));
    }
  }
}

function familiesInto(keep: Uint8Array, { evened }: Pixels, { wheel, families }: Protection): void {
  const { grey, ab } = evened();
  const share = familyTable(wheel, families);
  for (let p = 0; p < keep.length; p++) {
    const a = ab[p * 2];
    const b = ab[p * 2 + 1];
    const chroma = Math.sqrt(a * a + b * b);
    if (chroma <= NO_FAMILY) continue;
    const hue = Math.floor(((Math.atan2(b, a) / (2 * Math.PI) + 1) % 1) * HUES);
    const row = Math.min(GREYS - 1, Math.floor(grey[p] * GREYS));
    const sure = Math.min(1, (chroma - NO_FAMILY) / (FAMILY - NO_FAMILY));
    keep[p] = Math.round(keep[p] * (1 - sure * share[row * HUES + hue]));
  }
}

/** How far the families hold a colour, 0–1, by the lightness of its grey and its hue. */
function familyTable(id: WheelId, families: readonly number[]): Float32Array {
  const wheel = wheelOf(id);
  const table = new Float32Array(GREYS * HUES);
  for (let row = 0; row < GREYS; row++)
    for (let column = 0; column < HUES; column++) {
      let held = 0;
      for (let off = -FADE; off <= FADE; off++) {
        const h = ((column + 0.5) * 360) / HUES + off;
        const colour = oklabFromOklch({ L: (row + 0.5) / GREYS, C: 0.05, h });
        if (families.includes(familyOf(colour, wheel).index)) held++;
      }
      table[row * HUES + column] = held / (2 * FADE + 1);
    }
  return table;
}
