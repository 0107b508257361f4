import { drawn } from '../painter/drawn';
import type { DemoPicture } from '../painter/picture';

/** The side of the repeat. */
export const SIDE = 240;

/**
 * The glazes as they were meant, each with the strays that crept in while the drawing was copied
 * about: near enough to pass for the same, far enough to make a recolouring patchy.
 */
export const GLAZES = {
  cream: ['#f1e6cf', '#f0e4c9', '#f3e8d5'],
  cobalt: ['#2b4a8b', '#2d4d90', '#294685', '#304e8d'],
  sky: ['#8fb0cf', '#92b1cc'],
  ochre: ['#d29a3a', '#d59d40'],
  brick: ['#a8472f', '#ab4a33', '#a54730'],
  moss: ['#5d7046'],
} as const;
export type Glaze = keyof typeof GLAZES;

const glaze = (name: Glaze, nth: number) => GLAZES[name][nth % GLAZES[name].length];
const petal = (fill: string, turn: number, x: number, y: number, scale = 1) =>
  `<path transform="translate(${x} ${y}) rotate(${turn}) scale(${scale})" fill="${fill}" d="M0 0C26 -22 30 -62 0 -92C-30 -62 -26 -22 0 0Z"/>`;
const dot = (fill: string, x: number, y: number, r: number) =>
  `<circle cx="${x}" cy="${y}" r="${r}" fill="${fill}"/>`;
const corners = [
  [0, 0],
  [SIDE, 0],
  [SIDE, SIDE],
  [0, SIDE],
] as const;
const middle = SIDE / 2;
const sides = [
  [middle, 0],
  [SIDE, middle],
  [middle, SIDE],
  [0, middle],
] as const;

/** What each glaze is laid down as, from the ground up. Whatever crosses an edge is drawn alike on the other side. */
const LAYERS: readonly (readonly [Glaze, string])[] = [
  ['cream', `<rect width="${SIDE}" height="${SIDE}" fill="${glaze('cream', 0)}"/>`],
  [
    'sky',
    corners.map(([x, y]) => dot(glaze('sky', 0), x, y, 104)).join('') +
      dot(glaze('sky', 1), middle, middle, 74),
  ],
  ['cream', corners.map(([x, y]) => dot(glaze('cream', 1), x, y, 90)).join('')],
  [
    'cobalt',
    corners
      .map(([x, y]) =>
        [45, 135, 225, 315].map((turn, k) => petal(glaze('cobalt', k), turn, x, y, 0.9)).join(''),
      )
      .join('') +
      [0, 90, 180, 270]
        .map((turn, k) => petal(glaze('cobalt', k), turn, middle, middle, 0.78))
        .join(''),
  ],
  [
    'brick',
    [45, 135, 225, 315]
      .map((turn, k) => petal(glaze('brick', k), turn, middle, middle, 0.62))
      .join('') + sides.map(([x, y]) => dot(glaze('brick', 0), x, y, 13)).join(''),
  ],
  [
    'moss',
    corners
      .map(([x, y]) =>
        [0, 90, 180, 270].map((turn) => petal(glaze('moss', 0), turn, x, y, 0.46)).join(''),
      )
      .join(''),
  ],
  [
    'ochre',
    corners.map(([x, y]) => dot(glaze('ochre', 0), x, y, 19)).join('') +
      dot(glaze('ochre', 1), middle, middle, 21),
  ],
  ['cream', dot(glaze('cream', 2), middle, middle, 9)],
];

/** The tile as a file of its own, its edges meeting. */
export function tileSvg(): string {
  const shapes = LAYERS.map(([name, drawing]) => `  <g id="${name}">${drawing}</g>`);
  const ids = new Map<string, number>();
  // An id stands once in a file: the second layer of a glaze is its second.
  const unique = shapes.map((group) =>
    group.replace(/id="(\w+)"/, (_, name: string) => {
      const nth = (ids.get(name) ?? 0) + 1;
      ids.set(name, nth);
      return nth === 1 ? `id="${name}"` : `id="${name}-${nth}"`;
    }),
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${SIDE}" height="${SIDE}" viewBox="0 0 ${SIDE} ${SIDE}">\n${unique.join('\n')}\n</svg>\n`;
}

const ACROSS = 6;
const DOWN = 5;
const repeated = (drawing: string) =>
  Array.from({ length: ACROSS * DOWN }, (_, i) => {
    const x = (i % ACROSS) * SIDE;
    const y = Math.floor(i / ACROSS) * SIDE;
    return `<svg x="${x}" y="${y}" width="${SIDE}" height="${SIDE}" viewBox="0 0 ${SIDE} ${SIDE}">${drawing}</svg>`;
  }).join('');

/** A wall of the tile, as a study of one's own work. */
export const enamelTile: DemoPicture = drawn({
  file: 'enamel-tile',
  type: 'webp',
  title: 'Enamel tile for the endpapers',
  maker: 'Wren Hallaby',
  kind: 'own work',
  source: 'Repeat for the endpapers of the Talloch picture book',
  idea: 'Cream and two blues hold the wall, brick and ochre answer; fifteen colours that were meant to be six.',
  width: ACROSS * SIDE,
  height: DOWN * SIDE,
  known: {
    key: 'high',
    range: 'full',
    families: ['blue', 'yellow-orange', 'red-orange'],
    harmony: 'complementary',
    keyColour: 'blue',
    light: { from: 'nowhere', what: 'flat colour' },
    lightIs: 'warmer',
    cast: null,
    accents: [],
    hidden: [],
  },
  defs: '',
  masses: LAYERS.map(([name, drawing], i) => [`${i + 1} ${name}`, repeated(drawing)] as const),
  light: () => undefined,
  finish: (plate) => plate,
});

/** Counts the colours that the drawing really uses. */
export function tileColours(): string[] {
  return [...new Set(tileSvg().match(/#[0-9a-f]{6}/g))];
}
