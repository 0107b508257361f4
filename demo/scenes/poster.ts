import { box, circle, drawn, line, shape } from '../painter/drawn';
import { hex } from '../painter/plate';
import { printed } from '../painter/press';

/** Three inks, and what they make where one lies over another. */
const paper = hex(0.955, 0.024, 88);
const yellow = '#e9b33c';
const red = '#c8452f';
const blue = '#2f5f86';

/** One plate of the print: its ink lies over what is under it as a transparent film. */
const plateOfInk = (ink: string, shapes: string, dx = 0, dy = 0) =>
  `<g style="mix-blend-mode:multiply" fill="${ink}" stroke="none" transform="translate(${dx} ${dy})">${shapes}</g>`;

const ridge =
  'M0 760L130 610L250 690L410 430L520 560L640 300L760 470L860 400L1000 620L1100 540V900H0Z';
const snowcaps =
  'M640 300L760 470L716 452L690 500L648 440L610 486L562 470ZM410 430L468 498L430 492L404 540L376 486Z';
const valley = 'M0 900L180 820L420 880L640 800L900 900L1100 840V1500H0Z';
const firs = [60, 150, 235, 880, 965, 1050]
  .map((x, i) => {
    const y = 1150 + ((i * 37) % 60);
    return `<path d="M${x} ${y - 300}L${x + 58} ${y - 160}H${x + 30}L${x + 84} ${y - 50}H${x + 40}L${x + 104} ${y + 80}H${x - 104}L${x - 40} ${y - 50}H${x - 84}L${x - 30} ${y - 160}H${x - 58}Z"/>`;
  })
  .join('');
const rays = Array.from({ length: 12 }, (_, i) => {
  const turn = Math.PI + (i * Math.PI) / 11.5;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const at = (r: number, off: number) => `${800 + r * c - off * s} ${430 + r * s + off * c}`;
  return `<path d="M${at(190, -9)}L${at(900, -52)}L${at(900, 52)}L${at(190, 9)}Z"/>`;
}).join('');

const cabinBody =
  'M380 690C380 664 396 650 422 650H706C732 650 748 664 748 690L764 948C764 976 748 990 722 990H406C380 990 364 976 364 948Z';
const panes = 'M404 700H510V830H400ZM530 700H600V830H530ZM620 700H724L730 830H620Z';
const hanger = 'M540 650V560L560 540L580 560V650ZM500 536H620V562H500Z';

/** Letters cut from paper: straight strokes only, a made-up word. */
const LETTERS: Record<string, string> = {
  T: 'M0 0H100V26H64V150H36V26H0Z',
  A: 'M38 0H66L104 150H74L68 116H36L30 150H0ZM42 90H62L52 40Z',
  L: 'M0 0H28V124H90V150H0Z',
  O: 'M20 0H84L104 22V128L84 150H20L0 128V22ZM28 28V122H76V28Z',
  C: 'M20 0H84L104 22V50H76V28H28V122H76V100H104V128L84 150H20L0 128V22Z',
  H: 'M0 0H28V60H74V0H102V150H74V88H28V150H0Z',
};
function word(letters: string, x: number, y: number, size: number): string {
  return [...letters]
    .map(
      (letter, i) =>
        `<path fill-rule="evenodd" transform="translate(${x + i * 128 * size} ${y}) scale(${size})" d="${LETTERS[letter]}"/>`,
    )
    .join('');
}

/** A poster for the last season: three inks and the paper have to do. */
export const poster = drawn({
  file: 'poster',
  type: 'webp',
  title: 'Talloch, the last season',
  maker: 'Jory Pellwin',
  kind: 'master work',
  source: 'Poster for the cable railway, three-colour lithograph',
  idea: 'Three inks make six colours and the paper is the seventh; the red is kept for the cabin.',
  width: 1100,
  height: 1500,
  known: {
    key: 'middle',
    range: 'full',
    families: ['blue', 'yellow-orange', 'red-orange'],
    harmony: 'triad',
    keyColour: 'blue',
    light: { from: 'behind', what: 'a flat sun; no shadow is drawn' },
    lightIs: 'warmer',
    cast: [0.004, 0.024],
    accents: [],
    hidden: [],
  },
  defs: '',
  masses: [
    ['paper', box(0, 0, 1100, 1500, paper)],
    [
      'sun and rays',
      plateOfInk(yellow, `<g opacity="0.42">${rays}</g>` + circle(800, 430, 165, yellow), 3, -2),
    ],
    [
      'mountains',
      plateOfInk(
        blue,
        `<g opacity="0.62"><path fill-rule="evenodd" d="${ridge}${snowcaps}"/></g>`,
        -3,
        2,
      ),
    ],
    [
      'meadow',
      plateOfInk(yellow, `<path d="${valley}"/>`, 3, -2) +
        plateOfInk(
          blue,
          `<g opacity="0.42"><path d="M0 1010L260 930L520 1010L800 930L1100 1010V1500H0Z"/></g>`,
          -3,
          2,
        ),
    ],
    ['firs', plateOfInk(blue, firs, -3, 2)],
    [
      'cable',
      plateOfInk(
        blue,
        line('M0 800L560 546L1100 300M0 822L560 568L1100 322', blue, 7) + `<path d="${hanger}"/>`,
        -3,
        2,
      ),
    ],
    [
      'cabin',
      // The other plates are cut away under the cabin, or the red would drown.
      shape(cabinBody, paper) +
        plateOfInk(red, `<path fill-rule="evenodd" d="${cabinBody}${panes}"/>`, 2, 3) +
        plateOfInk(yellow, `<path d="${panes}"/>`, 3, -2) +
        plateOfInk(
          blue,
          '<path d="M366 900H762L764 948C764 976 748 990 722 990H406C380 990 364 976 364 948Z"/>',
          -3,
          2,
        ),
    ],
    ['title ground', plateOfInk(blue, '<path d="M0 1240H1100V1500H0Z"/>', -3, 2)],
    ['title', shape('M0 0', paper) + `<g fill="${paper}">${word('TALLOCH', 96, 1296, 1.04)}</g>`],
  ],
  light: () => undefined,
  finish: printed({ seed: 616, tooth: 0.75 }),
});
