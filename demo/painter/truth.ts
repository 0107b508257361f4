import { lightnessFromLuminance } from '../../src/core/colour/cielab';
import { linearFromOklab } from '../../src/core/colour/oklab';
import { luminance } from '../../src/core/colour/srgb';
import type { DemoPicture, Known, Model } from './picture';

/** What is known of one mass: its share of the picture, and its mean colour before the last hand. */
export interface MassTruth {
  name: string;
  share: number;
  oklab: [L: number, a: number, b: number];
}

/** The file that lies beside a picture. */
export interface Truth extends Known {
  file: string;
  title: string;
  idea: string;
  /** Value in tenths of L*, close to Munsell's, before the last hand. */
  values: { p5: number; median: number; p95: number };
  masses: MassTruth[];
}

export function truthOf(picture: DemoPicture, model: Model): Truth {
  const { file, title, idea, known } = picture;
  return { file, title, idea, ...known, values: valuesOf(model), masses: massesOf(model) };
}

/** By sorting, not by the core's histogram: what readings are held against should come another way. */
function valuesOf({ plate: { data } }: Model): Truth['values'] {
  const values = Float64Array.from({ length: data.length / 3 }, (_, p) => {
    const { r, g, b } = linearFromOklab({ L: data[p * 3], a: data[p * 3 + 1], b: data[p * 3 + 2] });
    return lightnessFromLuminance(luminance(r, g, b)) / 10;
  }).sort();
  const at = (q: number) => Math.round(values[Math.floor(q * (values.length - 1))] * 1e3) / 1e3;
  return { p5: at(0.05), median: at(0.5), p95: at(0.95) };
}

function massesOf({ plate, masses, map }: Model): MassTruth[] {
  const sums = masses.map(() => [0, 0, 0, 0]);
  for (let p = 0; p < map.length; p++) {
    const sum = sums[map[p]];
    sum[0]++;
    for (let c = 0; c < 3; c++) sum[c + 1] += plate.data[p * 3 + c];
  }
  const digits = (n: number) => Math.round(n * 1e5) / 1e5;
  return masses.map((name, i) => {
    const [count, L, a, b] = sums[i];
    return {
      name,
      share: digits(count / map.length),
      oklab: [digits(L / count), digits(a / count), digits(b / count)],
    };
  });
}
