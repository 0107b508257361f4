import { WARM_AXIS } from '../../colour/temperature';
import { linearFromOklab, type Oklab } from '../../colour/oklab';
import { byteOfLinear } from '../../colour/srgb';
import { luminanceOfValue, valueOfLuminance } from '../../colour/value';
import { pictureOf, type Picture } from '../../picture/picture';
import { randomFrom } from '../../seeded';

/** For tests: pictures of plain shapes in which what is to be found was planted. */
export const WIDTH = 800;
export const HEIGHT = 560;

type Random = () => number;
const between = (random: Random, from: number, to: number) => from + (to - from) * random();
const pick = <T>(random: Random, of: readonly T[]): T => of[Math.floor(random() * of.length)];

/** a and b at a value: as near to it as a grey of that lightness is. */
function withValue({ a, b }: Oklab, value: number): Oklab {
  return { L: Math.cbrt(luminanceOfValue(value)), a, b };
}

/** A shape: whether a point is in it, and how deep, in pixels; negative outside. */
type Depth = (x: number, y: number) => number;

const disc =
  (cx: number, cy: number, rx: number, ry: number): Depth =>
  (x, y) =>
    (1 - Math.hypot((x - cx) / rx, (y - cy) / ry)) * Math.min(rx, ry);
const box =
  (x0: number, y0: number, x1: number, y1: number): Depth =>
  (x, y) =>
    Math.min(x - x0, x1 - x, y - y0, y1 - y);

function colour(random: Random, value: number): Oklab {
  const h = random() * 2 * Math.PI;
  const C = between(random, 0.01, 0.06);
  return withValue({ L: 0.5, a: C * Math.cos(h), b: C * Math.sin(h) }, value);
}

/** A picture from an OKLab colour for each pixel, with camera noise of so many levels. */
function shot(random: Random, noise: number, at: (x: number, y: number) => Oklab): Picture {
  const data = new Uint8ClampedArray(WIDTH * HEIGHT * 4);
  for (let y = 0, i = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++, i += 4) {
      const { r, g, b } = linearFromOklab(at(x, y));
      const grain = () => noise * (random() + random() - 1) * 2.4;
      data[i] = byteOfLinear(r) + grain();
      data[i + 1] = byteOfLinear(g) + grain();
      data[i + 2] = byteOfLinear(b) + grain();
      data[i + 3] = 255;
    }
  return pictureOf(WIDTH, HEIGHT, data);
}

export interface PlantedGradient {
  kind: 'value' | 'temperature';
  /** Null where nothing was planted. */
  towards: number | null;
}

/** Three or four flat shapes on a ground; each has a gradient of value, of temperature, of both or of neither. */
export function plantedGradients(seed: number): {
  picture: Picture;
  shapes: { place: { x: number; y: number }; gradients: PlantedGradient[] }[];
} {
  const random = randomFrom(seed);
  const values = [3, 7.2, 4.6, 8.2].sort(() => random() - 0.5);
  const places = [
    [0.24, 0.27],
    [0.75, 0.3],
    [0.26, 0.76],
    [0.76, 0.74],
  ];
  const shapes = places.map(([px, py], i) => {
    const [x, y] = [px * WIDTH, py * HEIGHT];
    const [rx, ry] = [between(random, 90, 150), between(random, 70, 110)];
    const depth = random() < 0.5 ? disc(x, y, rx, ry) : box(x - rx, y - ry, x + rx, y + ry);
    const plan = (kind: 'value' | 'temperature', from: number, to: number) => {
      const towards = random() < 0.7 ? random() * 360 : null;
      return { kind, towards, rise: towards === null ? 0 : between(random, from, to) };
    };
    const gradients = [plan('value', 1, 2), plan('temperature', 0.3, 0.7)];
    const base = colour(random, values[i]);
    const at = (px1: number, py1: number): Oklab => {
      const [dv, dt] = gradients.map(({ towards, rise }) => {
        if (towards === null) return 0;
        const angle = (towards * Math.PI) / 180;
        const reach = Math.hypot(rx * Math.cos(angle), ry * Math.sin(angle));
        return (rise / 2) * (((px1 - x) * Math.cos(angle) - (py1 - y) * Math.sin(angle)) / reach);
      });
      return withValue(
        { L: base.L, a: base.a + 0.1 * dt * WARM_AXIS[0], b: base.b + 0.1 * dt * WARM_AXIS[1] },
        values[i] + dv,
      );
    };
    return { depth, at, x, y, gradients };
  });
  const ground = colour(random, 5.9);
  const texture = between(random, 0, 0.25);
  const stroke = [between(random, 0.1, 0.5), between(random, 0.1, 0.5)];
  const noise = pick(random, [1, 3, 6]);
  const picture = shot(random, noise, (x, y) => {
    const shape = shapes.find(({ depth }) => depth(x, y) > 0);
    const base = shape ? shape.at(x, y) : ground;
    const wave = texture * Math.sin(x * stroke[0]) * Math.sin(y * stroke[1]);
    return { ...base, L: base.L + 0.1 * wave };
  });
  return {
    picture,
    shapes: shapes.map(({ x, y, gradients }) => ({
      place: { x: x / WIDTH, y: y / HEIGHT },
      gradients,
    })),
  };
}

export interface PlantedRim {
  place: { x: number; y: number };
  /** What was planted along the shape's edge. */
  what: 'nothing' | 'light halo' | 'dark halo' | 'dark line' | 'light line' | 'blur';
}

/** Four shapes on a ground: along the edge of each a halo inside or outside, a drawn line, a blur, or nothing. */
export function plantedRims(seed: number): { picture: Picture; rims: PlantedRim[] } {
  const random = randomFrom(seed);
  const groundValue = between(random, 4.5, 6);
  const ground = colour(random, groundValue);
  const slope = between(random, -0.8, 0.8);
  const places = [
    [0.24, 0.27],
    [0.75, 0.3],
    [0.26, 0.76],
    [0.76, 0.74],
  ];
  const shapes = places.map(([px, py]) => {
    const [x, y] = [px * WIDTH, py * HEIGHT];
    const [rx, ry] = [between(random, 80, 130), between(random, 70, 105)];
    const depth = random() < 0.5 ? disc(x, y, rx, ry) : box(x - rx, y - ry, x + rx, y + ry);
    const isLighter = random() < 0.5;
    const value = groundValue + (isLighter ? 1 : -1) * between(random, 1.5, 2.8);
    const what = pick<PlantedRim['what']>(random, [
      'nothing',
      'light halo',
      'dark halo',
      'dark line',
      'light line',
      'blur',
    ]);
    return {
      x,
      y,
      depth,
      base: colour(random, value),
      value,
      isLighter,
      what,
      width: /line/.test(what) ? between(random, 4, 9) : between(random, 14, 30),
      step: /line/.test(what) ? between(random, 1.4, 2.5) : between(random, 0.8, 1.5),
    };
  });
  const noise = pick(random, [1, 3, 6]);
  const picture = shot(random, noise, (x, y) => {
    const [nearest, d] = shapes
      .map((shape) => [shape, shape.depth(x, y)] as const)
      .reduce((best, one) => (Math.abs(one[1]) < Math.abs(best[1]) || one[1] > 0 ? one : best));
    const { what, width, step, isLighter } = nearest;
    const inside = d > 0;
    let base = inside ? nearest.base : ground;
    let value = inside ? nearest.value : groundValue + slope * (x / WIDTH - 0.5);
    if (/line/.test(what) && Math.abs(d) < width / 2) {
      const [low, high] = [
        Math.min(nearest.value, groundValue),
        Math.max(nearest.value, groundValue),
      ];
      value = what === 'dark line' ? low - step : high + step;
      base = { L: 0.5, a: 0, b: 0 };
    } else if (/halo/.test(what) && inside === (isLighter === (what === 'light halo'))) {
      // A light halo lies on the lighter side of the edge, a dark one on the darker.
      const fall = Math.max(0, 1 - Math.abs(d) / width);
      value += (what === 'light halo' ? 1 : -1) * step * fall;
    } else if (what === 'blur' && Math.abs(d) < width) {
      const t = (d + width) / (2 * width);
      value = groundValue + (nearest.value - groundValue) * t * t * (3 - 2 * t);
    }
    return withValue(base, Math.min(9.6, Math.max(0.4, value)));
  });
  return {
    picture,
    rims: shapes.map(({ x, y, what }) => ({ place: { x: x / WIDTH, y: y / HEIGHT }, what })),
  };
}

export interface PlantedThing {
  place: { x: number; y: number };
  below: { x: number; y: number };
  reflects: boolean;
}

/** Things on a shore: some repeat in the water below, darkened and dulled as water does; others only have something else there. */
export function plantedReflections(seed: number): {
  picture: Picture;
  waterline: number;
  /** How much darker lights come in the water, in Munsell steps, and what is left of chroma. */
  lights: number;
  duller: number;
  things: PlantedThing[];
} {
  const random = randomFrom(seed);
  const shore = between(random, 0.42, 0.58) * HEIGHT;
  const sky = colour(random, between(random, 6, 6.6));
  const water = colour(random, between(random, 4.6, 5.2));
  const lights = between(random, 0.2, 0.8);
  const darks = between(random, 0.1, 0.5);
  const duller = between(random, 0.6, 0.95);
  const things = [0.17, 0.5, 0.82].map((px) => {
    const x = px * WIDTH;
    const [rx, height] = [between(random, 45, 85), between(random, 80, shore - 60)];
    const base = shore - between(random, 0, 8);
    const kind = pick(random, ['tree', 'house', 'tower'] as const);
    const depth: Depth = (u, v) => {
      if (kind === 'tower') return box(x - rx * 0.6, base - height, x + rx * 0.6, base)(u, v);
      if (kind === 'tree')
        return Math.min(
          base - v,
          v - (base - height),
          (rx * (v - base + height)) / height - Math.abs(u - x),
        );
      return Math.max(
        box(x - rx * 0.8, base - height * 0.55, x + rx * 0.8, base)(u, v),
        Math.min(
          base - height * 0.55 - v,
          (rx * (v - base + height)) / (0.45 * height) - Math.abs(u - x),
        ),
      );
    };
    const value = pick(random, [between(random, 1.5, 3), between(random, 8.6, 9.2)]);
    const ends = [base, base + 2 * (shore - base), 2 * shore - base + height];
    return {
      x,
      base,
      height,
      depth,
      value,
      base0: colour(random, value),
      reflects: random() < 0.65,
      ends,
    };
  });
  const ripple = [between(random, 0.2, 0.5), between(random, 0, 3)];
  const other = things.map(() => colour(random, between(random, 2, 8)));
  const noise = pick(random, [1, 3, 6]);
  const picture = shot(random, noise, (x, y) => {
    if (y < shore) {
      const thing = things.find(({ depth }) => depth(x, y) > 0);
      return thing ? thing.base0 : sky;
    }
    const mirrored = 2 * shore - y;
    const u = x + ripple[1] * Math.sin(y * ripple[0]);
    for (const [i, thing] of things.entries()) {
      if (thing.reflects) {
        if (thing.depth(u, mirrored) <= 0) continue;
        const { a, b } = thing.base0;
        const value = thing.value > 5 ? thing.value - lights : thing.value + darks;
        return withValue({ L: 0.5, a: a * duller, b: b * duller }, value);
      }
      // Something else lies there: a stone.
      if (disc(thing.x + 20, shore + 90, 55, 28)(x, y) > 0) return other[i];
    }
    return water;
  });
  return {
    picture,
    waterline: shore / HEIGHT,
    lights,
    duller,
    things: things.map(({ x, base, height, reflects }) => ({
      place: { x: x / WIDTH, y: (base - height * 0.25) / HEIGHT },
      below: { x: x / WIDTH, y: (2 * shore - base + height * 0.25) / HEIGHT },
      reflects,
    })),
  };
}

export interface PlantedForm {
  place: { x: number; y: number };
  /** Whether light comes back into its shadow, and a place in the wall that would throw it. */
  reflected: boolean;
  wall: { x: number; y: number };
}

/** Two cylinders in a side light, each before a wall of its own colour that does or does not throw light into its shadow. */
export function plantedShadows(seed: number): { picture: Picture; forms: PlantedForm[] } {
  const random = randomFrom(seed);
  const fromLeft = random() < 0.5;
  const groundValue = between(random, 4.5, 5.5);
  const ground = colour(random, groundValue);
  const forms = [0.27, 0.73].map((px) => {
    const radius = between(random, 70, 105);
    const reflected = random() < 0.5;
    const h = random() * 2 * Math.PI;
    const C = between(random, 0.05, 0.09);
    return {
      x: px * WIDTH,
      radius,
      top: between(random, 60, 120),
      bottom: between(random, 430, 500),
      own: colour(random, 7),
      lit: between(random, 7, 8.4),
      dark: between(random, 1.8, 2.6),
      reflected,
      rise: between(random, 0.8, 1.6),
      wall: withValue({ L: 0.5, a: C * Math.cos(h), b: C * Math.sin(h) }, between(random, 5.8, 7)),
    };
  });
  const noise = pick(random, [1, 3, 6]);
  const picture = shot(random, noise, (x, y) => {
    for (const { x: cx, radius, top, bottom, own, lit, dark, reflected, rise, wall } of forms) {
      const across = ((x - cx) / radius) * (fromLeft ? 1 : -1);
      if (Math.abs(across) <= 1 && y > top && y < bottom) {
        // From the light edge (−1) through the terminator (about 0.1) to the far edge (1).
        const angle = Math.asin(across);
        const light = Math.max(0, Math.cos(angle + 0.9));
        const back = reflected ? Math.max(0, Math.sin(angle - 0.35)) : 0;
        const [most, least] = [lit, dark].map(luminanceOfValue);
        const value = valueOfLuminance(least + (most - least) * light) + rise * back;
        const tint = 0.35 * back;
        const shade = 0.4 + 0.6 * (value / 8);
        return withValue(
          { L: 0.5, a: shade * own.a + tint * wall.a, b: shade * own.b + tint * wall.b },
          value,
        );
      }
      if (Math.abs(across - 1.45) < 0.38 && y > top - 30 && y < bottom) return wall;
    }
    return ground;
  });
  return {
    picture,
    forms: forms.map(({ x, radius, top, bottom, reflected }) => ({
      place: { x: x / WIDTH, y: (top + bottom) / 2 / HEIGHT },
      reflected,
      wall: {
        x: (x + (fromLeft ? 1 : -1) * 1.45 * radius) / WIDTH,
        y: (top + bottom) / 2 / HEIGHT,
      },
    })),
  };
}
