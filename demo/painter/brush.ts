import { smooth, type Chance } from './chance';
import type { Plate } from './plate';
import type { Stroke } from './strokes';

/** A canvas with the thickness of the paint on it. */
export interface Ground {
  plate: Plate;
  /** Paint thickness, one float a pixel. */
  relief: Float32Array;
  /** The number of the stroke that touched a pixel last, so that a stroke covers itself once. */
  touched: Uint32Array;
  strokes: number;
}

export interface Handling {
  /** How far a stroke's colour strays: lightness, and a and b together. */
  strayL: number;
  strayAb: number;
  /** 0 wet and covering, 1 dry and broken. */
  dry: number;
  /** How thick the paint stands. */
  body: number;
}

export function groundOf(plate: Plate): Ground {
  const pixels = plate.width * plate.height;
  return { plate, relief: new Float32Array(pixels), touched: new Uint32Array(pixels), strokes: 0 };
}

/** Draws one stroke: bristles leave lines along it, its end runs dry, its edges stand up. */
export function drawStroke(
  ground: Ground,
  stroke: Stroke,
  handling: Handling,
  random: Chance,
): void {
  const { plate, relief, touched } = ground;
  const id = ++ground.strokes;
  const { path, radius } = stroke;
  const bristles = makeBristles(radius, random);
  const spread = () => random() + random() - 1;
  const L = stroke.colour[0] + spread() * handling.strayL;
  const a = stroke.colour[1] + spread() * handling.strayAb;
  const b = stroke.colour[2] + spread() * handling.strayAb;
  const length = pathLength(path);
  const load = 0.55 + 0.45 * random();
  let before = 0;
  for (let k = 0; k + 3 < path.length; k += 2) {
    const x0 = path[k];
    const y0 = path[k + 1];
    const dx = path[k + 2] - x0;
    const dy = path[k + 3] - y0;
    const part = Math.hypot(dx, dy);
    if (part === 0) continue;
    const left = Math.max(0, Math.floor(Math.min(x0, x0 + dx) - radius));
    const right = Math.min(plate.width - 1, Math.ceil(Math.max(x0, x0 + dx) + radius));
    const top = Math.max(0, Math.floor(Math.min(y0, y0 + dy) - radius));
    const bottom = Math.min(plate.height - 1, Math.ceil(Math.max(y0, y0 + dy) + radius));
    for (let y = top; y <= bottom; y++) {
      for (let x = left; x <= right; x++) {
        const p = y * plate.width + x;
        if (touched[p] === id) continue;
        const along = Math.min(1, Math.max(0, ((x - x0) * dx + (y - y0) * dy) / (part * part)));
        const offX = x - x0 - along * dx;
        const offY = y - y0 - along * dy;
        const off = Math.hypot(offX, offY) / radius;
        if (off > 1) continue;
        const side = (dx * offY - dy * offX) / part / radius;
        const bristle =
          bristles[Math.min(bristles.length - 1, Math.floor(((side + 1) / 2) * bristles.length))];
        const gone = (before + along * part) / (length + 1e-6);
        const dryness = handling.dry * smooth(load * 0.5, 1.1, gone);
        const alpha = smooth(1, 0.78, off) * smooth(dryness - 0.18, dryness + 0.18, bristle + 0.12);
        if (alpha < 0.02) continue;
        touched[p] = id;
        const at = p * 3;
        const light = L + (bristle - 0.5) * 0.022;
        plate.data[at] += (light - plate.data[at]) * alpha;
        plate.data[at + 1] += (a - plate.data[at + 1]) * alpha;
        plate.data[at + 2] += (b - plate.data[at + 2]) * alpha;
        const edge = smooth(0.6, 0.9, off) * 0.35;
        const thick =
          handling.body * (0.35 + 0.65 * bristle + edge) * Math.min(1, radius / 14 + 0.25);
        relief[p] += (thick - relief[p] * 0.7) * alpha * 0.85;
      }
    }
    before += part;
  }
}

/** How much paint each hair carries across the brush, 0–1, neighbours alike. */
function makeBristles(radius: number, random: Chance): number[] {
  const count = Math.max(3, Math.round(radius * 1.4));
  const raw = Array.from({ length: count }, random);
  return raw.map(
    (hair, i) => (hair * 2 + raw[Math.max(0, i - 1)] + raw[Math.min(count - 1, i + 1)]) / 4,
  );
}

function pathLength(path: readonly number[]): number {
  let length = 0;
  for (let k = 0; k + 3 < path.length; k += 2)
    length += Math.hypot(path[k + 2] - path[k], path[k + 3] - path[k + 1]);
  return length;
}
