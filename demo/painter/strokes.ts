import { noise, type Chance } from './chance';
import type { Plate } from './plate';

export interface Stroke {
  /** x, y pairs. */
  path: number[];
  radius: number;
  colour: [L: number, a: number, b: number];
}

export interface Layer {
  radius: number;
  /** Repaint where canvas and model differ by more than this, in OKLab. */
  tolerance: number;
  shortest: number;
  longest: number;
  /** How much a stroke bends toward the form rather than going straight on, 0–1. */
  bend: number;
}

/** Which way the brush goes where the model is flat: radians at fractions of the picture. */
export type Flow = (x: number, y: number) => number;

/**
 * One layer of curved strokes over what the canvas has not got right yet: a stroke starts where a
 * cell of the grid is most wrong, runs along the form (across the gradient of value) and ends where
 * its colour would do harm.
 * Source: A. Hertzmann, "Painterly rendering with curved brush strokes of multiple sizes", SIGGRAPH 1998.
 */
export function planLayer(
  model: Plate,
  canvas: Plate,
  layer: Layer,
  flow: Flow,
  random: Chance,
): Stroke[] {
  const { width, height } = model;
  const { radius } = layer;
  const grid = Math.max(2, Math.round(radius * 0.9));
  const strokes: Stroke[] = [];
  for (let y0 = 0; y0 < height; y0 += grid) {
    for (let x0 = 0; x0 < width; x0 += grid) {
      let worst = 0;
      let sum = 0;
      let cells = 0;
      let x = x0;
      let y = y0;
      for (let j = y0; j < Math.min(height, y0 + grid); j++) {
        for (let i = x0; i < Math.min(width, x0 + grid); i++) {
          const d = difference(model, canvas, i, j);
          sum += d;
          cells++;
          if (d > worst) {
            worst = d;
            x = i;
            y = j;
          }
        }
      }
      if (sum / cells < layer.tolerance) continue;
      // A little off the worst place, so that strokes do not line up with the grid.
      const jitter = () => (random() - 0.5) * radius * 0.5;
      strokes.push(
        strokeFrom(
          model,
          canvas,
          layer,
          flow,
          bound(x + jitter(), width),
          bound(y + jitter(), height),
        ),
      );
    }
  }
  shuffle(strokes, random);
  return strokes;
}

function strokeFrom(
  model: Plate,
  canvas: Plate,
  layer: Layer,
  flow: Flow,
  x0: number,
  y0: number,
): Stroke {
  const { width, height } = model;
  const { radius, shortest, longest, bend } = layer;
  const colour = colourAt(model, x0, y0);
  const path = [x0, y0];
  let x = x0;
  let y = y0;
  let lastX = 0;
  let lastY = 0;
  for (let step = 0; step < longest; step++) {
    if (step > shortest) {
      const here = colourAt(model, x, y);
      const there = colourAt(canvas, x, y);
      if (distance(here, there) < distance(here, colour)) break;
    }
    const [gx, gy] = gradient(model, x, y, Math.max(1, Math.round(radius / 2)));
    const strength = Math.hypot(gx, gy);
    const angle = flow(x / width, y / height);
    const trust = Math.min(1, strength * 14);
    let dx = trust * (strength > 0 ? -gy / strength : 0) + (1 - trust) * Math.cos(angle);
    let dy = trust * (strength > 0 ? gx / strength : 0) + (1 - trust) * Math.sin(angle);
    if (lastX * dx + lastY * dy < 0) {
      dx = -dx;
      dy = -dy;
    }
    dx = bend * dx + (1 - bend) * lastX;
    dy = bend * dy + (1 - bend) * lastY;
    const length = Math.hypot(dx, dy);
    if (length < 1e-6) break;
    lastX = dx / length;
    lastY = dy / length;
    x += lastX * radius;
    y += lastY * radius;
    if (x < 0 || y < 0 || x >= width || y >= height) break;
    path.push(x, y);
  }
  if (path.length === 2)
    path.push(
      x0 + Math.cos(flow(x0 / width, y0 / height)) * radius,
      y0 + Math.sin(flow(x0 / width, y0 / height)) * radius,
    );
  return { path, radius, colour };
}

/** A flow that wanders about one direction. */
export function wandering(degrees: number, by: number, scale: number, seed: number): Flow {
  return (x, y) => ((degrees + by * noise(x * scale, y * scale, seed)) * Math.PI) / 180;
}

function gradient(model: Plate, x: number, y: number, reach: number): [number, number] {
  const L = (i: number, j: number) => {
    const px = Math.round(bound(i, model.width));
    const py = Math.round(bound(j, model.height));
    return model.data[(py * model.width + px) * 3];
  };
  return [L(x + reach, y) - L(x - reach, y), L(x, y + reach) - L(x, y - reach)];
}

function colourAt(plate: Plate, x: number, y: number): [number, number, number] {
  const at =
    (Math.round(bound(y, plate.height)) * plate.width + Math.round(bound(x, plate.width))) * 3;
  return [plate.data[at], plate.data[at + 1], plate.data[at + 2]];
}

function difference(one: Plate, other: Plate, x: number, y: number): number {
  const at = (y * one.width + x) * 3;
  return Math.hypot(
    one.data[at] - other.data[at],
    one.data[at + 1] - other.data[at + 1],
    one.data[at + 2] - other.data[at + 2],
  );
}

function distance(one: readonly number[], other: readonly number[]): number {
  return Math.hypot(one[0] - other[0], one[1] - other[1], one[2] - other[2]);
}

function bound(n: number, size: number): number {
  return Math.min(size - 1, Math.max(0, n));
}

function shuffle<T>(list: T[], random: Chance): void {
  for (let i = list.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [list[i], list[j]] = [list[j], list[i]];
  }
}
