import { chance, cloud, noise } from './chance';
import { copyPlate, overall, type Plate } from './plate';

/** The last hand of a print: paper tooth shows through thin ink, edges squash, the sheet has yellowed a little. */
export const printed =
  ({ seed, tooth }: { seed: number; tooth: number }) =>
  (model: Plate): Plate => {
    const out = copyPlate(model);
    const random = chance(seed);
    const scale = Math.max(model.width, model.height) / 1600;
    overall(out, (x, y, at) => {
      const px = (x * model.width) / scale;
      const py = (y * model.height) / scale;
      const fibre = noise(px / 2.1, py / 2.1, seed) * 0.6 + noise(px / 5, py / 1.7, seed + 3) * 0.4;
      const inked = Math.max(0, 0.95 - out.data[at]) / 0.7;
      // Ink lies unevenly; where the paper is high it hardly takes.
      const gap = fibre > 0.42 ? (fibre - 0.42) * 1.9 : 0;
      const bare = Math.min(1, tooth * inked * (gap + 0.05 * (1 + cloud(x * 9, y * 9, seed + 8))));
      out.data[at] += (0.955 - out.data[at]) * bare + 0.008 * fibre + 0.004 * (random() - 0.5);
      out.data[at + 1] += (0.004 - out.data[at + 1]) * bare;
      out.data[at + 2] += (0.024 - out.data[at + 2]) * bare;
    });
    return out;
  };
