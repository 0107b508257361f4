import type { Oklab } from '../colour/oklab';
import { oklchFromOklab } from '../colour/oklab';
import { temperature } from '../colour/temperature';
import { layStroke, type Stroke } from '../picture/strokes';
import {
  greyOfValue,
  NO_VALUE,
  opaqueCount,
  VALUE_BINS,
  valueOfBin,
  type ValueImage,
} from '../picture/value-map';
import type { Picture } from '../picture/picture';
import { groupColours } from './group-colours';
import { naturalEdges } from './thresholds';
import { zoneMap } from './zones';

export const SHADOW = 0;
export const LIGHT = 1;
export type Side = 'light' | 'shadow';

/** A manual correction of the split. */
export interface Correction extends Stroke {
  side: Side;
}

/** What lies in the light, or in the shadow. */
export interface SideReading {
  /** Of the picture, 0–1. */
  share: number;
  /** Mean Munsell value, 0–10. */
  value: number;
  /** Mean OKLab. */
  colour: Oklab;
  /** Of the mean colour, −3 (cool) to 3 (warm). */
  temperature: number;
  /** OKLCH chroma of the mean colour, from 0. */
  chroma: number;
  /** Mean of the pixels' own chroma, from 0: higher where several hues cancel out in the mean. */
  meanChroma: number;
}

/** The two families of a picture; one is null when it holds nothing. */
export interface LightAndShadow {
  /** The Munsell value that parts the two before any correction. */
  threshold: number;
  /** Share of the picture that corrections have put on the other side, 0–1. */
  corrected: number;
  light: SideReading | null;
  shadow: SideReading | null;
}

/** The bin edge between shadow and light: Otsu's threshold of what is seen through the squint. */
export function splitEdge(squinted: ValueImage): number {
  return naturalEdges(squinted.counts, 2)[0];
}

/**
 * `SHADOW` or `LIGHT` for each pixel, `NO_VALUE` where it is transparent: by Otsu's threshold of the
 * squinted values, then as the corrections say, the later over the earlier.
 */
export function sideMap(squinted: ValueImage, corrections: readonly Correction[]): Uint8Array {
  const { picture, map } = squinted;
  const sides = zoneMap(map, [splitEdge(squinted)]);
  for (const correction of corrections) {
    const side = correction.side === 'light' ? LIGHT : SHADOW;
    layStroke(correction, picture.width, picture.height, (row, first, last) => {
      for (let p = row * picture.width + first; p <= row * picture.width + last; p++)
        if (sides[p] !== NO_VALUE) sides[p] = side;
    });
  }
  return sides;
}

/** The reading of the two families; colours are of the picture as it is. */
export function readLightAndShadow(
  plain: ValueImage,
  squinted: ValueImage,
  corrections: readonly Correction[],
): LightAndShadow {
  const edge = splitEdge(squinted);
  const sides = sideMap(squinted, corrections);
  const opaque = opaqueCount(plain);
  const colours = groupColours(plain.picture, sides, 2);
  const values = meanValues(plain, sides);
  let moved = 0;
  if (corrections.length > 0)
    for (let p = 0; p < sides.length; p++)
      if (sides[p] !== NO_VALUE && sides[p] !== (squinted.map[p] < edge ? SHADOW : LIGHT)) moved++;
  const reading = (side: number): SideReading | null => {
    const { pixels, colour, chroma } = colours[side];
    return (
      colour && {
        share: pixels / opaque,
        value: values[side],
        colour,
        temperature: temperature(colour),
        chroma: oklchFromOklab(colour).C,
        meanChroma: chroma,
      }
    );
  };
  return {
    threshold: (edge / VALUE_BINS) * 10,
    corrected: moved / opaque,
    light: reading(LIGHT),
    shadow: reading(SHADOW),
  };
}

/** The mean Munsell value of shadow and light; 0 for one that holds nothing. */
function meanValues({ map }: ValueImage, sides: Uint8Array): number[] {
  const counts = new Uint32Array(2 * 256);
  for (let p = 0; p < sides.length; p++)
    if (sides[p] !== NO_VALUE) counts[sides[p] * 256 + map[p]]++;
  return [SHADOW, LIGHT].map((side) => {
    const bins = counts.subarray(side * 256, (side + 1) * 256);
    const pixels = bins.reduce((sum, n) => sum + n, 0);
    return bins.reduce((sum, n, bin) => sum + n * valueOfBin(bin), 0) / Math.max(1, pixels);
  });
}

/** The picture in two greys, each the mean value of its family. */
export function sidePicture(image: ValueImage, sides: Uint8Array): Picture {
  const greys = meanValues(image, sides).map(greyOfValue);
  const data = new Uint8ClampedArray(sides.length * 4);
  for (let p = 0, i = 0; p < sides.length; p++, i += 4) {
    if (sides[p] === NO_VALUE) continue;
    data[i] = data[i + 1] = data[i + 2] = greys[sides[p]];
    data[i + 3] = 255;
  }
  const { width, height } = image.picture;
  return { width, height, data };
}
