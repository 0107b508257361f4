import { cloud, smooth } from '../painter/chance';
import { box, circle, drawn, line, shape, sky } from '../painter/drawn';
import { glow, wander } from '../painter/light';
import { BROAD_TO_FINE, painted } from '../painter/paint';
import { hex, lay, lch, overall } from '../painter/plate';
import { wandering } from '../painter/strokes';

const cloth = hex(0.47, 0.026, 225);
const clothLight = hex(0.64, 0.026, 220);
const clothDark = hex(0.35, 0.028, 240);
const skin = hex(0.71, 0.058, 52);
const skinLight = hex(0.83, 0.048, 66);
const skinShade = hex(0.55, 0.052, 40);

const head =
  // The neck, its window's side lighter, and the shade that the jaw throws on it.
  shape('M588 520C590 590 590 640 606 676L714 676C728 640 726 590 722 520Z', hex(0.66, 0.055, 48)) +
  shape('M588 520C590 590 590 640 606 676L644 676C626 640 614 600 610 520Z', hex(0.78, 0.05, 60)) +
  shape('M690 540C694 600 690 640 682 676L714 676C728 640 726 590 722 520Z', skinShade) +
  shape('M590 548C630 606 690 610 724 548L724 566C694 632 640 630 591 570Z', hex(0.53, 0.05, 40)) +
  shape(
    'M516 400C508 300 580 236 664 244C744 252 786 316 776 404C770 480 738 566 672 590C612 596 536 520 516 400Z',
    skin,
  ) +
  // The window's side of the face.
  shape(
    'M520 424C508 330 556 262 628 248C580 300 570 380 586 448C596 506 616 560 652 588C590 580 530 500 520 424Z',
    skinLight,
  ) +
  // The far cheek and jaw turn into shade.
  shape(
    'M776 404C772 480 738 566 672 590C706 540 716 480 716 420C716 380 730 340 752 316C772 340 780 372 776 404Z',
    skinShade,
  ) +
  shape(
    'M604 404C616 394 640 394 652 406C640 412 616 412 604 404ZM694 410C706 400 728 402 736 412C724 418 706 418 694 410Z',
    hex(0.36, 0.03, 50),
  ) +
  line('M596 378C616 362 644 364 660 376M690 380C706 368 730 370 742 384', hex(0.5, 0.024, 60), 9) +
  shape(
    'M666 408C676 450 690 470 690 482C680 494 660 494 648 486C660 470 664 440 666 408Z',
    hex(0.62, 0.062, 44),
  ) +
  line('M636 534C656 526 690 528 706 536', hex(0.5, 0.07, 30), 8) +
  // Moustache and side hair, grey.
  shape(
    'M616 514C640 494 660 500 672 508C688 498 712 500 728 520C704 526 690 520 672 520C654 522 636 528 616 514Z',
    hex(0.74, 0.012, 80),
  ) +
  shape(
    'M512 404C506 360 516 320 536 300C540 340 532 380 530 420ZM776 390C786 360 780 330 766 306C760 340 764 370 766 404Z',
    hex(0.66, 0.01, 80),
  );

const cap =
  shape(
    'M500 320C490 250 560 196 660 196C750 196 806 250 794 326C720 292 580 290 500 320Z',
    cloth,
  ) +
  shape('M500 320C492 268 530 222 596 206C560 250 548 290 552 306Z', clothLight) +
  shape('M498 322C580 286 716 288 796 326L790 356C716 324 586 322 504 350Z', hex(0.3, 0.03, 250)) +
  shape('M520 352C590 330 700 330 772 358C730 384 570 380 520 352Z', hex(0.24, 0.022, 250)) +
  circle(650, 262, 24, hex(0.72, 0.1, 86)) +
  circle(645, 257, 12, hex(0.84, 0.08, 92));

const coat =
  shape(
    'M330 1320C320 1100 330 860 420 760C480 706 560 690 606 664L716 664C780 690 880 716 940 790C1010 880 1030 1100 1040 1320Z',
    cloth,
  ) +
  shape(
    'M330 1320C320 1100 330 860 420 760C480 706 560 690 606 664C560 760 520 860 500 1000C486 1120 480 1220 486 1320Z',
    clothLight,
  ) +
  shape(
    'M940 790C1010 880 1030 1100 1040 1320H900C910 1140 900 960 850 820C850 790 880 770 940 790Z',
    clothDark,
  ) +
  shape('M606 664L660 770L716 664L744 700L668 860L580 706Z', hex(0.8, 0.014, 85)) +
  // The one red thing: a neckerchief.
  shape(
    'M610 676C640 700 690 702 716 676L724 704C700 728 684 732 674 740L700 818L664 788L640 826L652 740C636 730 616 722 604 702Z',
    hex(0.53, 0.185, 27),
  ) +
  [880, 980, 1080, 1180].map((y) => circle(676, y, 13, hex(0.7, 0.085, 84))).join('') +
  line('M668 860C664 1000 664 1160 668 1320', clothDark, 6) +
  line('M446 800C500 840 540 900 552 980M900 830C860 870 836 930 832 1000', clothDark, 9);

const arms =
  shape(
    'M330 1320C310 1160 330 960 392 880C420 1000 440 1090 500 1130C560 1160 640 1160 700 1180L690 1256C600 1262 500 1262 440 1240C400 1230 360 1290 356 1320Z',
    hex(0.56, 0.028, 222),
  ) +
  shape(
    'M392 880C420 1000 440 1090 500 1130C560 1160 640 1160 700 1180L698 1204C620 1196 520 1196 460 1150C410 1110 390 1000 380 920Z',
    hex(0.7, 0.024, 215),
  ) +
  shape(
    'M1040 1320C1050 1200 1010 1060 960 1010C930 1100 880 1150 800 1180L806 1256C880 1250 940 1230 980 1230Z',
    clothDark,
  ) +
  shape(
    'M690 1176C730 1164 800 1166 822 1184C840 1210 830 1250 800 1262C760 1270 710 1264 690 1250Z',
    skin,
  ) +
  shape('M690 1176C720 1166 756 1166 780 1172C744 1190 716 1214 700 1250L690 1250Z', skinLight) +
  line('M744 1190C760 1200 790 1204 816 1200M744 1214C766 1222 794 1224 818 1220', skinShade, 6) +
  // His ticket punch.
  shape(
    'M800 1150L880 1120L892 1140L820 1184ZM800 1210L884 1190L886 1212L812 1232Z',
    hex(0.62, 0.012, 250),
  );

/** A man who has punched the last ticket: greys that are not grey. */
export const conductor = drawn({
  file: 'conductor',
  type: 'webp',
  title: 'Conductor by the window',
  maker: 'Ilse Quarrand',
  kind: 'master work',
  source: 'Plate 9 of the Talloch picture book, oil on canvas',
  idea: 'Nothing is bright but a neckerchief of half a per cent; skin, cloth and wall are greys that lean warm and cool by turns.',
  width: 1200,
  height: 1320,
  known: {
    key: 'middle',
    range: 'full',
    families: ['yellow-orange', 'orange', 'blue-green'],
    harmony: 'near neutral',
    keyColour: 'yellow-orange',
    light: { from: 'left', what: 'a window under a white sky' },
    lightIs: 'cooler',
    cast: null,
    accents: ['neckerchief'],
    hidden: [],
  },
  defs: `${sky(
    'wall',
    [
      [0, hex(0.66, 0.022, 78)],
      [1, hex(0.42, 0.024, 62)],
    ],
    1,
    0.5,
  )}${sky('day', [
    [0, hex(0.93, 0.01, 225)],
    [0.6, hex(0.88, 0.016, 205)],
    [1, hex(0.78, 0.022, 170)],
  ])}`,
  masses: [
    [
      'wall',
      box(0, 0, 1200, 1320, 'url(#wall)') +
        box(0, 1010, 1200, 310, hex(0.44, 0.03, 58)) +
        box(0, 1000, 1200, 16, hex(0.58, 0.028, 66)) +
        [420, 620, 820, 1020].map((x) => line(`M${x} 1016V1320`, hex(0.37, 0.03, 54), 5)).join(''),
    ],
    [
      'window',
      box(0, 90, 300, 800, 'url(#day)') +
        shape(
          'M0 640C70 600 130 620 190 590C240 566 270 580 300 560V890H0Z',
          hex(0.72, 0.024, 185),
        ) +
        shape('M0 760C90 720 200 740 300 700V890H0Z', hex(0.63, 0.03, 160)),
    ],
    [
      'window frame',
      line('M300 60V920', hex(0.5, 0.03, 70), 34) +
        line('M284 60V920', hex(0.82, 0.018, 85), 8) +
        line('M0 480H300M150 90V890', hex(0.6, 0.024, 75), 18) +
        shape('M0 884H330V930H0Z', hex(0.76, 0.02, 80)),
    ],
    [
      'notices',
      shape('M920 200L1120 190L1128 440L926 452Z', hex(0.78, 0.028, 86)) +
        line(
          'M950 250L1098 242M950 290L1100 282M952 330L1060 324M952 370L1102 362',
          hex(0.52, 0.02, 70),
          8,
        ),
    ],
    [
      'bench',
      shape('M250 860H1120V920H250Z', hex(0.4, 0.045, 50)) +
        shape('M250 850H1120V866H250Z', hex(0.58, 0.045, 60)),
    ],
    ['coat', coat.replace(/<path d="M610 676.*?\/>/, '')],
    ['head', head],
    ['neckerchief', /<path d="M610 676.*?\/>/.exec(coat)?.[0] ?? ''],
    ['cap', cap],
    ['arms', arms],
  ],
  light: (plate) => {
    const cool = lch(0.9, 0.014, 215);
    const brown = lch(0.26, 0.024, 55);
    overall(plate, (x, y, at) => {
      const fall = smooth(0.15, 1.15, x + 0.16 * y + 0.06 * cloud(x * 3, y * 3, 8));
      if (Math.hypot(plate.data[at + 1], plate.data[at + 2]) < 0.11) {
        lay(plate, at, cool, 0.2 * (1 - fall));
        lay(plate, at, brown, 0.5 * fall * fall);
      }
    });
    glow(plate, 0.1, 0.36, 0.42, lch(0.95, 0.01, 215), 0.4);
    wander(plate, 0.011, 6, 19);
  },
  finish: painted({
    seed: 9120,
    ground: [0.5, 0.012, 0.026],
    layers: BROAD_TO_FINE.map((layer) => ({ ...layer, tolerance: layer.tolerance * 0.7 })),
    handling: { strayL: 0.022, strayAb: 0.012, dry: 0.5, body: 0.9 },
    flow: wandering(70, 50, 3, 43),
    relief: 0.9,
    tooth: 1,
  }),
});
