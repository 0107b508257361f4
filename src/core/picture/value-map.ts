import { byteOfLinear, LINEAR_OF_BYTE, luminance } from '../colour/srgb';
import { luminanceOfValue, quickValueOfLuminance } from '../colour/value';
import { BLUE_PART, byLuminance, GREEN_PART, RED_PART } from './luminance';
import { OPAQUE, type Picture } from './picture';

/** Values are counted in 200 bins of 0.05 Munsell steps. */
export const VALUE_BINS = 200;
/** Marks a transparent pixel in a map of bins. */
export const NO_VALUE = 255;

/** The bin of a Munsell value (0–10), 0 to 199. */
export function binOfValue(value: number): number {
  return Math.min(VALUE_BINS - 1, Math.floor((value / 10) * VALUE_BINS));
}

/** The Munsell value in the middle of a bin. */
export function valueOfBin(bin: number): number {
  return ((bin + 0.5) / VALUE_BINS) * 10;
}

/** Marks a transparent pixel among hundredths. */
export const TRANSPARENT = 0xffff;

/** Whole hundredths of a Munsell step, rounded down, so that bins of five of them are exact. */
const HUNDREDTHS = byLuminance(Uint16Array, (Y) => Math.floor(quickValueOfLuminance(Y) * 100));

/** The value of each pixel in hundredths of a Munsell step, `NOTHING` where it is transparent. */
export function valueHundredths({ data }: Picture): Uint16Array {
  const values = new Uint16Array(data.length / 4);
  for (let i = 0, p = 0; p < values.length; i += 4, p++)
    values[p] =
      data[i + 3] < OPAQUE
        ? TRANSPARENT
        : HUNDREDTHS[
            (RED_PART[data[i]] + GREEN_PART[data[i + 1]] + BLUE_PART[data[i + 2]] + 0.5) | 0
          ];
  return values;
}

/** Hundredths of a step in a bin. */
const A_BIN = 1000 / VALUE_BINS;
const BINS = Uint8Array.from({ length: 1001 }, (_, hundredths) =>
  Math.min(VALUE_BINS - 1, Math.floor(hundredths / A_BIN)),
);

/** The bin by luminance step. */
const BIN_OF_STEP = Uint8Array.from(HUNDREDTHS, (hundredths) => BINS[hundredths]);

/** The value bin of each pixel, `NO_VALUE` where it is transparent: width × height entries. */
export function valueMap({ data }: Picture): Uint8Array {
  const map = new Uint8Array(data.length / 4);
  for (let i = 0, p = 0; p < map.length; i += 4, p++)
    map[p] =
      data[i + 3] < OPAQUE
        ? NO_VALUE
        : BIN_OF_STEP[
            (RED_PART[data[i]] + GREEN_PART[data[i + 1]] + BLUE_PART[data[i + 2]] + 0.5) | 0
          ];
  return map;
}

/** The same from the picture's hundredths. */
function mapOfHundredths(hundredths: Uint16Array): Uint8Array {
  const map = new Uint8Array(hundredths.length);
  for (let p = 0; p < map.length; p++)
    map[p] = hundredths[p] === TRANSPARENT ? NO_VALUE : BINS[hundredths[p]];
  return map;
}

/** A picture with the value bins of its pixels and how many fall into each. */
export interface ValueImage {
  picture: Picture;
  map: Uint8Array;
  counts: Float64Array;
}

/** `hundredths` are the picture's, where they are known already. */
export function valueImageOf(picture: Picture, hundredths?: Uint16Array): ValueImage {
  const map = hundredths ? mapOfHundredths(hundredths) : valueMap(picture);
  return { picture, map, counts: valueCounts(map) };
}

/** The Munsell value at a bin edge. */
export const valueOfEdge = (edge: number): number => (edge / VALUE_BINS) * 10;

/** The bin edge at a Munsell value, at least one bin from either end. */
export function edgeOfValue(value: number): number {
  return Math.min(VALUE_BINS - 1, Math.max(1, Math.round((value / 10) * VALUE_BINS)));
}

/** How many pixels are not transparent. */
export function opaqueCount({ counts }: Pick<ValueImage, 'counts'>): number {
  return counts.reduce((sum, count) => sum + count, 0);
}

/** How many pixels fall into each value bin; transparent ones into none. */
export function valueCounts(map: Uint8Array): Float64Array {
  const counts = new Float64Array(256);
  for (let p = 0; p < map.length; p++) counts[map[p]]++;
  return counts.slice(0, VALUE_BINS);
}

/** The picture in greys of the same luminance: what is left when hue and chroma are taken away. */
export function greyPicture({ width, height, data }: Picture): Picture {
  const out = new Uint8ClampedArray(data.length);
  for (let i = 0; i < data.length; i += 4) {
    if (data[i + 3] < OPAQUE) continue;
    const grey = byteOfLinear(
      luminance(LINEAR_OF_BYTE[data[i]], LINEAR_OF_BYTE[data[i + 1]], LINEAR_OF_BYTE[data[i + 2]]),
    );
    out[i] = out[i + 1] = out[i + 2] = grey;
    out[i + 3] = 255;
  }
  return { width, height, data: out };
}

/** The 8-bit grey of a Munsell value. */
export function greyOfValue(value: number): number {
  return byteOfLinear(luminanceOfValue(value));
}
