import { clampShare } from '../share';
import { oklabFromBytes } from '../colour/hex';
import { oklabFromLinear, type Oklab } from '../colour/oklab';
import { LINEAR_OF_BYTE } from '../colour/srgb';
import { quickValueOfLuminance } from '../colour/value';
import { familyOf } from '../colour/wheel';
import { HISTOGRAM_BINS, histogramBin } from '../picture/colour-histogram';
import { OPAQUE, type Picture } from '../picture/picture';
import {
  binOfValue,
  NO_VALUE,
  opaqueCount,
  VALUE_BINS,
  valueOfBin,
  type ValueImage,
} from '../picture/value-map';

/**
 * Lightness is not brightness. The brightness number of a colour is its largest channel (HSB); grey
 * by brightness shows that channel as a grey. Its Munsell value is at least that of the colour, and
 * far above it for strong blues, reds and violets.
 */
const BIN_OF_CHANNEL = Uint8Array.from(LINEAR_OF_BYTE, (Y) => binOfValue(quickValueOfLuminance(Y)));

/** The colours of one family that brightness calls lighter than they are. */
export interface Misled {
  family: string;
  /** Of the picture, 0–1. */
  share: number;
  /** Mean of their light. */
  colour: Oklab;
  /** Their mean value by lightness and by brightness, Munsell 0–10. */
  value: number;
  byBrightness: number;
}

export interface BrightnessReading {
  /** Munsell steps above which the two greys count as parted. */
  step: number;
  /** Share of the picture where they part by more than that, 0–1. */
  parted: number;
  /** The families that cause it, by share; together they are `parted`. */
  causes: Misled[];
}

/** The picture in greys of its brightness. */
export function brightnessPicture({ width, height, data }: Picture): Picture {
  const out = new Uint8ClampedArray(data.length);
  for (let i = 0; i < data.length; i += 4) {
    if (data[i + 3] < OPAQUE) continue;
    out[i] = out[i + 1] = out[i + 2] = Math.max(data[i], data[i + 1], data[i + 2]);
    out[i + 3] = 255;
  }
  return { width, height, data: out };
}

/** The pixels that the two greys disagree about. */
interface MisledPixels {
  /** The families they are of, in the order they were met. */
  families: string[];
  /** For each pixel its family's number, `NO_VALUE` where the greys agree or nothing is. */
  map: Uint8Array;
  /** For each family, how many pixels have each bin of value by lightness, and by brightness. */
  light: Uint32Array[];
  bright: Uint32Array[];
  /** The sums of each family's light: three channels. */
  sums: Float64Array[];
}

export function misledPixels({ picture: { data }, map }: ValueImage, step: number): MisledPixels {
  const found: MisledPixels = {
    families: [],
    map: new Uint8Array(map.length).fill(NO_VALUE),
    light: [],
    bright: [],
    sums: [],
  };
  const familyOfCell = new Int16Array(HISTOGRAM_BINS).fill(-1);
  const bins = (step / 10) * VALUE_BINS;
  for (let p = 0, i = 0; p < map.length; p++, i += 4) {
    if (map[p] === NO_VALUE) continue;
    const r = data[i];
    const g = data[i + 1];
    const b = data[i + 2];
    const bright = BIN_OF_CHANNEL[r > g ? (r > b ? r : b) : g > b ? g : b];
    if (bright - map[p] <= bins) continue;
    const cell = histogramBin(r, g, b);
    if (familyOfCell[cell] < 0) {
      const { name } = familyOf(oklabFromBytes([r, g, b]));
      const known = found.families.indexOf(name);
      if (known < 0) {
        found.light.push(new Uint32Array(VALUE_BINS));
        found.bright.push(new Uint32Array(VALUE_BINS));
        found.sums.push(new Float64Array(3));
      }
      familyOfCell[cell] = known < 0 ? found.families.push(name) - 1 : known;
    }
    const family = familyOfCell[cell];
    found.map[p] = family;
    found.light[family][map[p]]++;
    found.bright[family][bright]++;
    found.sums[family][0] += LINEAR_OF_BYTE[r];
    found.sums[family][1] += LINEAR_OF_BYTE[g];
    found.sums[family][2] += LINEAR_OF_BYTE[b];
  }
  return found;
}

/** Where and by which colours the two greys part by more than `step` Munsell steps. */
export function readBrightness(image: ValueImage, step: number): BrightnessReading {
  const { families, light, bright, sums } = misledPixels(image, step);
  const opaque = opaqueCount(image);
  const misled = families.map((family, i): Misled => {
    const pixels = light[i].reduce((sum, n) => sum + n, 0);
    const [r, g, b] = sums[i];
    return {
      family,
      share: pixels / opaque,
      colour: oklabFromLinear({ r: r / pixels, g: g / pixels, b: b / pixels }),
      value: meanOf(light[i], pixels),
      byBrightness: meanOf(bright[i], pixels),
    };
  });
  return {
    step,
    parted: clampShare(misled.reduce((sum, { share }) => sum + share, 0)),
    causes: misled.sort((one, other) => other.share - one.share),
  };
}

function meanOf(counts: Uint32Array, pixels: number): number {
  return counts.reduce((sum, n, bin) => sum + n * valueOfBin(bin), 0) / pixels;
}
