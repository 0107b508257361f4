import { inHueArc } from './hue-arc';
import { oklchFromOklab, type Oklab } from './oklab';
import { valueOfOklab } from './value';

interface Everyday {
  name: string;
  /** OKLCH hue in degrees; `from` above `to` wraps through 0. */
  hue: [from: number, to: number];
  value: [from: number, to: number];
  chroma: [from: number, to: number];
}

/**
 * Where people reach for an everyday name before a family. Regions of OKLCH hue, Munsell value and
 * OKLCH chroma, narrow names before wide ones: the first that holds a colour gives its name.
 */
const EVERYDAY: readonly Everyday[] = [
  { name: 'chestnut', hue: [22, 44], value: [1.8, 3.5], chroma: [0.055, 0.1] },
  { name: 'maroon', hue: [0, 32], value: [0.8, 3], chroma: [0.06, 0.19] },
  { name: 'rust', hue: [33, 50], value: [3.2, 4.8], chroma: [0.11, 0.16] },
  { name: 'terracotta', hue: [28, 52], value: [4.4, 6.2], chroma: [0.08, 0.14] },
  { name: 'sienna', hue: [38, 56], value: [2.6, 4.8], chroma: [0.07, 0.11] },
  { name: 'ochre', hue: [58, 92], value: [4.8, 7.2], chroma: [0.09, 0.145] },
  { name: 'leaf green', hue: [124, 152], value: [3.6, 6.4], chroma: [0.09, 0.18] },
  { name: 'fir green', hue: [136, 178], value: [1.2, 3.6], chroma: [0.03, 0.1] },
  { name: 'sage', hue: [112, 162], value: [4.6, 8], chroma: [0.02, 0.055] },
  { name: 'olive', hue: [95, 128], value: [2.2, 6], chroma: [0.04, 0.13] },
  { name: 'moss', hue: [128, 140], value: [2.6, 5.6], chroma: [0.05, 0.125] },
  { name: 'umber', hue: [38, 98], value: [0.8, 4.2], chroma: [0.016, 0.05] },
  { name: 'brown', hue: [25, 95], value: [0.8, 5], chroma: [0.025, 0.13] },
  { name: 'cream', hue: [72, 112], value: [8.7, 10], chroma: [0.02, 0.09] },
  { name: 'peach', hue: [38, 72], value: [7.2, 9.6], chroma: [0.045, 0.13] },
  { name: 'beige', hue: [60, 105], value: [7.2, 8.9], chroma: [0.02, 0.05] },
  { name: 'sand', hue: [84, 104], value: [6.6, 8.4], chroma: [0.045, 0.1] },
  { name: 'rose beige', hue: [18, 56], value: [6, 8.6], chroma: [0.025, 0.06] },
  { name: 'tan', hue: [50, 94], value: [5, 7.6], chroma: [0.035, 0.09] },
  { name: 'pink', hue: [335, 32], value: [6.2, 9.6], chroma: [0.035, 0.19] },
  { name: 'plum', hue: [316, 358], value: [1.2, 4], chroma: [0.04, 0.15] },
  { name: 'lilac', hue: [306, 334], value: [6.2, 9.2], chroma: [0.03, 0.13] },
  { name: 'lavender', hue: [280, 306], value: [6.2, 9.4], chroma: [0.02, 0.12] },
  { name: 'navy', hue: [248, 288], value: [0.5, 2.5], chroma: [0.04, 0.2] },
  { name: 'slate', hue: [235, 278], value: [3, 5.6], chroma: [0.018, 0.05] },
  { name: 'sky blue', hue: [225, 262], value: [6.6, 9], chroma: [0.05, 0.13] },
  { name: 'turquoise', hue: [175, 208], value: [5.8, 9], chroma: [0.08, 0.2] },
  { name: 'teal', hue: [185, 218], value: [2.6, 5.6], chroma: [0.045, 0.13] },
  { name: 'mint', hue: [148, 176], value: [7.6, 9.6], chroma: [0.04, 0.12] },
];

/** Brown, pink, olive and the like; null where people would say the family. */
export function everydayName(colour: Oklab): string | null {
  const { C, h } = oklchFromOklab(colour);
  const value = valueOfOklab(colour);
  const found = EVERYDAY.find(
    (region) =>
      within(value, region.value) && within(C, region.chroma) && inHueArc(h, ...region.hue),
  );
  return found ? found.name : null;
}

function within(n: number, [from, to]: [number, number]): boolean {
  return n >= from && n < to;
}
