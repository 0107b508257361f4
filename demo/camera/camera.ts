import { writeOklab } from '../../src/core/colour/oklab';
import type { Model } from '../painter/picture';
import { plateOf } from '../painter/plate';
import { fieldOf, root, type Field, type Light, type Part, type Vector } from './world';

export interface Shot {
  width: number;
  height: number;
  eye: Vector;
  at: Vector;
  /** Vertical angle of view in degrees. */
  angle: number;
  parts: readonly Part[];
  /** How far rays go. */
  reach: number;
  /** `soft` is how sharp the edges of shadows are; 0 casts none, as under an overcast. */
  sun: { to: Vector; light: Light; soft: number };
  /** Light from the sky on a surface that looks up by `up` (−1 to 1). */
  ambient: (up: number) => Light;
  /** What is seen where a ray meets nothing; direction is of length one. */
  sky: (x: number, y: number, z: number) => Light;
  /** What the air does to a surface at `far` metres, `high` above zero, along a direction: how much it hides, and its colour. */
  air: (
    far: number,
    high: number,
    x: number,
    y: number,
    z: number,
  ) => { hides: number; light: Light };
  /** Masses of the sky by direction, after those of the parts. */
  skyMasses: readonly string[];
  skyMass: (x: number, y: number, z: number) => number;
  exposure: number;
}

const MAX_STEPS = 160;

/**
 * Sphere tracing with sun, soft shadow, light from the sky, and air.
 * Source: J. C. Hart, "Sphere tracing", The Visual Computer 12, 1996.
 */
export function expose(shot: Shot): Model {
  const { width, height, parts, eye, sun } = shot;
  const fields = parts.map(fieldOf);
  const masses = [...new Set(parts.map(({ mass }) => mass)), ...shot.skyMasses];
  const plate = plateOf(width, height);
  const map = new Uint8Array(width * height);
  const [right, up, ahead] = frame(shot);
  const tall = Math.tan((shot.angle * Math.PI) / 360);
  const toSun = unit(sun.to);
  for (let py = 0; py < height; py++) {
    for (let px = 0; px < width; px++) {
      const u = (((px + 0.5) / width) * 2 - 1) * tall * (width / height);
      const v = (1 - ((py + 0.5) / height) * 2) * tall;
      const ray = unit(
        [0, 1, 2].map((i) => ahead[i] + u * right[i] + v * up[i]) as unknown as Vector,
      );
      const hit = march(fields, eye, ray, shot.reach);
      const p = py * width + px;
      let light: Light;
      if (hit.part < 0) {
        light = shot.sky(...ray);
        map[p] = masses.length - shot.skyMasses.length + shot.skyMass(...ray);
      } else {
        const place = along(eye, ray, hit.far);
        const part = parts[hit.part];
        map[p] = masses.indexOf(part.mass);
        light = shade(shot, fields, part, place, hit.far, toSun);
        const { hides, light: air } = shot.air(hit.far, place[1], ...ray);
        light = mixed(light, air, hides);
      }
      const k = shot.exposure;
      writeOklab(film(light[0] * k), film(light[1] * k), film(light[2] * k), plate.data, p * 3);
    }
  }
  return { plate, masses, map };
}

function shade(
  shot: Shot,
  fields: readonly Field[],
  part: Part,
  place: Vector,
  far: number,
  toSun: Vector,
): Light {
  const normal = normalOf(fields[shot.parts.indexOf(part)], place, 0.002 + far * 0.0008);
  const facing = Math.max(0, dot(normal, toSun));
  const casts = facing > 0 && shot.sun.soft > 0;
  const lit = casts ? facing * shadow(fields, place, normal, toSun, shot.sun.soft) : facing;
  const sky = shot.ambient(normal[1]);
  const albedo = part.colour(...place, normal[1]);
  const own = part.glows?.(...place) ?? null;
  return [0, 1, 2].map(
    (i) => albedo[i] * (shot.sun.light[i] * lit + sky[i]) + (own ? own[i] : 0),
  ) as unknown as Light;
}

function march(fields: readonly Field[], eye: Vector, ray: Vector, reach: number) {
  let far = 0.05;
  for (let step = 0; step < MAX_STEPS && far < reach; step++) {
    const x = eye[0] + ray[0] * far;
    const y = eye[1] + ray[1] * far;
    const z = eye[2] + ray[2] * far;
    let least = Infinity;
    let part = -1;
    for (let i = 0; i < fields.length; i++) {
      const d = fields[i](x, y, z);
      if (d < least) {
        least = d;
        part = i;
      }
    }
    if (least < 0.0008 * far + 0.0008) return { far, part };
    far += least;
  }
  return { far: reach, part: -1 };
}

/** How much of the sun is seen from a place, 0–1; `soft` is how sharp the shadow's edge is. */
function shadow(
  fields: readonly Field[],
  place: Vector,
  normal: Vector,
  toSun: Vector,
  soft: number,
): number {
  const start = along(place, normal, 0.03);
  let seen = 1;
  let far = 0.04;
  for (let step = 0; step < 60 && far < 60; step++) {
    const x = start[0] + toSun[0] * far;
    const y = start[1] + toSun[1] * far;
    const z = start[2] + toSun[2] * far;
    let least = Infinity;
    for (let i = 0; i < fields.length; i++) least = Math.min(least, fields[i](x, y, z));
    if (least < 0.001) return 0;
    seen = Math.min(seen, (soft * least) / far);
    far += Math.max(0.03, least);
  }
  return seen;
}

function normalOf(field: Field, [x, y, z]: Vector, e: number): Vector {
  return unit([
    field(x + e, y, z) - field(x - e, y, z),
    field(x, y + e, z) - field(x, y - e, z),
    field(x, y, z + e) - field(x, y, z - e),
  ]);
}

function frame({ eye, at }: Shot): [Vector, Vector, Vector] {
  const ahead = unit([at[0] - eye[0], at[1] - eye[1], at[2] - eye[2]]);
  const right = unit(cross([0, 1, 0], ahead));
  return [right, cross(ahead, right), ahead];
}

/** Film holds the middle as it is and lets the lights run out softly. */
function film(x: number): number {
  const knee = 0.72;
  if (x <= knee) return Math.max(0, x);
  const over = (x - knee) / (1 - knee);
  return knee + (1 - knee) * (1 - Math.exp(-over * 0.8)) * 0.995;
}

function mixed(one: Light, other: Light, t: number): Light {
  return [0, 1, 2].map((i) => one[i] + (other[i] - one[i]) * t) as unknown as Light;
}
function along(from: Vector, way: Vector, far: number): Vector {
  return [from[0] + way[0] * far, from[1] + way[1] * far, from[2] + way[2] * far];
}
function dot(a: Vector, b: Vector): number {
  return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
}
function cross(a: Vector, b: Vector): Vector {
  return [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
}
export function unit(v: Vector): Vector {
  const length = root(...v) || 1;
  return [v[0] / length, v[1] / length, v[2] / length];
}
