import { expose } from '../camera/camera';
import { photographed } from '../camera/lens';
import { dimmed, mixedLight, paint } from '../camera/paint';
import {
  ballOf,
  boxField,
  rodField,
  root,
  type Light,
  type Part,
  type Vector,
} from '../camera/world';
import { cloud, noise, smooth } from '../painter/chance';
import type { DemoPicture } from '../painter/picture';

/** Where the walkers have trodden: a line of dents that wanders up from the camera. */
function stepsAt(x: number, z: number): number {
  if (z < -4 || z > 11.5) return 0;
  const stride = ((z % 0.62) + 0.62) % 0.62;
  const side = Math.floor(z / 0.62) % 2 === 0 ? 0.13 : -0.13;
  const off = x - (0.2 + 0.55 * Math.sin(z / 3.1) + 0.1 * z) - side;
  const dent = Math.exp(-((off / 0.13) ** 2) - ((stride - 0.31) / 0.16) ** 2);
  return 0.13 * dent + 0.05 * Math.exp(-((off / 0.4) ** 2));
}

/** The snow ridge: it climbs away to the right, with drifts and the wind's ripples on it. */
const snowAt = (x: number, z: number) =>
  0.1 * z +
  2.6 * Math.exp(-(((x - 4.5 - 0.12 * z) / 5.2) ** 2)) * smooth(-4, 16, z) -
  0.012 * Math.min(0, x + 2) ** 2 +
  0.55 * cloud(x / 7, z / 6, 23, 3) +
  0.035 * Math.sin(x * 2.1 + z * 3.4 + 2 * noise(x / 3, z / 3, 8)) +
  0.03 * noise(x * 3, z * 3, 31) -
  stepsAt(x, z);

const white = paint(0.965, 0.004, 240);
const snow: Part = {
  mass: 'snow',
  field: (x, y, z) => (y - snowAt(x, z)) * 0.7,
  colour: () => white,
};

const HUT: Vector = [5.6, snowAt(5.6, 15) + 1.1, 15];
const timber = paint(0.4, 0.06, 48);
const stone = paint(0.52, 0.014, 70);

function hut(): Part[] {
  const [x, y, z] = HUT;
  const within = { centre: HUT, radius: 5.5 };
  const grain = (py: number) => 0.85 + 0.25 * noise(py * 9, 0.5, 3);
  return [
    {
      mass: 'summit station',
      field: boxField(HUT, [2.3, 1.4, 1.8], 0.03),
      within,
      colour: (px, py, pz) => {
        if (py < y - 0.5) return dimmed(stone, 0.8 + 0.4 * noise(px * 3, py * 4 + pz, 11));
        const pane =
          Math.abs(py - y - 0.25) < 0.36 && Math.abs(((px - x + 4.05) % 0.9) - 0.45) < 0.29;
        return pane ? paint(0.3, 0.03, 250) : dimmed(timber, grain(py));
      },
    },
    {
      mass: 'summit station',
      field: (px, py, pz) => {
        const ridge = Math.abs(pz - z) * 0.62 + (py - y - 2.75);
        return Math.max(
          ridge * 0.8,
          Math.abs(px - x) - 2.75,
          Math.abs(ridge + 0.16) - 0.16,
          y + 1.2 - py,
        );
      },
      within,
      colour: (_x, _y, _z, up) => (up > 0.3 ? white : timber),
    },
    {
      mass: 'summit station',
      field: boxField([x - 3, y + 0.5, z], [0.9, 2.1, 0.9], 0.03),
      within,
      colour: (px, py, pz) => dimmed(stone, 0.75 + 0.45 * noise(px * 3, py * 4 + pz * 2, 19)),
    },
  ];
}

function pylons(): Part[] {
  const steel = paint(0.4, 0.02, 250);
  const feet: [number, number][] = [
    [-4.6, 17],
    [-13, 30],
  ];
  const heads = feet.map(([x, z]): Vector => [x, snowAt(x, z) + 6.6, z]);
  const rods: [Vector, Vector, number][] = [];
  feet.forEach(([x, z], i) => {
    const head = heads[i];
    rods.push(
      [[x - 0.7, snowAt(x, z) - 0.6, z], head, 0.07],
      [[x + 0.7, snowAt(x, z) - 0.6, z], head, 0.07],
    );
    rods.push([[head[0] - 1, head[1], z], [head[0] + 1, head[1], z], 0.07]);
    for (const h of [1.8, 3.4, 4.8]) {
      const half = 0.7 * (1 - h / 7.2);
      rods.push([[x - half, head[1] - 6.6 + h, z], [x + half, head[1] - 6.6 + h, z], 0.045]);
    }
  });
  const upper: Vector = [HUT[0] - 3, HUT[1] + 2.4, HUT[2]];
  const end: Vector = [-40, heads[1][1] - 16, 62];
  for (const off of [-0.8, 0.8]) {
    const at = ([x, y, z]: Vector): Vector => [x + off * 0.5, y + 0.05, z + off];
    rods.push(
      [at(upper), at(heads[0]), 0.028],
      [at(heads[0]), at(heads[1]), 0.028],
      [at(heads[1]), at(end), 0.03],
    );
  }
  return rods.map(([from, to, radius]) => ({
    mass: 'pylons and cable',
    field: rodField(from, to, radius),
    within: ballOf(from, to, radius + 0.2),
    colour: () => steel,
  }));
}

/** The last cabin of the season, on its way down. */
function cabin(): Part[] {
  const centre: Vector = [-8.9, snowAt(-8.9, 23.6) + 4.3, 23.6];
  const red = paint(0.5, 0.19, 27);
  return [
    {
      mass: 'cabin',
      field: boxField(centre, [0.85, 0.95, 0.7], 0.16),
      within: { centre, radius: 1.6 },
      colour: () => red,
    },
    {
      mass: 'cabin glass',
      field: boxField([centre[0], centre[1] + 0.25, centre[2]], [0.68, 0.32, 0.73], 0.06),
      within: { centre, radius: 1.6 },
      colour: () => paint(0.34, 0.03, 240),
    },
    {
      mass: 'pylons and cable',
      field: rodField(centre, [centre[0], centre[1] + 2.1, centre[2] - 0.4], 0.06),
      within: { centre, radius: 3 },
      colour: () => paint(0.4, 0.02, 250),
    },
  ];
}

function walkers(): Part[] {
  const people: [number, number, number, Light][] = [
    [1.15, 11.9, 0.06, paint(0.34, 0.06, 258)],
    [1.75, 12.7, -0.05, paint(0.72, 0.15, 82)],
  ];
  return people.flatMap(([x, z, lean, coat]) => {
    const y = snowAt(x, z);
    const within = { centre: [x, y + 0.8, z] as Vector, radius: 1.2 };
    const solid = (field: Part['field'], colour: Light): Part => ({
      mass: 'walkers',
      field,
      within,
      colour: () => colour,
    });
    const dark = paint(0.24, 0.02, 260);
    return [
      solid(rodField([x - 0.13, y, z], [x - 0.05, y + 0.7, z], 0.075), dark),
      solid(rodField([x + 0.16, y, z + 0.1], [x + 0.06, y + 0.7, z], 0.075), dark),
      solid(rodField([x, y + 0.72, z], [x + lean, y + 1.18, z], 0.17), coat),
      solid(rodField([x - 0.2, y + 1.18, z], [x - 0.3, y + 0.75, z - 0.12], 0.06), coat),
      solid(rodField([x + 0.24, y + 1.16, z], [x + 0.36, y + 0.82, z - 0.1], 0.06), coat),
      solid(
        boxField([x + lean - 0.02, y + 1.02, z - 0.22], [0.15, 0.22, 0.1], 0.05),
        paint(0.5, 0.09, 45),
      ),
      solid((px, py, pz) => root(px - x - lean, py - y - 1.5, pz - z) - 0.12, paint(0.42, 0.1, 28)),
    ];
  });
}

const SUN: Vector = [-0.62, 0.5, 0.34];
const zenith = paint(0.885, 0.05, 240);
const horizon = paint(0.985, 0.01, 225);
const glare: Light = [1.9, 1.82, 1.62];

/** The far ranges, one behind the other, each paler. */
const RANGES = [
  {
    at: 0.135,
    tall: 0.07,
    wide: 2.6,
    seed: 71,
    rock: paint(0.8, 0.038, 250),
    snow: paint(0.92, 0.014, 240),
  },
  {
    at: 0.085,
    tall: 0.08,
    wide: 3.7,
    seed: 72,
    rock: paint(0.71, 0.046, 252),
    snow: paint(0.9, 0.016, 235),
  },
  {
    at: 0.03,
    tall: 0.07,
    wide: 4.6,
    seed: 73,
    rock: paint(0.62, 0.052, 254),
    snow: paint(0.87, 0.02, 240),
  },
];
const crest = (i: number, turn: number) => {
  const { at, tall, wide, seed } = RANGES[i];
  return at + tall * (1 - Math.abs(cloud(turn * wide, 0.3, seed, 5)) * 2.2);
};
const turnOf = (x: number, z: number) => Math.atan2(x, z) + 3;

function sky(x: number, y: number, z: number): Light {
  const turn = turnOf(x, z);
  for (let i = RANGES.length - 1; i >= 0; i--) {
    const top = crest(i, turn);
    if (y < top) {
      const { rock, snow: white, wide, seed } = RANGES[i];
      const face = cloud(turn * wide * 7 + y * 40, y * 26, seed + 9, 4);
      const haze = smooth(top, top - 0.14, y) * 0.55;
      return mixedLight(
        mixedLight(rock, white, smooth(-0.2, 0.25, face + (y - top + 0.03) * 5)),
        horizon,
        haze,
      );
    }
  }
  const length = root(...SUN);
  const toward = (x * SUN[0] + y * SUN[1] + z * SUN[2]) / length;
  const blue = mixedLight(horizon, zenith, smooth(0.02, 0.62, y));
  return mixedLight(blue, glare, 0.8 * Math.max(0, toward) ** 6);
}

/** Snow glare: all is light, and the shadows are the colour. */
export const summit: DemoPicture = {
  file: 'summit',
  type: 'jpeg',
  title: 'Summit in snow glare',
  maker: 'Dag Solumbry',
  kind: 'photograph',
  source: 'Taken for plate 8 of the Talloch picture book',
  idea: 'White upon white: nearly all of it is above the middle, blue lives in the shadows, and one cabin is red.',
  width: 1760,
  height: 1120,
  known: {
    key: 'high',
    range: 'medium',
    families: ['blue'],
    harmony: 'monochrome',
    keyColour: 'blue',
    light: { from: 'upper left', what: 'a high sun against the camera' },
    lightIs: 'warmer',
    cast: null,
    accents: ['cabin'],
    hidden: [],
  },
  model: (scale) =>
    expose({
      width: Math.round(1760 * scale),
      height: Math.round(1120 * scale),
      eye: [-1.2, 3.1, -5.5],
      at: [-0.6, 4.3, 16],
      angle: 40,
      reach: 90,
      parts: [snow, ...hut(), ...pylons(), ...cabin(), ...walkers()],
      sun: { to: SUN, light: [1.35, 1.25, 1.05], soft: 14 },
      ambient: (up) => {
        const k = 0.62 + 0.3 * up;
        return [0.46 * k, 0.58 * k, 0.8 * k];
      },
      sky,
      air: (far, _high, x, y, z) => ({
        hides: 0.75 * (1 - Math.exp(-Math.max(0, far - 12) / 60)),
        light: mixedLight(horizon, sky(x, Math.max(y, 0.2), z), 0.3),
      }),
      skyMasses: ['far ranges', 'sky'],
      skyMass: (x, y, z) => (RANGES.some((_, i) => y < crest(i, turnOf(x, z))) ? 0 : 1),
      exposure: 0.82,
    }),
  finish: photographed({
    seed: 8118,
    corners: 0.02,
    bloom: 0.16,
    grain: 0.008,
    colourGrain: 0.0025,
  }),
};
