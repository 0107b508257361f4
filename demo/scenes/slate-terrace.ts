import { chance, cloud, smooth } from '../painter/chance';
import { box, drawn, line, shape, sky } from '../painter/drawn';
import { glow, wander } from '../painter/light';
import { BROAD_TO_FINE, painted } from '../painter/paint';
import { hex, lay, lch, overall } from '../painter/plate';
import { wandering } from '../painter/strokes';

/** One house of the terrace: a gable toward us, and the slates of its roof going back to the right. */
function house(x: number, eave: number, wide: number, seed: number) {
  const random = chance(seed);
  const rise = wide * (0.46 + 0.12 * random());
  const [ax, ay] = [x + wide / 2, eave - rise];
  const [dx, dy] = [wide * (0.72 + 0.2 * random()), -wide * 0.13];
  const hue = 262 + random() * 34;
  const deep = 8;
  const at = (u: number, t: number) =>
    `${ax + (x + wide + 16 - ax) * t + dx * u} ${ay + (eave + 18 - ay) * t + dy * u}`;
  const courses = Array.from({ length: deep }, (_, i) => {
    const [t0, t1] = [i / deep, (i + 1) / deep];
    const slates = Array.from({ length: 9 }, (_, k) => {
      const u0 = k / 9 + (i % 2) / 18 - 0.02;
      const u1 = Math.min(1, u0 + 1 / 8.6);
      const L = 0.33 + 0.09 * random() + 0.07 * (1 - t0);
      return shape(
        `M${at(u0, t0)}L${at(u1, t0)}L${at(u1, t1)}L${at(u0, t1)}Z`,
        hex(L, 0.045 + 0.035 * random(), hue + 30 * (random() - 0.4)),
      );
    });
    return slates.join('') + line(`M${at(0, t1)}L${at(1, t1)}`, hex(0.27, 0.05, 276), 2.5);
  }).join('');
  const stack = 0.25 + 0.5 * random();
  const [cx, cy] = [ax + dx * stack - 6, ay + dy * stack];
  const s = wide / 240;
  const chimney =
    shape(
      `M${cx} ${cy + 34 * s}V${cy - 62 * s}H${cx + 46 * s}V${cy + 40 * s}Z`,
      hex(0.56, 0.085, 352),
    ) +
    shape(
      `M${cx + 24 * s} ${cy + 38 * s}V${cy - 62 * s}H${cx + 46 * s}V${cy + 40 * s}Z`,
      hex(0.34, 0.06, 300),
    ) +
    box(cx - 5 * s, cy - 72 * s, 56 * s, 13 * s, hex(0.62, 0.075, 350));
  const roof =
    chimney +
    courses +
    line(`M${ax} ${ay}L${ax + dx} ${ay + dy}`, hex(0.7, 0.08, 345), 6 * s) +
    // The barge of the gable: its left slope takes the last light.
    line(`M${x - 14} ${eave + 16}L${ax} ${ay}`, hex(0.8, 0.095, 356), 15 * s) +
    line(`M${ax} ${ay}L${x + wide + 14} ${eave + 16}`, hex(0.36, 0.06, 290), 13 * s);
  const wall =
    shape(
      `M${x} ${eave}L${ax} ${ay}L${x + wide} ${eave}V${eave + 500}H${x}Z`,
      hex(0.56, 0.062, 322 + 20 * random()),
    ) +
    shape(
      `M${ax + wide * 0.16} ${ay + rise * 0.32}L${x + wide} ${eave}V${eave + 500}H${ax + wide * 0.16}Z`,
      hex(0.47, 0.066, 306),
    );
  const pane = (wx: number, wy: number, w: number, h: number) =>
    box(wx, wy, w, h, random() < 0.45 ? hex(0.84, 0.09, 2) : hex(0.27, 0.06, 272)) +
    line(`M${wx + w / 2} ${wy}v${h}M${wx} ${wy + h * 0.45}h${w}`, hex(0.36, 0.05, 310), 4 * s);
  const windows =
    pane(ax - 15 * s, ay + rise * 0.52, 32 * s, 44 * s) +
    pane(x + wide * 0.16, eave + 34 * s, 42 * s, 62 * s) +
    pane(x + wide * 0.6, eave + 34 * s, 42 * s, 62 * s);
  return (
    roof +
    wall +
    windows +
    line(`M${x - 14} ${eave + 16}L${ax} ${ay}`, hex(0.8, 0.095, 356), 12 * s)
  );
}

/** Rows go down the slope; each house stands a little higher or lower than its neighbour. */
function row(eave: number, wide: number, offset: number, seed: number): string {
  const random = chance(seed);
  const houses: string[] = [];
  for (let x = offset; x < 1640; x += wide * (1.42 + 0.3 * random()))
    houses.push(house(x, eave + wide * 0.22 * (random() - 0.5), wide, seed * 31 + Math.round(x)));
  // From right to left, so that each roof lies behind the next gable.
  return houses.reverse().join('');
}

/** Slate roofs going home to evening: one side of the wheel is enough. */
export const slateTerrace = drawn({
  file: 'slate-terrace',
  type: 'webp',
  title: 'Slate terrace, evening',
  maker: 'Mirel Aunstone',
  kind: 'master work',
  source: 'Plate 7 of the Talloch picture book, gouache',
  idea: 'From blue through violet to red-violet and no farther: neighbours on the wheel, kept apart by value.',
  width: 1600,
  height: 1200,
  known: {
    key: 'low',
    range: 'medium',
    families: ['blue-violet', 'violet', 'red-violet'],
    harmony: 'analogous',
    keyColour: 'violet',
    light: { from: 'left', what: 'the last of a red evening sky, low' },
    lightIs: 'warmer',
    cast: null,
    accents: [],
    hidden: [],
  },
  defs: sky('air', [
    [0, hex(0.46, 0.08, 276)],
    [0.4, hex(0.6, 0.085, 305)],
    [0.72, hex(0.74, 0.095, 342)],
    [1, hex(0.82, 0.085, 4)],
  ]),
  masses: [
    ['sky', box(0, 0, 1600, 480, 'url(#air)') + box(0, 470, 1600, 730, hex(0.4, 0.06, 290))],
    [
      'mountain',
      shape(
        'M0 330C120 300 220 210 340 190C440 240 520 300 640 310C800 240 900 120 1040 70C1160 150 1260 250 1380 270C1460 260 1540 220 1600 210V560H0Z',
        hex(0.48, 0.075, 286),
      ) +
        shape(
          'M1040 70C1080 140 1110 190 1090 260C1060 230 1020 220 980 240C1000 190 1020 130 1040 70Z',
          hex(0.66, 0.07, 345),
        ) +
        line('M0 470L1600 180', hex(0.34, 0.05, 290), 4),
    ],
    ['far row', row(470, 150, -60, 3)],
    ['middle row', row(690, 235, -190, 5)],
    ['near row', row(1000, 350, -120, 8)],
  ],
  light: (plate) => {
    const haze = lch(0.66, 0.075, 328);
    const dusk = lch(0.24, 0.06, 272);
    overall(plate, (x, y, at) => {
      // Rows sink into haze with distance, and the light comes from the left along the sky.
      lay(plate, at, haze, y < 0.24 ? 0 : smooth(0.66, 0.3, y) * 0.4);
      lay(
        plate,
        at,
        dusk,
        0.5 * smooth(0.35, 1.1, y * 0.75 + x * 0.45 + 0.08 * cloud(x * 4, y * 4, 5)),
      );
      const streak = smooth(0.2, 0.75, cloud(x * 2.2 + y, y * 13, 44)) * smooth(0.34, 0.1, y);
      lay(plate, at, lch(0.86, 0.07, 352), 0.55 * streak * smooth(0.9, 0, x));
    });
    glow(plate, 0.04, 0.3, 0.62, lch(0.86, 0.09, 2), 0.5, 0.6);
    wander(plate, 0.012, 8, 91);
  },
  finish: painted({
    seed: 7741,
    ground: [0.5, 0.05, -0.02],
    layers: BROAD_TO_FINE.map((layer) => ({ ...layer, tolerance: layer.tolerance * 0.85 })),
    handling: { strayL: 0.024, strayAb: 0.015, dry: 0.75, body: 0.55 },
    flow: wandering(14, 30, 3, 61),
    relief: 0.5,
    tooth: 1.3,
  }),
});
