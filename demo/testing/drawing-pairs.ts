import { colourGrid, placeOfCell, type ColourGrid } from '../../src/core/picture/colour-grid';
import { blocksOf } from '../../src/core/picture/blocks';
import { smoothed, stepsAtScale, largestAbout } from '../../src/core/compare/scale-steps';
import type { Grid } from '../../src/core/compare/value-grid';
import { MASS_CELLS } from '../../src/core/measure/masses';
import type { Picture } from '../../src/core/picture/picture';
import { luminance } from '../../src/core/colour/srgb';
import { luminanceOfValue, quickValueOfLuminance } from '../../src/core/colour/value';
import { chance, type Chance } from '../painter/chance';
import { photographedStudy, shifted, type Light } from '../painter/photographed-study';
import { photography, pictureOfLight, slightShift } from './study-pairs';

export const DRAWING_FAULTS = ['lost', 'found', 'flattened', 'none'] as const;
export type DrawingFaultKind = (typeof DRAWING_FAULTS)[number];

/** A model and the photograph of a study in which something is drawn otherwise, in a disc. */
export interface DrawingPair {
  model: Picture;
  photo: Picture;
  /** What was planted; none where the picture has no place for it. */
  kind: DrawingFaultKind;
  place: { x: number; y: number };
  /** Of the longer side. */
  radius: number;
}

const RADIUS = 0.13;

/** Whether what is said of a place (fractions of the model) was planted there. What is laid flat loses its edges too. */
export function isPlanted(
  { kind, place, radius, model: { width, height } }: DrawingPair,
  said: DrawingFaultKind,
  x: number,
  y: number,
): boolean {
  const off = Math.hypot((x - place.x) * width, (y - place.y) * height) / Math.max(width, height);
  return off < radius + 0.03 && (said === kind || (kind === 'flattened' && said === 'lost'));
}

const AS_IT_IS = { value: 0, valueGain: 1, chromaGain: 1, hueTurn: 0 };

/** `kind` says what is to be planted. An edge is too hard in the study where the model was made soft. */
export function drawingPair(picture: Picture, kind: DrawingFaultKind, seed: number): DrawingPair {
  const random = chance(seed * 77 + picture.data[4000] * 13 + 1);
  const place = kind === 'none' ? null : placeFor(picture, kind, random);
  const light = shifted(picture, slightShift(random), []);
  const isModelDrawn = kind === 'found';
  const drawn = place && !isModelDrawn ? redrawn(light, kind, place) : light;
  const { picture: photo } = photographedStudy(
    drawn,
    photography(seed, picture.width / picture.height),
  );
  return {
    model:
      place && isModelDrawn
        ? pictureOfLight(redrawn(shifted(picture, AS_IT_IS, []), 'lost', place))
        : picture,
    photo,
    kind: place ? kind : 'none',
    place: place ?? { x: 0, y: 0 },
    radius: RADIUS,
  };
}

/** A place where the model has what is to be lost, found or flattened. */
function placeFor(
  model: Picture,
  kind: DrawingFaultKind,
  random: Chance,
): { x: number; y: number } | null {
  const grid = colourGrid(model, blocksOf(model), MASS_CELLS);
  const { width, height, value } = grid;
  const values: Grid = { width, height, data: value, mask: Uint8Array.from(grid.mask, Math.ceil) };
  const fine = stepsAtScale(values, 1);
  const wide = stepsAtScale(values, 8);
  const edges = largestAbout(fine, width, height, 10);
  const fits = (c: number) =>
    kind === 'flattened'
      ? edges[c] < 0.6 && turnAbout(grid, c) > 1.1
      : fine[c] > 1.5 && wide[c] > 0.8 * fine[c];
  const inside = Array.from(value, (_, c) => c).filter((c) => {
    const { x, y } = placeOfCell(grid, c);
    return x > 0.15 && x < 0.85 && y > 0.15 && y < 0.85 && fits(c);
  });
  if (inside.length === 0) return null;
  return placeOfCell(grid, inside[Math.floor(random() * inside.length)]);
}

/** How far values turn within ten cells. */
function turnAbout({ width, height, value }: ColourGrid, c: number): number {
  const [x, y] = [c % width, Math.floor(c / width)];
  const at = (dx: number, dy: number) =>
    value[
      Math.min(height - 1, Math.max(0, y + dy)) * width + Math.min(width - 1, Math.max(0, x + dx))
    ];
  return Math.max(Math.abs(at(10, 0) - at(-10, 0)), Math.abs(at(0, 10) - at(0, -10)));
}

/** With its edges softened, or its values laid flat, about a place. */
function redrawn(
  { width, height, light }: Light,
  kind: DrawingFaultKind,
  place: { x: number; y: number },
): Light {
  const side = Math.max(width, height);
  const data = Float32Array.from({ length: width * height }, (_, p) =>
    quickValueOfLuminance(luminance(light[p * 3], light[p * 3 + 1], light[p * 3 + 2])),
  );
  const mask = new Uint8Array(data.length).fill(1);
  const distance = (p: number) =>
    Math.hypot((p % width) - place.x * width, Math.floor(p / width) - place.y * height) / side;
  const soft = smoothed({ width, height, data, mask }, kind === 'lost' ? 0.022 * side : 2);
  const within = Array.from(data, (_, p) => p).filter((p) => distance(p) < RADIUS);
  const mean = within.reduce((sum, p) => sum + data[p], 0) / within.length;
  const out = Float32Array.from(light);
  for (let p = 0; p < data.length; p++) {
    const part = Math.min(1, Math.max(0, (RADIUS - distance(p)) / 0.02));
    if (part === 0) continue;
    const wanted = kind === 'lost' ? soft[p] : mean;
    const value = data[p] + part * (wanted - data[p]);
    const times = luminanceOfValue(value) / Math.max(1e-4, luminanceOfValue(data[p]));
    for (let k = 0; k < 3; k++) out[p * 3 + k] = Math.min(1, light[p * 3 + k] * times);
  }
  return { width, height, light: out };
}
