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
  masses: MassTruth[];
}

export function truthOf(picture: DemoPicture, model: Model): Truth {
  const { file, title, idea, known } = picture;
  return { file, title, idea, ...known, masses: massesOf(model) };
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
