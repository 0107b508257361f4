import { linearFromOklab, type Oklab } from '../../colour/oklab';
import { byteOfLinear } from '../../colour/srgb';
import { luminanceOfValue } from '../../colour/value';
import { pictureOf, type Picture } from '../../picture/picture';
import type { Place } from '../../picture/framing';
import { randomFrom } from '../../seeded';
import type { Distance, Facing } from '../depth-marks';
import type { Receding, Step } from '../recession';

/** For tests: made-up landscapes of flat shapes whose depth is known. */
const WIDTH = 720;
const HEIGHT = 480;

export interface PlantedThing {
  place: Place;
  distance: Distance;
  facing: Facing;
}

export interface Landscape {
  picture: Picture;
  things: PlantedThing[];
  /** What was done to chroma and temperature of what is far; contrast follows from it being flat. */
  steps: Record<Exclude<Receding, 'contrast'>, Step>;
}

/** Warm and cool hues in OKLab degrees. */
const WARM = 65;
const COOL = 245;

/**
 * Sky, a ridge, ground with a wood standing on it halfway, and in front two trees. Colours, heights and
 * sides are by chance, and so is whether the far ridge is duller or stronger, cooler or warmer than the trees.
 */
export function plantedLandscape(seed: number): Landscape {
  const random = randomFrom(seed);
  const between = (from: number, to: number) => from + (to - from) * random();
  const colour = (value: number, chroma: number, hue: number): Oklab => {
    const h = (hue * Math.PI) / 180;
    return {
      L: Math.cbrt(luminanceOfValue(value)),
      a: chroma * Math.cos(h),
      b: chroma * Math.sin(h),
    };
  };
  const steps = {
    chroma: random() < 0.5 ? ('back' as const) : ('forward' as const),
    temperature: random() < 0.5 ? ('back' as const) : ('forward' as const),
  };
  const [nearChroma, farChroma] = steps.chroma === 'back' ? [0.07, 0.025] : [0.025, 0.07];
  const [nearHue, farHue] = steps.temperature === 'back' ? [WARM, COOL] : [COOL, WARM];
  const horizon = between(0.4, 0.55);
  const ridgeTop = horizon - between(0.1, 0.16);
  const sky = colour(between(7.6, 8.6), 0.012, COOL);
  const ridge = colour(between(5.6, 6.4), farChroma, farHue);
  const ground = colour(between(4.4, 4.8), 0.04, 120);
  const wood = colour(between(3.4, 3.8), 0.04, 150);
  const tree = colour(between(2.2, 2.7), nearChroma, nearHue);
  const woodFrom = between(0.3, 0.45);
  const woodBase = horizon + (1 - horizon) * between(0.34, 0.45);
  const woodTop = woodBase - between(0.14, 0.2);
  const left = between(0.08, 0.12);
  const right = between(0.86, 0.92);
  const at = (x: number, y: number): Oklab => {
    const inTree = [left, right].some(
      (middle) => Math.abs(x - middle) < 0.06 && y > 0.2 && y < 0.93,
    );
    if (inTree) return tree;
    if (x > woodFrom && x < woodFrom + 0.26 && y > woodTop && y < woodBase) return wood;
    if (y > horizon) return ground;
    return y > ridgeTop + 0.03 * Math.sin(x * 14) ? ridge : sky;
  };
  const data = new Uint8ClampedArray(WIDTH * HEIGHT * 4);
  for (let y = 0, i = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++, i += 4) {
      const { r, g, b } = linearFromOklab(at((x + 0.5) / WIDTH, (y + 0.5) / HEIGHT));
      const grain = (random() + random() - 1) * 5;
      data[i] = byteOfLinear(r) + grain;
      data[i + 1] = byteOfLinear(g) + grain;
      data[i + 2] = byteOfLinear(b) + grain;
      data[i + 3] = 255;
    }
  return {
    picture: pictureOf(WIDTH, HEIGHT, data),
    steps,
    things: [
      { place: { x: 0.5, y: 0.1 }, distance: 'far', facing: 'sky' },
      { place: { x: 0.75, y: horizon - 0.02 }, distance: 'far', facing: 'upright' },
      { place: { x: woodFrom + 0.13, y: woodBase - 0.05 }, distance: 'middle', facing: 'upright' },
      { place: { x: left, y: 0.6 }, distance: 'near', facing: 'upright' },
      { place: { x: right, y: 0.6 }, distance: 'near', facing: 'upright' },
      { place: { x: 0.5, y: 0.96 }, distance: 'near', facing: 'ground' },
    ],
  };
}
