import { clampShare } from '../share';
import { INTENSITY_WORDS, intensityWord, type IntensityWord } from '../colour/intensity';
import type { ColourParts } from './colour-parts';

/** Where the saturation of a picture lives. Chroma is OKLCH chroma. */
export interface ChromaReading {
  p5: number;
  p25: number;
  p50: number;
  p75: number;
  p95: number;
  mean: number;
  /** Share of the picture for each intensity word, 0–1; together 1. */
  words: Record<IntensityWord, number>;
  /** Of what is strong or vivid, the share that lies in the light, 0–1; null where nothing is. */
  strongInLight: number | null;
  /** Mean chroma in light and shadow; null for a side that holds nothing. */
  light: number | null;
  shadow: number | null;
  /** Share of the picture by value (ten rows from dark to light) and chroma (twelve columns of 0.02 from neutral on). */
  density: number[][];
}

export const CHROMA_COLUMNS = 12;
export const VALUE_ROWS = 10;
const COLUMN = 0.02;

/** A part of the density that a table has room for. */
export interface Tone {
  /** Munsell values and OKLCH chromas, from and to; the last of each reaches to all that is beyond. */
  value: [number, number];
  chroma: [number, number];
  /** Share of the picture, 0–1. */
  share: number;
}

/** So many rows and columns of the density make one of the table. */
const ROWS = 2;
const COLUMNS = 2;
/** Where the table's last column begins, among the density's. */
const LAST = 8;

/** The density as a table: values by twos from dark to light, chromas by 0.04, from 0.16 on together. */
export function toneTable(density: readonly (readonly number[])[]): Tone[][] {
  const steps = (count: number, by: number) =>
    Array.from({ length: Math.ceil(count / by) }, (_, i) => i * by);
  return steps(VALUE_ROWS, ROWS).map((row) =>
    steps(LAST + 1, COLUMNS).map((column) => {
      const end = column === LAST ? CHROMA_COLUMNS : column + COLUMNS;
      const cells = density.slice(row, row + ROWS).flatMap((line) => line.slice(column, end));
      return {
        value: [row, row + ROWS >= VALUE_ROWS ? Infinity : row + ROWS],
        chroma: [column * COLUMN, column === LAST ? Infinity : end * COLUMN],
        share: clampShare(cells.reduce((sum, one) => sum + one, 0)),
      };
    }),
  );
}

/** Reads percentiles, words and the spread of chroma over value. */
export function readChroma({ share, chroma, value, side }: ColourParts): ChromaReading {
  const order = Array.from(chroma.keys()).sort((one, other) => chroma[one] - chroma[other]);
  const words = Object.fromEntries(INTENSITY_WORDS.map((word) => [word, 0])) as Record<
    IntensityWord,
    number
  >;
  const density = Array.from({ length: VALUE_ROWS }, () =>
    new Array<number>(CHROMA_COLUMNS).fill(0),
  );
  const sides = [0, 1].map(() => ({ share: 0, chroma: 0, strong: 0 }));
  for (let part = 0; part < share.length; part++) {
    const word = intensityWord(chroma[part]);
    words[word] += share[part];
    const row = Math.min(VALUE_ROWS - 1, Math.floor(value[part]));
    const column = Math.min(CHROMA_COLUMNS - 1, Math.floor(chroma[part] / COLUMN));
    density[row][column] += share[part];
    const of = sides[side[part]];
    of.share += share[part];
    of.chroma += share[part] * chroma[part];
    if (word === 'strong' || word === 'vivid') of.strong += share[part];
  }
  const [shadow, light] = sides;
  const strong = shadow.strong + light.strong;
  const mean = (of: { share: number; chroma: number }) =>
    of.share > 0 ? of.chroma / of.share : null;
  const at = (quantile: number) => {
    let sum = 0;
    for (const part of order) {
      sum += share[part];
      if (sum >= quantile - 1e-9) return chroma[part];
    }
    return chroma[order[order.length - 1]];
  };
  return {
    p5: at(0.05),
    p25: at(0.25),
    p50: at(0.5),
    p75: at(0.75),
    p95: at(0.95),
    mean: shadow.chroma + light.chroma,
    words: Object.fromEntries(
      INTENSITY_WORDS.map((word) => [word, clampShare(words[word])]),
    ) as ChromaReading['words'],
    strongInLight: strong > 0 ? clampShare(light.strong / strong) : null,
    light: mean(light),
    shadow: mean(shadow),
    density: density.map((row) => row.map(clampShare)),
  };
}
