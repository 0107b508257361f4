import { noise } from '../painter/chance';

/** A world of solids for the ray marcher: y is up, lengths are metres, colours are linear sRGB. */
export type Vector = readonly [x: number, y: number, z: number];
export type Light = readonly [r: number, g: number, b: number];
/** Signed distance to a surface; may fall short of it, never beyond. */
export type Field = (x: number, y: number, z: number) => number;

export interface Part {
  /** The mass it belongs to. */
  mass: string;
  field: Field;
  /** A ball that holds all of it, so that far rays need not ask it; none for the ground. */
  within?: { centre: Vector; radius: number };
  /** What it sends back of white light, there. */
  colour: (x: number, y: number, z: number, up: number) => Light;
  /** Light of its own. */
  glows?: (x: number, y: number, z: number) => Light | null;
}

/** Length of a vector. `Math.hypot` guards against overflow and is many times slower. */
export function root(x: number, y: number, z: number): number {
  return Math.sqrt(x * x + y * y + z * z);
}

export function boxField([cx, cy, cz]: Vector, [hx, hy, hz]: Vector, round = 0): Field {
  return (x, y, z) => {
    const dx = Math.abs(x - cx) - hx + round;
    const dy = Math.abs(y - cy) - hy + round;
    const dz = Math.abs(z - cz) - hz + round;
    const outside = root(Math.max(dx, 0), Math.max(dy, 0), Math.max(dz, 0));
    return outside + Math.min(0, Math.max(dx, dy, dz)) - round;
  };
}

/** A solid from `from` to `to`, as thick as `radius`. */
export function rodField(from: Vector, to: Vector, radius: number): Field {
  const bx = to[0] - from[0];
  const by = to[1] - from[1];
  const bz = to[2] - from[2];
  const length = bx * bx + by * by + bz * bz;
  return (x, y, z) => {
    const ax = x - from[0];
    const ay = y - from[1];
    const az = z - from[2];
    const t = Math.min(1, Math.max(0, (ax * bx + ay * by + az * bz) / length));
    return root(ax - t * bx, ay - t * by, az - t * bz) - radius;
  };
}

/** A fir: whorls of branches on a cone, each whorl longer or shorter than its neighbours. */
export function firField(
  [cx, cy, cz]: Vector,
  radius: number,
  height: number,
  seed: number,
): Field {
  const slope = radius / height;
  const steep = 0.55 / Math.sqrt(1 + slope * slope);
  const whorls = Math.round(height * 1.9);
  return (x, y, z) => {
    const up = (y - cy) / height;
    const around = root(x - cx, z - cz, 0);
    // Far out, the bare cone will do: branches never reach beyond it.
    const cone = (around - (1 - up) * radius * 1.25) * steep;
    if (cone > 0.6) return Math.max(cone, -up * height);
    const whorl = up * whorls;
    const nth = Math.floor(whorl);
    const hang = whorl - nth;
    const reach = 0.78 + 0.24 * noise(nth * 3.7, 0.5, seed);
    const angle = Math.atan2(z - cz, x - cx);
    const twigs =
      0.16 * noise(angle * 2.2 + nth * 5, whorl * 0.9, seed + 7) +
      0.1 * noise(angle * 6 + nth * 9, whorl * 2, seed + 9);
    const wide = around - (1 - up) * radius * reach * (1.12 - 0.5 * hang + twigs);
    return Math.max(wide * steep, -up * height, (up - 1) * height);
  };
}

export function ballOf(from: Vector, to: Vector, radius: number): Part['within'] {
  const centre = [0, 1, 2].map((i) => (from[i] + to[i]) / 2) as unknown as Vector;
  return { centre, radius: radius + Math.hypot(...[0, 1, 2].map((i) => (to[i] - from[i]) / 2)) };
}

/** The field of a part, a ball standing in for it from afar. */
export function fieldOf({ field, within }: Part): Field {
  if (!within) return field;
  const { centre, radius } = within;
  return (x, y, z) => {
    const far = root(x - centre[0], y - centre[1], z - centre[2]) - radius;
    return far > 1 ? far : field(x, y, z);
  };
}
