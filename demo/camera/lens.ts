import { chance } from '../painter/chance';
import { blurred, copyPlate, type Plate } from '../painter/plate';

export interface Lens {
  seed: number;
  /** Darkening toward the corners, in OKLab lightness. */
  corners: number;
  /** How much of what is light spreads over its surroundings. */
  bloom: number;
  /** Grain in lightness and in colour, at the size of a 1600-pixel picture. */
  grain: number;
  colourGrain: number;
}

/** The last hand of a photograph: bloom, corners, a little softness, grain. */
export const photographed =
  (lens: Lens) =>
  (model: Plate): Plate => {
    const { width, height } = model;
    const scale = Math.max(width, height) / 1600;
    const out = copyPlate(blurred(model, Math.max(0.6, 0.8 * scale)));
    const halo = blurred(model, 46 * scale);
    const random = chance(lens.seed);
    // Three even numbers added come close enough to a bell.
    const grain = () => (random() + random() + random()) * 2 - 3;
    const coarse = Array.from({ length: width * height }, grain);
    for (let y = 0; y < height; y++) {
      for (let x = 0; x < width; x++) {
        const p = y * width + x;
        const at = p * 3;
        const off = Math.hypot((x / width - 0.5) * 1.25, y / height - 0.5) / 0.8;
        for (let c = 0; c < 3; c++)
          out.data[at + c] += (halo.data[at + c] - out.data[at + c]) * lens.bloom;
        out.data[at] -= lens.corners * off ** 3;
        // Grain is film's: in clumps of neighbours, strongest in the middle values.
        const clump =
          (coarse[p] * 2 + coarse[Math.max(0, p - 1)] + coarse[Math.max(0, p - width)]) / 2.4;
        const L = out.data[at];
        out.data[at] += lens.grain * clump * (0.35 + 2.2 * L * (1 - L));
        out.data[at + 1] += lens.colourGrain * grain();
        out.data[at + 2] += lens.colourGrain * grain();
      }
    }
    return out;
  };
