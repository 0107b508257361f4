import { drawStroke, groundOf, type Ground, type Handling } from './brush';
import { chance, noise } from './chance';
import { blurred, copyPlate, plateOf, type Plate } from './plate';
import { planLayer, type Flow, type Layer } from './strokes';

export interface Manner {
  seed: number;
  /** Colour of the primed canvas, in OKLab. */
  ground: [number, number, number];
  layers: readonly Layer[];
  handling: Handling;
  flow: Flow;
  /** How strongly the relief and the weave catch the light, 0–1. */
  relief: number;
  tooth: number;
}

/** Large to small: the order a painter works in. Radii in pixels of a 1600-pixel picture. */
export const BROAD_TO_FINE: readonly Layer[] = [
  { radius: 44, tolerance: 0.02, shortest: 2, longest: 9, bend: 0.6 },
  { radius: 22, tolerance: 0.035, shortest: 2, longest: 10, bend: 0.7 },
  { radius: 11, tolerance: 0.035, shortest: 2, longest: 11, bend: 0.8 },
  { radius: 6, tolerance: 0.04, shortest: 2, longest: 10, bend: 0.9 },
  { radius: 3.2, tolerance: 0.055, shortest: 2, longest: 9, bend: 1 },
];

/** Paints a model over with strokes from large to small, then lets the light fall on the paint. */
export function paint(model: Plate, manner: Manner): Plate {
  const random = chance(manner.seed);
  const canvas = plateOf(model.width, model.height);
  for (let i = 0; i < canvas.data.length; i += 3) canvas.data.set(manner.ground, i);
  const ground = groundOf(canvas);
  const scale = Math.max(model.width, model.height) / 1600;
  for (const layer of manner.layers) {
    const radius = layer.radius * scale;
    if (radius < 1.5) continue;
    const seen = blurred(model, radius * 0.45);
    const strokes = planLayer(seen, copyPlate(canvas), { ...layer, radius }, manner.flow, random);
    // Small brushes carry less of everything: straying, dryness, body.
    const fine = Math.min(1, 0.35 + layer.radius / 30);
    const handling = {
      ...manner.handling,
      strayL: manner.handling.strayL * fine,
      strayAb: manner.handling.strayAb * fine,
    };
    for (const stroke of strokes) drawStroke(ground, stroke, handling, random);
  }
  return lit(ground, manner);
}

/** Light from the upper left on relief and weave. */
function lit({ plate, relief }: Ground, { seed, relief: strength, tooth }: Manner): Plate {
  const { width, height } = plate;
  const out = copyPlate(plate);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const p = y * width + x;
      const right = relief[p + (x < width - 1 ? 1 : 0)];
      const down = relief[p + (y < height - 1 ? width : 0)];
      const slope = 2 * relief[p] - right - down;
      const weave =
        Math.sin(x * 1.9 + 2 * noise(x / 40, y / 40, seed)) *
        Math.sin(y * 1.9 + 2 * noise(y / 40, x / 40, seed + 1));
      const thin = 1 / (1 + 2.5 * Math.max(0, relief[p]));
      const shift =
        Math.max(-0.09, Math.min(0.09, slope * 0.11)) * strength + weave * 0.012 * tooth * thin;
      // Dark paint shows its relief less: there is less light to send back.
      out.data[p * 3] += shift * (0.35 + 0.65 * out.data[p * 3]);
    }
  }
  return out;
}

/** The last hand of a painting. */
export const painted = (manner: Manner) => (model: Plate) => paint(model, manner);
