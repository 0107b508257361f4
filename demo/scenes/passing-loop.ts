import { expose } from '../camera/camera';
import { photographed } from '../camera/lens';
import { dimmed, paint } from '../camera/paint';
import {
  ballOf,
  boxField,
  firField,
  rodField,
  type Light,
  type Part,
  type Vector,
} from '../camera/world';
import { linearFromOklab } from '../../src/core/colour/oklab';
import { chance, cloud, mix, noise, smooth } from '../painter/chance';
import type { DemoPicture } from '../painter/picture';
import { lch } from '../painter/plate';

/** The slope that the railway climbs. */
const ground = (x: number, z: number) =>
  0.17 * z + 0.0016 * x * x + 0.5 * cloud(x / 9, z / 9, 61, 3) * smooth(3.4, 9, Math.abs(x));

/** The two tracks part and meet again: the offset of a track's middle at a distance. */
const apart = (z: number) => 0.35 + 1.75 * smooth(2, 13, z) * smooth(66, 50, z);

const bed = paint(0.42, 0.016, 60);
const grass = paint(0.44, 0.035, 118);
const dry = paint(0.56, 0.04, 92);

const slope: Part = {
  mass: 'slope',
  field: (x, y, z) => (y - ground(x, z)) * 0.8,
  colour: (x, _, z) => {
    const onBed = smooth(1.35, 1.0, Math.min(Math.abs(x - apart(z)), Math.abs(x + apart(z))));
    const tuft = smooth(-0.3, 0.6, cloud(x * 0.9, z * 0.9, 17, 4));
    const stone = 0.8 + 0.4 * noise(x * 7, z * 7, 5);
    return [0, 1, 2].map((i) =>
      mix(mix(grass[i], dry[i], tuft), bed[i] * stone, onBed),
    ) as unknown as Light;
  },
};

function rails(): Part {
  const steel = paint(0.62, 0.012, 240);
  const sleeper = paint(0.36, 0.02, 50);
  return {
    mass: 'track',
    field: (x, y, z) => {
      const base = y - ground(x, z);
      let least = Infinity;
      for (const side of [-1, 1]) {
        const off = x - side * apart(z);
        const rail = Math.max(Math.abs(Math.abs(off) - 0.5) - 0.045, Math.abs(base - 0.12) - 0.07);
        const sleepers = Math.max(
          Math.abs(off) - 0.8,
          Math.abs(base - 0.03) - 0.05,
          Math.abs((((z % 0.9) + 0.9) % 0.9) - 0.45) - 0.14,
        );
        least = Math.min(least, rail, sleepers);
      }
      return least * 0.6;
    },
    colour: (x, y, z) => (y - ground(x, z) > 0.09 ? steel : sleeper),
  };
}

/** A stepped car of the railway at a distance along one track. */
function car(mass: string, z: number, side: number, body: Light, lamp: Light): Part[] {
  const x = side * apart(z);
  const centre: Vector = [x, ground(x, z) + 1.75, z];
  const shell = boxField(centre, [0.98, 1.2, 2.1], 0.12);
  const roof = boxField([x, centre[1] + 1.28, z], [1.1, 0.09, 2.25], 0.05);
  const window = (px: number, py: number, pz: number) => {
    const v = py - centre[1];
    if (v < 0.1 || v > 0.85) return false;
    const front = Math.abs(pz - z) > 2.05;
    const u = front ? px - x : pz - z;
    const pane = front ? 0.62 : 1.0;
    return (
      Math.abs(u) < (front ? 0.82 : 1.9) &&
      Math.abs(((u + pane / 2 + 5 * pane) % pane) - pane / 2) < pane * 0.42
    );
  };
  const within = { centre, radius: 3 };
  return [
    {
      mass,
      field: shell,
      within,
      colour: (_x, y) =>
        y < centre[1] - 0.75 ? [body[0] * 0.45, body[1] * 0.45, body[2] * 0.45] : body,
      glows: (px, py, pz) => (window(px, py, pz) ? lamp : null),
    },
    { mass, field: roof, within, colour: () => paint(0.5, 0.01, 60) },
  ];
}

function firs(): Part[] {
  const random = chance(907);
  const places: [number, number][] = [
    [-5.2, 9],
    [-8, 15],
    [6.4, 8],
    [9.5, 13],
    [-11, 22],
    [12, 22],
    [-6.8, 30],
    [8.2, 33],
    [-15, 34],
    [16, 38],
    [-9, 44],
    [11, 48],
    [-20, 50],
    [22, 54],
    [-12, 60],
    [15, 64],
    [5, 70],
    [-5, 74],
    [-26, 66],
    [28, 72],
    [-17, 78],
    [19, 82],
  ];
  return places.map(([x, z]) => {
    const tall = 5.5 + random() * 4.5;
    const wide = tall * (0.2 + random() * 0.05);
    const base: Vector = [x, ground(x, z) - 0.2, z];
    const green = paint(0.3 + random() * 0.05, 0.035, 150 + random() * 25);
    return {
      mass: 'firs',
      field: firField(base, wide, tall, Math.round(tall * 1000)),
      within: { centre: [x, base[1] + tall / 2, z] as Vector, radius: tall * 0.6 },
      colour: (px: number, py: number, pz: number) => {
        const tuft = 0.7 + 0.5 * noise(px * 5, py * 5 + pz * 3, 3);
        return dimmed(green, tuft);
      },
    };
  });
}

function masts(): Part[] {
  return [12, 27, 42].flatMap((z) => {
    const foot: Vector = [3.9, ground(3.9, z), z];
    const head: Vector = [3.9, foot[1] + 5.6, z];
    const arm: Vector = [2.7, head[1] - 0.3, z];
    const wood = paint(0.34, 0.014, 60);
    return [
      {
        mass: 'masts',
        field: rodField(foot, head, 0.1),
        within: ballOf(foot, head, 0.1),
        colour: () => wood,
      },
      {
        mass: 'masts',
        field: rodField([4.5, head[1] - 0.3, z], arm, 0.06),
        within: ballOf(head, arm, 1),
        colour: () => wood,
      },
    ];
  });
}

/** What the fog is made of, by height in the view: each barely off the same grey. */
const BANDS: readonly (readonly [up: number, L: number, C: number, h: number])[] = [
  [-0.3, 0.66, 0.012, 95],
  [0.09, 0.705, 0.006, 100],
  [0.19, 0.735, 0.016, 248],
  [0.275, 0.75, 0.0135, 40],
  [0.36, 0.775, 0.0185, 140],
  [0.48, 0.8, 0.018, 328],
];
const BAND_NAMES = ['slate thread', 'rust air', 'moss air', 'plum air'];
const bandEdges = [0.2325, 0.3175, 0.42];

function fogAt(x: number, up: number): Light {
  const at = up + 0.03 * cloud(x * 2.2, up * 5, 51);
  let i = BANDS.findIndex(([edge]) => edge > at);
  if (i < 0) i = BANDS.length - 1;
  if (i === 0) i = 1;
  const t = smooth(0, 1, (at - BANDS[i - 1][0]) / (BANDS[i][0] - BANDS[i - 1][0]));
  const low = lch(...(BANDS[i - 1].slice(1) as [number, number, number]));
  const high = lch(...(BANDS[i].slice(1) as [number, number, number]));
  const { r, g, b } = linearFromOklab({
    L: mix(low.L, high.L, t),
    a: mix(low.a, high.a, t),
    b: mix(low.b, high.b, t),
  });
  return [r, g, b];
}

/** Fog where the two cars pass: grey, until one looks. */
export const passingLoop: DemoPicture = {
  file: 'passing-loop',
  type: 'jpeg',
  title: 'Fog at the passing loop',
  maker: 'Dag Solumbry',
  kind: 'photograph',
  source: 'Taken for plate 5 of the Talloch picture book',
  idea: 'All of it is nearly one grey; the air goes from plum through moss and rust to a thread of slate.',
  width: 1600,
  height: 1120,
  known: {
    key: 'middle',
    range: 'medium',
    families: ['yellow'],
    harmony: 'near neutral',
    keyColour: 'yellow',
    light: { from: 'above', what: 'an overcast with no direction' },
    lightIs: 'alike',
    cast: null,
    accents: ['red car'],
    hidden: [
      { family: 'violet', place: 'along the upper edge' },
      { family: 'yellow-green', place: 'upper part' },
      { family: 'orange', place: 'under it' },
      { family: 'blue', place: 'a thread at the horizon' },
    ],
  },
  model: (scale) =>
    expose({
      width: Math.round(1600 * scale),
      height: Math.round(1120 * scale),
      eye: [-0.6, 2.5, -4.5],
      at: [0.3, 5.6, 16],
      angle: 44,
      reach: 130,
      parts: [
        slope,
        rails(),
        ...car('red car', 12.5, -1, paint(0.42, 0.13, 28), paint(0.86, 0.05, 88)),
        ...car('green car', 27, 1, paint(0.48, 0.06, 195), paint(0.84, 0.03, 90)),
        ...firs(),
        ...masts(),
      ],
      sun: { to: [0.2, 1, -0.2], light: [0.18, 0.18, 0.18], soft: 0 },
      ambient: (up) => {
        const k = 0.36 + 0.3 * up;
        return [k, k * 1.0, k * 1.02];
      },
      sky: (x, y) => fogAt(x, y),
      air: (far, _high, x, y) => ({
        hides: 1 - Math.exp(-Math.max(0, far - 4) / 17) * (1 - 0.12 * smooth(4, 0, far)),
        light: fogAt(x, y),
      }),
      skyMasses: BAND_NAMES,
      skyMass: (_x, y) => bandEdges.filter((edge) => y > edge).length,
      exposure: 1,
    }),
  finish: photographed({
    seed: 5507,
    corners: 0.03,
    bloom: 0.12,
    grain: 0.011,
    colourGrain: 0.0035,
  }),
};
