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
import { photography } from './study-pairs';

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

/** `kind` says what is to be planted. */
export function drawingPair(model: Picture, kind: DrawingFaultKind, seed: number): DrawingPair {
  const random = chance(seed * 77 + model.data[4000] * 13 + 1);
  const about = (by: number) => (random() * 2 - 1) * by;
  const place = kind === 'none' ? null : placeFor(model, kind, random);
  const light = shifted(
    model,
    {
      value: about(0.3),
      valueGain: 1 + about(0.1),
      chromaGain: 1 + about(0.2),
      hueTurn: about(8),
    },
    [],
  );
  const drawn = place ? redrawn(light, kind, place) : light;
  const { picture } = photographedStudy(drawn, photography(seed, model.width / model.height));
  return {
    model,
    photo: picture,
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
    kind === 'lost'
      ? fine[c] > 1.5 && wide[c] > 0.8 * fine[c]
      : kind === 'found'
        ? edges[c] < 0.9 && wide[c] > 1.6
        : edges[c] < 0.6 && turnAbout(grid, c) > 1.1;
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

/** The study with its edges softened, a turn cut into two tones, or values laid flat about a place. */
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
  const above = meanOf(within.filter((p) => soft[p] >= mean).map((p) => data[p]));
  const below = meanOf(within.filter((p) => soft[p] < mean).map((p) => data[p]));
  const out = Float32Array.from(light);
  for (let p = 0; p < data.length; p++) {
    const part = Math.min(1, Math.max(0, (RADIUS - distance(p)) / 0.02));
    if (part === 0) continue;
    const wanted =
      kind === 'lost' ? soft[p] : kind === 'found' ? (soft[p] >= mean ? above : below) : mean;
    const value = data[p] + part * (wanted - data[p]);
    const times = luminanceOfValue(value) / Math.max(1e-4, luminanceOfValue(data[p]));
    for (let k = 0; k < 3; k++) out[p * 3 + k] = Math.min(1, light[p * 3 + k] * times);
  }
  return { width, height, light: out };
}

const meanOf = (numbers: readonly number[]) =>
  numbers.reduce((sum, n) => sum + n, 0) / Math.max(1, numbers.length);
