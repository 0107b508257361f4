import type { Oklab } from '../../src/core/colour/oklab';
import { cloud, noise, smooth } from './chance';
import { copyPlate, lay, overall, type Plate } from './plate';

/** A lamp's bloom: strongest at its heart, wider than tall or taller than wide by `stretch`. */
export function glow(
  plate: Plate,
  x: number,
  y: number,
  reach: number,
  colour: Oklab,
  strength: number,
  stretch = 1,
): void {
  const aspect = plate.width / plate.height;
  overall(plate, (px, py, at) => {
    const d = Math.hypot((px - x) * aspect, (py - y) / stretch) / reach;
    if (d < 1) lay(plate, at, colour, strength * (1 - d) ** 2.2);
  });
}

/**
 * Wet ground below `line`: what stands above it comes back mirrored, broken by ripples, drawn out
 * downward, weaker the nearer it is.
 */
export function reflect(
  plate: Plate,
  line: number,
  strength: number,
  ripple: number,
  seed: number,
): void {
  const before = copyPlate(plate);
  const { width, height } = plate;
  overall(plate, (x, y, at) => {
    if (y <= line) return;
    const depth = (y - line) / (1 - line);
    const shake =
      ripple * (0.3 + depth) * noise(x * 9, y * 70, seed) +
      ripple * 0.5 * noise(x * 40, y * 160, seed + 5);
    const sx = Math.min(width - 1, Math.max(0, Math.round((x + shake) * width)));
    const sy = Math.min(
      height - 1,
      Math.max(
        0,
        Math.round((line - (y - line) * 1.05 + ripple * noise(x * 30, y * 50, seed + 9)) * height),
      ),
    );
    const from = (sy * width + sx) * 3;
    const patch = 0.72 + 0.28 * cloud(x * 5, y * 22, seed + 3, 3);
    const keep = strength * patch * smooth(1.25, 0, depth);
    for (let c = 0; c < 3; c++)
      plate.data[at + c] += (before.data[from + c] - plate.data[at + c]) * keep;
  });
}

/** Broken colour: the whole wanders a little in lightness and hue, as mixed paint does. */
export function wander(plate: Plate, amount: number, scale: number, seed: number): void {
  overall(plate, (x, y, at) => {
    plate.data[at] += amount * 0.6 * cloud(x * scale, y * scale, seed, 3);
    plate.data[at + 1] += amount * cloud(x * scale, y * scale, seed + 31, 3);
    plate.data[at + 2] += amount * cloud(x * scale, y * scale, seed + 77, 3);
  });
}
