import { linearFromOklab, oklabFromLinear, type Oklab } from '../../src/core/colour/oklab';
import { toEncoded } from '../../src/core/colour/srgb';
import { pictureOf, type Picture } from '../../src/core/picture/picture';
import { chance, noise, smooth } from './chance';

export interface StrokeSheet {
  seed: number;
  columns: number;
  /** In reading order; a last row may be short. */
  colours: readonly Oklab[];
  width: number;
  height: number;
  /** How far the camera is off the upright, 0–1: the far side of the sheet is so much shorter. */
  tilt: number;
  /** How dark the shadow of who photographs it lies on the sheet, 0–1. */
  shadow: number;
  /** Standard deviation of the sensor's noise in 8-bit levels. */
  grain: number;
  /** Colour of the light against white. */
  light: readonly [r: number, g: number, b: number];
}

/** Reflectance of the paper. */
const PAPER = 0.86;
const TABLE: readonly [number, number, number] = [0.16, 0.1, 0.06];
/** What each stroke takes of its place, across and down. */
const STROKE = [0.68, 0.62] as const;

/** A stroke's middle in fractions of the photograph, and its colour in white light. */
export interface StrokePlace {
  x: number;
  y: number;
  colour: Oklab;
}

/**
 * A sheet of strokes as somebody photographs it at the window: ragged strokes with the grain of the paper in them, in
 * rows, seen at an angle, in a light that falls off and is shadowed, with noise.
 */
export function strokeSheet(sheet: StrokeSheet): { picture: Picture; places: StrokePlace[] } {
  const { seed, columns, colours, width, height, tilt, shadow, grain, light } = sheet;
  const random = chance(seed);
  const rows = Math.ceil(colours.length / columns);
  const corners = cornersOf(tilt, random);
  const toSheet = inverted(squareTo(corners));
  const toPhoto = squareTo(corners);
  const lay = Array.from({ length: colours.length }, () => ({
    x: (random() - 0.5) * 0.12,
    y: (random() - 0.5) * 0.12,
    turn: (random() - 0.5) * 0.12,
    cover: 0.93 + 0.06 * random(),
  }));
  const linear = colours.map((colour) => {
    const { r, g, b } = linearFromOklab(colour);
    return [r, g, b];
  });
  const margin = 0.06;
  const shadowTurn = random() * Math.PI * 2;
  const falls = [(random() - 0.5) * 0.5, (random() - 0.5) * 0.5];
  const data = new Uint8ClampedArray(width * height * 4);
  const bell = () => (random() + random() + random() + random() - 2) * 1.73;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [px, py] = [x / width, y / height];
      const [u, v] = applied(toSheet, px, py);
      const inside = u >= 0 && u <= 1 && v >= 0 && v <= 1;
      const surface = inside ? surfaceAt(u, v) : tableAt(px, py);
      const edge = Math.cos(shadowTurn) * (px - 0.5) + Math.sin(shadowTurn) * (py - 0.5);
      const lit =
        (1 + falls[0] * (px - 0.5) + falls[1] * (py - 0.5)) *
        (1 - shadow * smooth(-0.06, 0.1, edge - 0.12)) *
        (1 - 0.25 * ((px - 0.5) ** 2 + (py - 0.5) ** 2));
      const at = (y * width + x) * 4;
      for (let k = 0; k < 3; k++)
        data[at + k] = toEncoded(Math.min(1, surface[k] * lit * light[k])) * 255 + grain * bell();
      data[at + 3] = 255;
    }
  const places = colours.map((_, i) => {
    const [u, v] = [(i % columns) + 0.5 + lay[i].x, Math.floor(i / columns) + 0.5 + lay[i].y];
    const [x, y] = applied(
      toPhoto,
      margin + ((1 - 2 * margin) * u) / columns,
      margin + ((1 - 2 * margin) * v) / rows,
    );
    // Where the tooth is full.
    const laid = linear[i].map((channel) => PAPER + lay[i].cover * (channel - PAPER));
    return { x, y, colour: oklabFromLinear({ r: laid[0], g: laid[1], b: laid[2] }) };
  });
  return { picture: pictureOf(width, height, data), places };

  function surfaceAt(u: number, v: number): readonly number[] {
    const grainOfPaper = 1 + 0.012 * noise(u * 420, v * 420, seed + 7);
    const paper = [PAPER * grainOfPaper, PAPER * grainOfPaper, PAPER * 0.985 * grainOfPaper];
    const across = ((u - margin) / (1 - 2 * margin)) * columns;
    const down = ((v - margin) / (1 - 2 * margin)) * rows;
    const [column, row] = [Math.floor(across), Math.floor(down)];
    const i = row * columns + column;
    if (column < 0 || column >= columns || row < 0 || i < 0 || i >= colours.length) return paper;
    const { x, y, turn, cover } = lay[i];
    const dx = across - column - 0.5 - x;
    const dy = down - row - 0.5 - y;
    const [sx, sy] = [dx + turn * dy, dy - turn * dx];
    const ragged = 0.05 * noise(u * 160, v * 160, seed + i);
    const within = Math.max(Math.abs(sx) / STROKE[0], Math.abs(sy) / STROKE[1]) * 2 - ragged;
    const laid = smooth(1.04, 0.98, within);
    if (laid === 0) return paper;
    const tooth = smooth(-0.9, -0.55, noise(u * 260, v * 260, seed + 3 * i));
    const share = laid * cover * (0.8 + 0.2 * tooth);
    return paper.map((bare, k) => bare + share * (linear[i][k] - bare));
  }

  function tableAt(x: number, y: number): readonly number[] {
    const wood = 1 + 0.35 * noise(x * 4, y * 90, seed + 11);
    return TABLE.map((channel) => channel * wood);
  }
}

type Homography = readonly number[];

/** The corners of the sheet in the photograph, clockwise from the upper left. */
function cornersOf(tilt: number, random: () => number): [number, number][] {
  const jitter = () => (random() - 0.5) * 0.03;
  const inset = 0.16 * tilt;
  const slant = (random() - 0.5) * 0.1 * tilt;
  return [
    [0.08 + inset + jitter(), 0.08 + slant + jitter()],
    [0.92 - inset + jitter(), 0.08 - slant + jitter()],
    [0.94 + jitter(), 0.93 + jitter()],
    [0.06 + jitter(), 0.93 + jitter()],
  ];
}

/** The homography that brings the unit square to four corners. Source: P. Heckbert, "Fundamentals of texture mapping", 1989. */
function squareTo([[x0, y0], [x1, y1], [x2, y2], [x3, y3]]: readonly (readonly [
  number,
  number,
])[]): Homography {
  const [sx, sy] = [x0 - x1 + x2 - x3, y0 - y1 + y2 - y3];
  const [dx1, dx2, dy1, dy2] = [x1 - x2, x3 - x2, y1 - y2, y3 - y2];
  const det = dx1 * dy2 - dx2 * dy1;
  const g = (sx * dy2 - dx2 * sy) / det;
  const h = (dx1 * sy - sx * dy1) / det;
  return [x1 - x0 + g * x1, x3 - x0 + h * x3, x0, y1 - y0 + g * y1, y3 - y0 + h * y3, y0, g, h, 1];
}

function applied([a, b, c, d, e, f, g, h, i]: Homography, u: number, v: number): [number, number] {
  const w = g * u + h * v + i;
  return [(a * u + b * v + c) / w, (d * u + e * v + f) / w];
}

function inverted([a, b, c, d, e, f, g, h, i]: Homography): Homography {
  return [
    e * i - f * h,
    c * h - b * i,
    b * f - c * e,
    f * g - d * i,
    a * i - c * g,
    c * d - a * f,
    d * h - e * g,
    b * g - a * h,
    a * e - b * d,
  ];
}
