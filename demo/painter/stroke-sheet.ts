import { linearFromOklab, oklabFromLinear, type Oklab } from '../../src/core/colour/oklab';
import { toEncoded } from '../../src/core/colour/srgb';
import { inverted, mapped, squareToQuad, type Quad } from '../../src/core/raster/homography';
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
  const toPhoto = squareToQuad(corners)!;
  const toSheet = inverted(toPhoto);
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
      const [u, v] = mapped(toSheet, px, py);
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
    const [x, y] = mapped(
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

/** The corners of the sheet in the photograph, clockwise from the upper left. */
function cornersOf(tilt: number, random: () => number): Quad {
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
