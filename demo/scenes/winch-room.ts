import { cloud, smooth } from '../painter/chance';
import { box, circle, drawn, line, shape, sky } from '../painter/drawn';
import { glow, wander } from '../painter/light';
import { BROAD_TO_FINE, painted } from '../painter/paint';
import { hex, lay, lch, overall } from '../painter/plate';
import { wandering } from '../painter/strokes';

const iron = hex(0.24, 0.018, 250);
const edge = hex(0.62, 0.085, 66);
const soot = hex(0.17, 0.022, 50);

/** The great wheel: rim, spokes, hub, and the rope laid in its groove. */
function wheel(): string {
  const [x, y, r] = [520, 600, 390];
  const ring = (radius: number, width: number, colour: string) =>
    `<circle cx="${x}" cy="${y}" r="${radius}" fill="none" stroke="${colour}" stroke-width="${width}"/>`;
  const spokes = Array.from({ length: 8 }, (_, i) => {
    const turn = (i * Math.PI) / 4 + 0.22;
    const [c, s] = [Math.cos(turn), Math.sin(turn)];
    const at = (from: number, off: number) => `${x + from * c - off * s} ${y + from * s + off * c}`;
    return (
      shape(`M${at(60, -30)}L${at(350, -15)}L${at(350, 15)}L${at(60, 30)}Z`, iron) +
      line(`M${at(70, -26)}L${at(348, -14)}`, hex(0.4, 0.05, 58), 7)
    );
  }).join('');
  return (
    ring(r, 58, iron) +
    ring(r + 26, 9, hex(0.3, 0.03, 55)) +
    ring(r - 27, 8, hex(0.33, 0.045, 55)) +
    ring(r, 15, hex(0.36, 0.05, 60)) +
    spokes +
    circle(x, y, 96, hex(0.27, 0.022, 45)) +
    ring(94, 9, hex(0.4, 0.06, 60)) +
    circle(x, y, 40, hex(0.36, 0.05, 62)) +
    Array.from({ length: 6 }, (_, i) => {
      const turn = (i * Math.PI) / 3;
      return circle(x + 66 * Math.cos(turn), y + 66 * Math.sin(turn), 9, hex(0.5, 0.07, 66));
    }).join('')
  );
}

const rim =
  `<path d="M846 388A390 390 0 0 1 905 640" fill="none" stroke="${hex(0.8, 0.115, 74)}" stroke-width="15"/>` +
  `<path d="M700 254A390 390 0 0 1 846 388" fill="none" stroke="${hex(0.6, 0.09, 66)}" stroke-width="12"/>` +
  `<path d="M905 640A390 390 0 0 1 850 812" fill="none" stroke="${hex(0.52, 0.08, 62)}" stroke-width="11"/>`;

const machinist =
  // Coat, bent over the bearing; the lamp is behind the shoulder.
  shape(
    'M1010 1010C990 900 1000 800 1040 730C1060 690 1104 670 1150 676C1206 684 1236 730 1240 800C1246 880 1240 960 1246 1010Z',
    hex(0.27, 0.045, 262),
  ) +
  shape(
    'M1150 676C1206 684 1236 730 1240 800C1246 880 1240 960 1246 1010L1206 1010C1210 900 1206 780 1150 676Z',
    hex(0.5, 0.065, 60),
  ) +
  shape(
    'M1050 740C1000 770 950 800 908 800L900 770C940 758 990 724 1040 694Z',
    hex(0.3, 0.045, 258),
  ) +
  shape(
    'M1040 694C1010 712 990 724 966 738L976 752C1004 740 1040 720 1066 704Z',
    hex(0.52, 0.07, 62),
  ) +
  circle(890, 786, 20, hex(0.6, 0.085, 52)) +
  shape('M846 790L884 776L890 806L856 816ZM846 790L818 762L824 756L854 782Z', hex(0.58, 0.1, 78)) +
  shape(
    'M1074 672C1060 640 1062 590 1094 570C1130 552 1170 574 1172 616C1172 650 1150 680 1120 690Z',
    hex(0.44, 0.065, 48),
  ) +
  shape(
    'M1130 562C1166 574 1176 610 1168 640C1160 664 1146 680 1126 688C1150 650 1150 600 1130 562Z',
    hex(0.74, 0.1, 64),
  ) +
  shape(
    'M1056 606C1058 560 1100 538 1140 552C1168 562 1180 590 1176 606C1140 584 1100 586 1056 606Z',
    hex(0.22, 0.03, 264),
  ) +
  shape('M1056 606L1026 616L1060 620Z', hex(0.2, 0.03, 264)) +
  shape('M1020 1010H1256V1150H1180L1170 1040H1110L1096 1150H1010Z', hex(0.2, 0.022, 250));

/** One lamp and a great deal of dark. */
export const winchRoom = drawn({
  file: 'winch-room',
  type: 'webp',
  title: 'Winch room by lamplight',
  maker: 'Orla Venn-Tarrick',
  kind: 'master work',
  source: 'Plate 6 of the Talloch picture book, oil on panel',
  idea: 'A brown dark holds eight tenths of it; everything that can be seen is told by one orange lamp, and night is a little blue.',
  width: 1500,
  height: 1150,
  known: {
    key: 'low',
    range: 'medium',
    families: ['orange', 'yellow-orange'],
    harmony: 'analogous, with opposite accent',
    keyColour: 'orange',
    light: { from: 'upper right', what: 'one hanging lamp' },
    // All has its chroma in proportion to its lightness, as under one lamp: beside its own dark nothing is warmer.
    lightIs: 'mixed',
    cast: null,
    accents: ['night window'],
    hidden: [],
  },
  defs: `${sky('dark', [
    [0, hex(0.2, 0.03, 48)],
    [0.6, hex(0.26, 0.04, 52)],
    [1, hex(0.2, 0.03, 45)],
  ])}${sky('night', [
    [0, hex(0.36, 0.085, 262)],
    [1, hex(0.52, 0.075, 250)],
  ])}${sky('floor', [
    [0, hex(0.33, 0.05, 56)],
    [1, hex(0.18, 0.028, 48)],
  ])}`,
  masses: [
    [
      'wall',
      box(0, 0, 1500, 1150, 'url(#dark)') +
        [140, 320, 500, 680, 860, 1040, 1220, 1400]
          .map((x) => line(`M${x} 0V960`, hex(0.17, 0.026, 46), 5))
          .join('') +
        box(0, 70, 1500, 54, hex(0.16, 0.022, 48)) +
        box(0, 124, 1500, 6, hex(0.3, 0.04, 56)),
    ],
    [
      'night window',
      box(106, 196, 150, 196, 'url(#night)') +
        line('M181 196V392M106 294H256', hex(0.15, 0.02, 260), 11) +
        `<rect x="106" y="196" width="150" height="196" fill="none" stroke="${hex(0.19, 0.025, 50)}" stroke-width="17"/>`,
    ],
    [
      'floor',
      shape('M0 960H1500V1150H0Z', 'url(#floor)') +
        [-400, -100, 200, 480, 760, 1040, 1340, 1640]
          .map((x) => line(`M${750 + (x - 750) * 0.72} 960L${x} 1150`, hex(0.16, 0.024, 46), 5))
          .join(''),
    ],
    [
      'bed of the winch',
      shape('M150 960L210 850H830L900 960Z', soot) +
        box(240, 836, 560, 28, hex(0.3, 0.035, 54)) +
        shape('M440 860L474 600H566L600 860Z', hex(0.21, 0.02, 52)) +
        line('M566 600L600 860', hex(0.42, 0.06, 60), 6),
    ],
    ['wheel', wheel() + rim],
    [
      'ropes',
      line('M905 560L1500 280M850 812L1500 520', hex(0.34, 0.03, 60), 13) +
        line('M905 556L1500 276M850 808L1500 516', edge, 4),
    ],
    [
      'bench',
      shape('M1276 820H1500V858H1276Z', hex(0.5, 0.075, 58)) +
        shape('M1296 858H1336V1110H1296ZM1470 858H1500V1110H1470Z', hex(0.23, 0.03, 50)) +
        shape(
          'M1320 820V776H1352V820ZM1370 820V760C1370 748 1404 748 1404 760V820Z',
          hex(0.34, 0.05, 60),
        ) +
        shape('M1420 820L1430 792H1490V820Z', hex(0.4, 0.07, 40)),
    ],
    ['machinist', machinist],
    [
      'lamp',
      line('M1330 0V470', soot, 6) +
        shape(
          'M1262 540C1262 492 1300 466 1330 466C1360 466 1398 492 1398 540Z',
          hex(0.34, 0.05, 160),
        ) +
        shape(
          'M1284 540H1376C1376 586 1356 606 1330 606C1304 606 1284 586 1284 540Z',
          hex(0.95, 0.075, 88),
        ),
    ],
  ],
  light: (plate) => {
    // Light falls off from the lamp; what it does not reach sinks into brown.
    const dark = lch(0.13, 0.02, 42);
    overall(plate, (x, y, at) => {
      const d = Math.hypot((x - 0.886) * 1.3, y - 0.5);
      const reach = smooth(0.16, 1.0, d + 0.07 * cloud(x * 4, y * 4, 12));
      lay(plate, at, dark, 0.64 * reach * (plate.data[at + 2] < -0.03 ? 0.25 : 1));
    });
    glow(plate, 0.886, 0.5, 0.62, lch(0.68, 0.13, 62), 0.34);
    glow(plate, 0.886, 0.49, 0.26, lch(0.86, 0.13, 74), 0.6);
    glow(plate, 0.886, 0.495, 0.1, lch(0.97, 0.06, 90), 0.8);
    glow(plate, 0.86, 0.93, 0.4, lch(0.56, 0.11, 58), 0.42, 0.35);
    glow(plate, 0.12, 0.27, 0.16, lch(0.45, 0.07, 256), 0.22);
    wander(plate, 0.014, 7, 29);
  },
  finish: painted({
    seed: 3304,
    ground: [0.24, 0.02, 0.028],
    layers: BROAD_TO_FINE.map((layer) => ({ ...layer, tolerance: layer.tolerance * 0.8 })),
    handling: { strayL: 0.024, strayAb: 0.013, dry: 0.6, body: 1.1 },
    flow: wandering(120, 45, 3, 13),
    relief: 1,
    tooth: 0.9,
  }),
});
