import {
  aOf,
  bOf,
  lightnessOf,
  longRoot,
  mediumRoot,
  shortRoot,
  type Oklab,
} from '../colour/oklab';
import { LINEAR_OF_BYTE } from '../colour/srgb';
import { LIGHT } from '../measure/light-split';
import type { Masses } from '../measure/masses';
import type { MeasureSources } from '../measure/sources';
import { OPAQUE, type Picture } from '../picture/picture';
import type { Place } from '../picture/framing';

/** A mass of a subject, as a colour is chosen for it. */
export interface SubjectMass {
  /** Of the picture, 0–1. */
  share: number;
  /** Mean OKLab and Munsell value. */
  colour: Oklab;
  value: number;
  place: Place;
  /** What of it lies in the light, 0–1. */
  light: number;
}

/** Two masses that meet, and how much of all border they share, 0–1. */
export interface Meeting {
  one: number;
  other: number;
  length: number;
}

/** For each pixel the mass it is of, the next likely, and what it is of the first: 255 all of it. */
export interface MassField {
  first: Uint16Array;
  second: Uint16Array;
  weight: Uint8Array;
}

/** A picture that takes colours from elsewhere. */
export interface Subject {
  picture: Picture;
  masses: SubjectMass[];
  meetings: Meeting[];
  field: MassField;
}

/** Marks a transparent pixel in `first`. */
export const NO_MASS = 0xffff;

/** How alike in OKLab a pixel has to be to a mass to be of it: the standard deviation. */
const ALIKE = 0.05;

/** A picture with its masses, best read on its squint; `picture` is the same at another size, which is to be coloured. */
export function subjectOf(
  sources: MeasureSources,
  squint: number,
  picture = sources.picture,
): Subject {
  const { masses, borders } = sources.masses(squint);
  const { sides } = sources.split(squint);
  const own = massField(sources.picture, masses);
  const light = lightShares(own, sides, masses.masses.length);
  return {
    picture,
    masses: masses.masses.map(({ share, colour, value, place }, i) => ({
      share,
      colour,
      value,
      place,
      light: light[i],
    })),
    meetings: borders.map(({ one, other, length }) => ({ one, other, length })),
    field: picture === sources.picture ? own : massField(picture, masses),
  };
}

/**
 * The masses of cells as masses of pixels: of the four cells around a pixel those count that are near it, in place and in
 * colour, so that an edge between two masses runs where the picture has it.
 */
export function massField(picture: Picture, { grid, labels, masses }: Masses): MassField {
  const { width, height, data } = picture;
  const pixels = width * height;
  const field = {
    first: new Uint16Array(pixels).fill(NO_MASS),
    second: new Uint16Array(pixels).fill(NO_MASS),
    weight: new Uint8Array(pixels).fill(255),
  };
  const colours = Float64Array.from(masses.flatMap(({ colour: { L, a, b } }) => [L, a, b]));
  const near = new Float64Array(masses.length);
  for (let y = 0; y < height; y++) {
    const fy = Math.min(grid.height - 1, Math.max(0, ((y + 0.5) / height) * grid.down - 0.5));
    const top = Math.min(Math.max(0, grid.height - 2), Math.floor(fy));
    for (let x = 0; x < width; x++) {
      const pixel = y * width + x;
      const at = pixel * 4;
      if (data[at + 3] < OPAQUE) continue;
      const fx = Math.min(grid.width - 1, Math.max(0, ((x + 0.5) / width) * grid.across - 0.5));
      const left = Math.min(Math.max(0, grid.width - 2), Math.floor(fx));
      let first = -1;
      let second = -1;
      for (let row = top; row <= Math.min(grid.height - 1, top + 1); row++)
        for (let column = left; column <= Math.min(grid.width - 1, left + 1); column++) {
          const mass = labels[row * grid.width + column];
          if (mass < 0 || mass === first || mass === second) continue;
          near[mass] = 0;
          if (first < 0) first = mass;
          else if (second < 0) second = mass;
        }
      if (first < 0) continue;
      if (second >= 0) {
        const [r, g, b] = [0, 1, 2].map((k) => LINEAR_OF_BYTE[data[at + k]]);
        const [l, m, s] = [longRoot(r, g, b), mediumRoot(r, g, b), shortRoot(r, g, b)];
        const [L, A, B] = [lightnessOf(l, m, s), aOf(l, m, s), bOf(l, m, s)];
        for (let row = top; row <= top + 1; row++)
          for (let column = left; column <= left + 1; column++) {
            const mass = labels[row * grid.width + column];
            if (mass !== first && mass !== second) continue;
            const c = mass * 3;
            const away =
              (L - colours[c]) ** 2 + (A - colours[c + 1]) ** 2 + (B - colours[c + 2]) ** 2;
            near[mass] +=
              (1.05 - Math.abs(fy - row)) *
              (1.05 - Math.abs(fx - column)) *
              (Math.exp(-away / (2 * ALIKE * ALIKE)) + 1e-6);
          }
        if (near[second] > near[first]) [first, second] = [second, first];
        field.weight[pixel] = Math.round((255 * near[first]) / (near[first] + near[second]));
        field.second[pixel] = second;
      }
      field.first[pixel] = first;
    }
  }
  return field;
}

function lightShares({ first }: MassField, sides: Uint8Array, count: number): number[] {
  const lit = new Float64Array(count);
  const all = new Float64Array(count);
  for (let pixel = 0; pixel < first.length; pixel++) {
    const mass = first[pixel];
    if (mass === NO_MASS) continue;
    all[mass]++;
    if (sides[pixel] === LIGHT) lit[mass]++;
  }
  return Array.from(lit, (n, mass) => (all[mass] > 0 ? n / all[mass] : 0.5));
}
