import { rgbFromOklab } from '../../src/core/colour/oklab';
import type { Picture } from '../../src/core/picture/picture';
import { expose, type Shot } from '../camera/camera';
import { paint } from '../camera/paint';
import { ballOf, boxField, rodField, type Light, type Part } from '../camera/world';
import { chance } from '../painter/chance';

/** Coloured lights on known materials: what the light is against the shadow is known by construction. */
export interface LitScene {
  name: string;
  truth: 'warmer' | 'cooler' | 'alike';
  sun: Light;
  /** Light in the shadow, on what looks up and on what stands. */
  above: Light;
  beside: Light;
}

const scaled = ([r, g, b]: Light, by: number): Light => [r * by, g * by, b * by];
const WARM: Light = [1.5, 1.12, 0.72];
const WHITE: Light = [1.1, 1.1, 1.1];
const COOL: Light = [0.92, 1.1, 1.42];

export const LIT_SCENES: readonly LitScene[] = [
  {
    name: 'low sun, blue sky',
    truth: 'warmer',
    sun: WARM,
    above: scaled(COOL, 0.3),
    beside: scaled(COOL, 0.22),
  },
  {
    name: 'high sun, white sky',
    truth: 'warmer',
    sun: WARM,
    above: scaled(WHITE, 0.3),
    beside: scaled(WHITE, 0.24),
  },
  {
    name: 'north light, brown room',
    truth: 'cooler',
    sun: COOL,
    above: scaled(WARM, 0.22),
    beside: scaled(WARM, 0.26),
  },
  {
    name: 'moon, embers',
    truth: 'cooler',
    sun: scaled(COOL, 0.5),
    above: scaled(WHITE, 0.12),
    beside: scaled(WARM, 0.14),
  },
  {
    name: 'one lamp, white walls',
    truth: 'alike',
    sun: WARM,
    above: scaled(WARM, 0.25),
    beside: scaled(WARM, 0.2),
  },
  {
    name: 'white light, grey day',
    truth: 'alike',
    sun: WHITE,
    above: scaled(WHITE, 0.3),
    beside: scaled(WHITE, 0.22),
  },
];

/** A table before a wall, with boxes and posts of several materials, arranged by `seed`. */
export function litScene(scene: LitScene, seed: number): Picture {
  const random = chance(seed);
  const { plate } = expose(shotOf(scene, seed, random));
  const data = new Uint8ClampedArray(plate.width * plate.height * 4);
  for (let p = 0; p < plate.width * plate.height; p++) {
    const { r, g, b } = rgbFromOklab({
      L: plate.data[p * 3],
      a: plate.data[p * 3 + 1],
      b: plate.data[p * 3 + 2],
    });
    // Two levels of noise, as a camera's.
    const noise = () => (random() + random() - 1) * 4;
    data.set([r * 255 + noise(), g * 255 + noise(), b * 255 + noise(), 255], p * 4);
  }
  return { width: plate.width, height: plate.height, data };
}

/** For each pixel of a lit scene 1 where its sun falls, 0 where it does not, 255 for the sky and where it grazes. */
export function sunMap(scene: LitScene, seed: number): Uint8Array {
  const dark: Light = [0, 0, 0];
  const sunOnly = { ...scene, sun: [1, 1, 1] as Light, above: dark, beside: dark };
  const shot = shotOf(sunOnly, seed, chance(seed));
  const white = () => [0.8, 0.8, 0.8] as Light;
  const parts = shot.parts.map((part) => ({ ...part, colour: white }));
  const { plate, masses, map } = expose({ ...shot, parts });
  return map.map((mass, p) => {
    const L = plate.data[p * 3];
    if (mass === masses.length - 1 || (L > 0.15 && L < 0.4)) return 255;
    return L >= 0.4 ? 1 : 0;
  });
}

function shotOf({ sun, above, beside }: LitScene, seed: number, random: () => number): Shot {
  const isFromBehind = seed % 2 === 0;
  const material = () => {
    const albedo = paint(0.5 + 0.35 * random(), 0.12 * random(), 360 * random());
    return () => albedo;
  };
  const things = Array.from({ length: 5 }, (_, i): Part => {
    const x = -2.4 + i * 1.2 + 0.3 * (random() - 0.5);
    const z = 3.4 + 1.2 * random();
    const tall = 0.35 + 0.5 * random();
    const mass = `thing ${i}`;
    const colour = material();
    if (random() < 0.6)
      return {
        mass,
        field: boxField([x, tall, z], [0.32, tall, 0.3]),
        within: ballOf([x, 0, z], [x, 2 * tall, z], 0.5),
        colour,
      };
    return {
      mass,
      field: rodField([x, 0, z], [x, 2 * tall, z], 0.28),
      within: ballOf([x, 0, z], [x, 2 * tall, z], 0.5),
      colour,
    };
  });
  return {
    width: 216,
    height: 150,
    eye: [0, 2.2, -2.4],
    at: [0, 0.7, 4],
    angle: 38,
    reach: 40,
    parts: [
      { mass: 'table', field: (_x, y) => y, colour: material() },
      // Behind a wall there would be no sun.
      ...(isFromBehind
        ? []
        : [
            {
              mass: 'wall',
              field: (_x: number, _y: number, z: number) => 6.5 - z,
              colour: material(),
            },
          ]),
      ...things,
    ],
    // From the front or from behind, where what stands turns its shadow to the eye.
    sun: {
      to: [-1.1 - random(), 1.5 + random(), isFromBehind ? 1.6 : -1.2],
      light: sun,
      soft: 30,
    },
    ambient: (up) =>
      [0, 1, 2].map(
        (i) => beside[i] + (above[i] - beside[i]) * Math.max(0, up) ** 2,
      ) as unknown as Light,
    sky: () => scaled(above, 2),
    air: () => ({ hides: 0, light: [0, 0, 0] }),
    skyMasses: ['sky'],
    skyMass: () => 0,
    exposure: 0.75,
  };
}
