import { cloud, smooth } from '../painter/chance';
import { glow, wander } from '../painter/light';
import { box, circle, drawn, line, shape, sky } from '../painter/drawn';
import { BROAD_TO_FINE, painted } from '../painter/paint';
import { hex, lay, lch, overall } from '../painter/plate';
import { wandering } from '../painter/strokes';

/** Floor tiles in perspective: rows narrow toward the far wall. */
function floor(): string {
  const tiles: string[] = [];
  const rows = 11;
  const yAt = (i: number) => 800 + 500 * (i / rows) ** 1.7;
  const xAt = (u: number, y: number) => 640 + (u - 6) * (90 + (y - 800) * 0.42);
  for (let i = 0; i < rows; i++) {
    for (let j = -4; j < 16; j++) {
      const y0 = yAt(i);
      const y1 = yAt(i + 1);
      const light = (i + j) % 2 === 0;
      const fill = light ? hex(0.82, 0.03, 85) : hex(0.5, 0.075, 22 + ((i * 7 + j * 3) % 12));
      tiles.push(
        shape(
          `M${xAt(j, y0)} ${y0}L${xAt(j + 1, y0)} ${y0}L${xAt(j + 1, y1)} ${y1}L${xAt(j, y1)} ${y1}Z`,
          fill,
        ),
      );
    }
  }
  return tiles.join('');
}

/** The tiled band along the wall, each tile a little different, as glazes are. */
function band(): string {
  return Array.from({ length: 27 * 3 }, (_, i) => {
    const x = (i % 27) * 50;
    const row = Math.floor(i / 27);
    const blue = hex(
      0.44 + 0.04 * Math.sin(i * 5.1),
      0.1 + 0.015 * Math.sin(i * 2.3),
      258 + 8 * Math.sin(i * 1.7),
    );
    const yellow = hex(0.8 + 0.02 * Math.sin(i * 3.7), 0.135, 90);
    const motif = row === 1 && i % 3 === 1;
    return `<rect x="${x}" y="${590 + row * 50}" width="47" height="47" fill="${blue}"/>${motif ? shape(`M${x + 23} ${596 + row * 50}L${x + 41} ${613 + row * 50}L${x + 23} ${631 + row * 50}L${x + 6} ${613 + row * 50}Z`, yellow) : ''}`;
  }).join('');
}

/** Noon through tall windows on a tiled floor. */
export const ticketHall = drawn({
  file: 'ticket-hall',
  type: 'webp',
  title: 'Ticket hall at noon',
  maker: 'Mirel Aunstone',
  kind: 'master work',
  source: 'Plate 2 of the Talloch picture book, gouache',
  idea: 'Red, yellow and blue share the hall: the light is warm and the shadow cool by a clear step.',
  width: 1300,
  height: 1300,
  known: {
    key: 'middle',
    range: 'full',
    families: ['blue', 'red', 'yellow-orange'],
    harmony: 'triad',
    keyColour: 'blue',
    light: { from: 'upper left', what: 'noon sun through three windows onto the floor' },
    lightIs: 'warmer',
    cast: null,
    accents: ['suitcase'],
    hidden: [],
  },
  defs: `${sky('wall', [
    [0, hex(0.72, 0.03, 250)],
    [1, hex(0.8, 0.035, 88)],
  ])}${sky('glass', [
    [0, hex(0.9, 0.045, 225)],
    [1, hex(0.95, 0.05, 95)],
  ])}`,
  masses: [
    ['wall', box(0, 0, 1300, 1300, 'url(#wall)')],
    [
      'beam',
      shape('M0 0H1300V120H0Z', hex(0.52, 0.045, 60)) +
        shape('M0 120H1300V142H0Z', hex(0.38, 0.05, 50)),
    ],
    [
      'windows',
      [70, 300, 530]
        .map(
          (x) =>
            shape(`M${x} 560V300C${x} 200 ${x + 170} 200 ${x + 170} 300V560Z`, 'url(#glass)') +
            line(
              `M${x} 560V300C${x} 200 ${x + 170} 200 ${x + 170} 300V560M${x + 85} 560V226M${x} 360H${x + 170}M${x} 460H${x + 170}`,
              hex(0.36, 0.04, 50),
              10,
            ),
        )
        .join(''),
    ],
    ['tile band', band()],
    ['floor', floor()],
    [
      'counter',
      shape('M820 300H1210V800H820Z', hex(0.46, 0.075, 48)) +
        shape('M800 276H1230V312H800Z', hex(0.34, 0.06, 42)) +
        shape('M820 620H1210V660H820Z', hex(0.66, 0.08, 66)) +
        shape('M840 690H1190V790H840Z', hex(0.38, 0.07, 40)),
    ],
    ['counter window', shape('M870 370H1160V600H870Z', hex(0.24, 0.035, 262))],
    [
      'clerk',
      shape('M980 600C970 520 984 476 1014 470C1046 476 1058 520 1050 600Z', hex(0.4, 0.1, 258)) +
        circle(1014, 444, 30, hex(0.7, 0.07, 55)) +
        shape('M980 436C984 402 1046 402 1048 436Z', hex(0.42, 0.15, 28)),
    ],
    [
      'clock',
      circle(690, 190, 58, hex(0.92, 0.03, 95)) +
        `<circle cx="690" cy="190" r="58" fill="none" stroke="${hex(0.44, 0.15, 28)}" stroke-width="13"/>` +
        line('M690 190V146M690 190L694 150', hex(0.2, 0.02, 50), 8),
    ],
    [
      'bench',
      shape(
        'M360 1020H640V1046H360ZM380 1046H404V1120H380ZM596 1046H620V1120H596ZM360 900H640V950H360ZM372 950H386V1022H372ZM612 950H626V1022H612Z',
        hex(0.46, 0.155, 28),
      ),
    ],
    [
      'suitcase',
      shape('M420 1018V940C420 924 540 924 540 940V1018Z', hex(0.78, 0.145, 86)) +
        line('M450 934C450 904 510 904 510 934', hex(0.4, 0.08, 50), 9),
    ],
    [
      'traveller',
      shape('M700 1010C690 900 700 830 730 800C760 830 782 900 772 1010Z', hex(0.42, 0.12, 260)) +
        shape('M722 1010H734V1080H722ZM748 1010H760V1080H748Z', hex(0.28, 0.03, 50)) +
        circle(738, 772, 27, hex(0.68, 0.07, 52)) +
        shape('M706 770C706 730 772 730 770 772C756 756 724 756 706 770Z', hex(0.5, 0.12, 60)),
    ],
  ],
  light: (plate) => {
    // Three windows throw three panes of sun across the floor; the rest is in cool shadow.
    const sun = lch(0.93, 0.09, 88);
    const shadow = lch(0.42, 0.07, 272);
    overall(plate, (x, y, at) => {
      const onFloor = smooth(0.6, 0.63, y);
      const slide = x - (y - 0.62) * 0.55;
      const pane = [0.1, 0.28, 0.46].reduce(
        (most, left) =>
          Math.max(
            most,
            smooth(left - 0.012, left + 0.012, slide) * smooth(left + 0.145, left + 0.12, slide),
          ),
        0,
      );
      const bars = smooth(0.004, 0.012, Math.abs(((slide - 0.165) % 0.18) / 1));
      const lit = pane * onFloor * smooth(0.99, 0.8, y) * (0.55 + 0.45 * bars);
      lay(plate, at, sun, 0.52 * lit);
      const inShade =
        onFloor * (1 - pane) * 0.46 +
        smooth(0.55, 0.75, x) * 0.3 * (1 - onFloor) +
        smooth(0.14, 0, y) * 0.3;
      lay(plate, at, shadow, inShade * (1 - lit) * (0.85 + 0.15 * cloud(x * 5, y * 5, 9)));
    });
    glow(plate, 0.3, 0.32, 0.4, lch(0.96, 0.045, 92), 0.3);
    wander(plate, 0.01, 8, 15);
  },
  finish: painted({
    seed: 2207,
    ground: [0.78, 0.008, 0.05],
    layers: BROAD_TO_FINE,
    handling: { strayL: 0.022, strayAb: 0.014, dry: 0.7, body: 0.6 },
    flow: wandering(24, 40, 3, 33),
    relief: 0.55,
    tooth: 1.3,
  }),
});
