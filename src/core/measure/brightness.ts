import { clampShare } from '../share';
import { oklabFromBytes } from '../colour/hex';
import { oklabFromLinear, type Oklab } from '../colour/oklab';
import { LINEAR_OF_BYTE } from '../colour/srgb';
import { quickValueOfLuminance } from '../colour/value';
import { familyOf, PAINTERS_WHEEL } from '../colour/wheel';
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
  /** How many pixels of each family have each bin of value by lightness, and by brightness: `VALUE_BINS` a family. */
  light: Uint32Array;
  bright: Uint32Array;
  /** The sums of each family's light: three channels a family. */
  sums: Float64Array;
}

const FAMILIES = PAINTERS_WHEEL.families.length;

export function misledPixels({ picture: { data }, map }: ValueImage, step: number): MisledPixels {
  const families: string[] = [];
  const misled = new Uint8Array(map.length).fill(NO_VALUE);
  const light = new Uint32Array(FAMILIES * VALUE_BINS);
  const brightness = new Uint32Array(FAMILIES * VALUE_BINS);
  const sums = new Float64Array(FAMILIES * 3);
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
      const known = families.indexOf(name);
      familyOfCell[cell] = known < 0 ? families.push(name) - 1 : known;
    }
    const family = familyOfCell[cell];
    misled[p] = family;
    light[family * VALUE_BINS + map[p]]++;
    brightness[family * VALUE_BINS + bright]++;
    sums[family * 3] += LINEAR_OF_BYTE[r];
    sums[family * 3 + 1] += LINEAR_OF_BYTE[g];
    sums[family * 3 + 2] += LINEAR_OF_BYTE[b];
  }
  return { families, map: misled, light, bright: brightness, sums };
}

/** Where and by which colours the two greys part by more than `step` Munsell steps. */
export function readBrightness(image: ValueImage, step: number): BrightnessReading {
  const { families, light, bright, sums } = misledPixels(image, step);
  const opaque = opaqueCount(image);
  const misled = families.map((family, i): Misled => {
    const binsOf = (counts: Uint32Array) => counts.subarray(i * VALUE_BINS, (i + 1) * VALUE_BINS);
    const pixels = binsOf(light).reduce((sum, n) => sum + n, 0);
    const [r, g, b] = sums.subarray(i * 3, i * 3 + 3);
    return {
      family,
      share: pixels / opaque,
      colour: oklabFromLinear({ r: r / pixels, g: g / pixels, b: b / pixels }),
      value: meanOf(binsOf(light), pixels),
      byBrightness: meanOf(binsOf(bright), pixels),
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
