import type { Oklab } from '../colour/oklab';
import { oklchFromOklab } from '../colour/oklab';
import { temperature } from '../colour/temperature';
import { layStroke, type Stroke } from '../picture/strokes';
import {
  greyOfValue,
  NO_VALUE,
  opaqueCount,
  valueOfBin,
  valueOfEdge,
  type ValueImage,
} from '../picture/value-map';
import type { Picture } from '../picture/picture';
import { groupColours, groupHistograms } from './group-colours';
import { LIGHT, SHADOW, type LightSplit } from './light-split';

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
  /** The Munsell value that parts the two over the whole picture; a mass may have its own. */
  threshold: number;
  /** Share of the picture that corrections have put on the other side, 0–1. */
  corrected: number;
  light: SideReading | null;
  shadow: SideReading | null;
}

/**
 * `SHADOW` or `LIGHT` for each pixel, `NO_VALUE` where it is transparent: as split, then as the
 * corrections say, the later over the earlier.
 */
export function sideMap(split: LightSplit, corrections: readonly Correction[]): Uint8Array {
  const { picture } = split.squinted;
  const sides = split.sides.slice();
  for (const correction of corrections) {
    const side = correction.side === 'light' ? LIGHT : SHADOW;
    layStroke(correction, picture.width, picture.height, (row, first, last) => {
      for (let p = row * picture.width + first; p <= row * picture.width + last; p++)
        if (sides[p] !== NO_VALUE) sides[p] = side;
    });
  }
  return sides;
}

/** Light and shadow as corrected, with a colour histogram of each. */
export interface SideColours {
  sides: Uint8Array;
  /** Of the shadow, then of the light (`groupHistograms`). */
  histograms: Uint32Array;
}

/** `sides` as `sideMap` makes them; the colours are of the picture as it is. */
export function sideColours(picture: Picture, sides: Uint8Array): SideColours {
  return { sides, histograms: groupHistograms(picture, sides, 2) };
}

/** The reading of the two families. */
export function readLightAndShadow(
  plain: ValueImage,
  split: LightSplit,
  { sides, histograms }: SideColours,
): LightAndShadow {
  const opaque = opaqueCount(plain);
  const colours = groupColours(histograms, 2);
  const values = readSideValues(plain, sides);
  let moved = 0;
  for (let p = 0; p < sides.length; p++) if (sides[p] !== split.sides[p]) moved++;
  const reading = (side: Side): SideReading | null => {
    const { pixels, colour, chroma } = colours[side === 'light' ? LIGHT : SHADOW];
    const value = values[side];
    if (!colour || value === null) return null;
    return {
      share: pixels / opaque,
      value,
      colour,
      temperature: temperature(colour),
      chroma: oklchFromOklab(colour).C,
      meanChroma: chroma,
    };
  };
  return {
    threshold: valueOfEdge(split.edge),
    corrected: moved / opaque,
    light: reading('light'),
    shadow: reading('shadow'),
  };
}

/** The mean Munsell value of each side; null for one that holds nothing. */
export type SideValues = Record<Side, number | null>;

export function readSideValues({ map }: ValueImage, sides: Uint8Array): SideValues {
  const counts = new Uint32Array(2 * 256);
  for (let p = 0; p < sides.length; p++)
    if (sides[p] !== NO_VALUE) counts[sides[p] * 256 + map[p]]++;
  const [shadow, light] = [SHADOW, LIGHT].map((side) => {
    const bins = counts.subarray(side * 256, (side + 1) * 256);
    const pixels = bins.reduce((sum, n) => sum + n, 0);
    return pixels > 0 ? bins.reduce((sum, n, bin) => sum + n * valueOfBin(bin), 0) / pixels : null;
  });
  return { light, shadow };
}

/** The picture in two greys, each the mean value of its family. */
export function sidePicture(image: ValueImage, sides: Uint8Array): Picture {
  const { light, shadow } = readSideValues(image, sides);
  // By side: `SHADOW`, `LIGHT`. A side that holds nothing is drawn nowhere.
  const greys = [shadow, light].map((value) => greyOfValue(value ?? 0));
  const data = new Uint8ClampedArray(sides.length * 4);
  for (let p = 0, i = 0; p < sides.length; p++, i += 4) {
    if (sides[p] === NO_VALUE) continue;
    data[i] = data[i + 1] = data[i + 2] = greys[sides[p]];
    data[i + 3] = 255;
  }
  const { width, height } = image.picture;
  return { width, height, data };
}
