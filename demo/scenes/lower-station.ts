import { glow, reflect, wander } from '../painter/light';
import { box, circle, drawn, line, shape, sky } from '../painter/drawn';
import { BROAD_TO_FINE, painted, type Manner } from '../painter/paint';
import { hex, lch } from '../painter/plate';
import { wandering } from '../painter/strokes';

const lamp = hex(0.86, 0.125, 78);
const lampDeep = hex(0.72, 0.14, 62);
const wall = hex(0.4, 0.045, 48);

const windows = [
  [300, 560, 74, 96],
  [404, 560, 74, 96],
  [560, 546, 92, 176],
  [712, 560, 74, 96],
]
  .map(
    ([x, y, w, h]) =>
      `<rect x="${x}" y="${y}" width="${w}" height="${h}" fill="url(#pane)"/>` +
      `<path d="M${x + w / 2} ${y}v${h}M${x} ${y + h * 0.45}h${w}" stroke="${hex(0.3, 0.05, 45)}" stroke-width="7"/>`,
  )
  .join('');

const person = (x: number, y: number, s: number, coat: string) =>
  `<g transform="translate(${x} ${y}) scale(${s})">${shape('M-26 0C-30 -60 -24 -96 -10 -106L12 -106C26 -94 30 -58 26 0Z', coat)}<circle cx="1" cy="-120" r="14" fill="${hex(0.26, 0.03, 40)}"/>${shape('M-64 -128C-50 -176 50 -178 66 -126C40 -138 22 -138 0 -128C-22 -138 -44 -138 -64 -128Z', hex(0.2, 0.03, 265))}<path d="M0 -166V-60" stroke="${hex(0.18, 0.02, 265)}" stroke-width="4"/></g>`;

export const LOWER_STATION_MANNER: Manner = {
  seed: 1871,
  ground: [0.44, 0.028, 0.034],
  layers: BROAD_TO_FINE,
  handling: { strayL: 0.028, strayAb: 0.016, dry: 0.55, body: 1 },
  flow: wandering(96, 30, 4, 21),
  relief: 0.9,
  tooth: 1,
};

/** Rain at dusk: the town lights its lamps against the blue. */
export const lowerStation = drawn({
  file: 'lower-station',
  type: 'webp',
  title: 'Lower station, rain at dusk',
  maker: 'Orla Venn-Tarrick',
  kind: 'master work',
  source: 'Plate 3 of the Talloch picture book, oil on panel',
  idea: 'Blue holds nearly everything; lamplight and one red cabin, a few per cent of it, hold all that is strong.',
  width: 1600,
  height: 1200,
  known: {
    key: 'low',
    range: 'medium',
    families: ['blue', 'orange'],
    harmony: 'complementary',
    keyColour: 'blue',
    light: { from: 'within', what: 'lamps behind the windows and one street lamp, at blue dusk' },
    lightIs: 'warmer',
    cast: null,
    accents: ['windows', 'cabin'],
    hidden: [],
  },
  defs: `${sky('air', [
    [0, hex(0.3, 0.062, 264)],
    [0.35, hex(0.42, 0.066, 262)],
    [0.62, hex(0.56, 0.05, 258)],
    [1, hex(0.6, 0.034, 250)],
  ])}${sky('wet', [
    [0, hex(0.44, 0.04, 258)],
    [1, hex(0.24, 0.036, 264)],
  ])}${sky('pane', [
    [0, lamp],
    [1, lampDeep],
  ])}${sky('roof', [
    [0, hex(0.34, 0.045, 272)],
    [1, hex(0.23, 0.04, 278)],
  ])}`,
  masses: [
    ['sky', box(0, 0, 1600, 1200, 'url(#air)')],
    [
      'mountains',
      shape(
        'M0 470C140 410 220 300 330 250C420 300 470 360 560 380C700 300 820 190 930 110C1010 190 1090 270 1180 320C1290 280 1370 240 1450 190C1520 250 1560 280 1600 300V800H0Z',
        hex(0.47, 0.052, 262),
      ) +
        shape(
          'M930 110C960 150 985 182 1010 204C985 214 965 232 950 262C925 230 905 200 880 168Z',
          hex(0.7, 0.024, 255),
        ),
    ],
    [
      'slopes',
      shape(
        'M0 620C180 560 360 540 520 570C740 520 900 500 1080 540C1280 500 1420 470 1600 450V820H0Z',
        hex(0.36, 0.05, 262),
      ) +
        shape(
          'M1040 800C1080 690 1150 610 1250 590C1390 570 1500 610 1600 560V820H1040Z',
          hex(0.29, 0.045, 258),
        ),
    ],
    ['wet square', box(0, 780, 1600, 420, 'url(#wet)')],
    [
      'station wall',
      shape('M214 520L876 520L876 806L214 806Z', wall) +
        shape('M214 700L876 700L876 806L214 806Z', hex(0.32, 0.04, 40)),
    ],
    [
      'station roof',
      shape('M150 540L300 330L800 330L960 540L900 556L190 556Z', 'url(#roof)') +
        shape('M300 330L800 330L812 346L290 346Z', hex(0.5, 0.035, 262)) +
        shape('M640 330L640 250L700 250L700 330Z', hex(0.27, 0.03, 40)),
    ],
    [
      'cable and mast',
      shape('M876 596L1080 640L1080 664L876 628Z', hex(0.27, 0.035, 270)) +
        line('M1060 660V806', hex(0.22, 0.03, 265), 12) +
        line('M760 470L1600 96M760 492L1600 118', hex(0.2, 0.025, 265), 5) +
        line('M1282 240L1300 560', hex(0.2, 0.025, 265), 10) +
        line('M980 806V560', hex(0.19, 0.025, 265), 9),
    ],
    [
      'cabin',
      shape(
        'M1180 560C1180 548 1190 542 1204 542L1430 542C1446 542 1454 550 1454 562L1462 792L1170 792Z',
        hex(0.42, 0.148, 27),
      ) + shape('M1170 730L1462 730L1462 792L1170 792Z', hex(0.3, 0.105, 25)),
    ],
    [
      'windows',
      windows +
        box(1204, 590, 66, 92, lamp) +
        box(1288, 590, 66, 92, lamp) +
        box(1372, 590, 62, 92, lampDeep) +
        circle(980, 548, 22, hex(0.93, 0.09, 86)),
    ],
    [
      'people',
      person(1000, 880, 1.15, hex(0.24, 0.035, 280)) + person(906, 846, 0.82, hex(0.3, 0.07, 30)),
    ],
  ],
  light: (plate) => {
    glow(plate, 0.27, 0.52, 0.26, lch(0.7, 0.12, 62), 0.34, 0.8);
    glow(plate, 0.38, 0.53, 0.2, lch(0.76, 0.12, 66), 0.42, 0.9);
    glow(plate, 0.6125, 0.456, 0.16, lch(0.84, 0.11, 76), 0.75);
    glow(plate, 0.6125, 0.456, 0.34, lch(0.62, 0.1, 60), 0.26);
    glow(plate, 0.82, 0.53, 0.14, lch(0.74, 0.12, 62), 0.3);
    reflect(plate, 0.664, 0.78, 0.012, 11);
    wander(plate, 0.014, 7, 3);
  },
  finish: painted(LOWER_STATION_MANNER),
});
