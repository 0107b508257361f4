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
import type { ColourGrid } from '../picture/colour-grid';
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

/** Cells to each side of a pixel that have a say in what it is of. */
const REACH = 2;

/**
 * The masses of cells as masses of pixels: of the cells around a pixel those count that are near it, in place and in
 * colour, so that an edge between two masses runs where the picture has it, and softly where it has none.
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
  const inner = innerCells(grid, labels);
  const near = new Float64Array(masses.length);
  const met = new Int32Array((2 * REACH) ** 2);
  for (let y = 0; y < height; y++) {
    const fy = ((y + 0.5) / height) * grid.down - 0.5;
    const top = Math.floor(fy);
    for (let x = 0; x < width; x++) {
      const pixel = y * width + x;
      const at = pixel * 4;
      if (data[at + 3] < OPAQUE) continue;
      const fx = ((x + 0.5) / width) * grid.across - 0.5;
      const left = Math.floor(fx);
      const own =
        Math.min(grid.height - 1, Math.max(0, top)) * grid.width +
        Math.min(grid.width - 1, Math.max(0, left));
      if (inner[own] === 1) {
        field.first[pixel] = labels[own];
        continue;
      }
      let count = 0;
      for (let row = top - REACH + 1; row <= top + REACH; row++) {
        if (row < 0 || row >= grid.height) continue;
        const down = REACH + 0.05 - Math.abs(fy - row);
        for (let column = left - REACH + 1; column <= left + REACH; column++) {
          if (column < 0 || column >= grid.width) continue;
          const mass = labels[row * grid.width + column];
          if (mass < 0) continue;
          if (near[mass] === 0) met[count++] = mass;
          near[mass] += down * (REACH + 0.05 - Math.abs(fx - column));
        }
      }
      if (count === 0) continue;
      const r = LINEAR_OF_BYTE[data[at]];
      const g = LINEAR_OF_BYTE[data[at + 1]];
      const b = LINEAR_OF_BYTE[data[at + 2]];
      const l = longRoot(r, g, b);
      const m = mediumRoot(r, g, b);
      const s = shortRoot(r, g, b);
      const L = lightnessOf(l, m, s);
      const A = aOf(l, m, s);
      const B = bOf(l, m, s);
      let first = -1;
      let second = -1;
      for (let i = 0; i < count; i++) {
        const mass = met[i];
        const c = mass * 3;
        const dL = L - colours[c];
        const dA = A - colours[c + 1];
        const dB = B - colours[c + 2];
        near[mass] *= Math.exp(-(dL * dL + dA * dA + dB * dB) / (2 * ALIKE * ALIKE)) + 1e-6;
        if (first < 0 || near[mass] > near[first]) {
          second = first;
          first = mass;
        } else if (second < 0 || near[mass] > near[second]) second = mass;
      }
      field.first[pixel] = first;
      if (second >= 0) {
        field.weight[pixel] = Math.round((255 * near[first]) / (near[first] + near[second]));
        field.second[pixel] = second;
      }
      for (let i = 0; i < count; i++) near[met[i]] = 0;
    }
  }
  return field;
}

/** 1 for the cells whose pixels meet one mass alone, however far they reach. */
function innerCells({ width, height }: ColourGrid, labels: Int16Array): Uint8Array {
  const inner = new Uint8Array(labels.length);
  for (let y = 0, c = 0; y < height; y++)
    for (let x = 0; x < width; x++, c++) {
      if (labels[c] < 0) continue;
      let isInner = true;
      for (let j = Math.max(0, y - REACH); j <= Math.min(height - 1, y + REACH); j++)
        for (let i = Math.max(0, x - REACH); i <= Math.min(width - 1, x + REACH); i++)
          isInner &&= labels[j * width + i] === labels[c];
      inner[c] = isInner ? 1 : 0;
    }
  return inner;
}

/**
 * The masses and meetings of a subject by what of them may take other colours: what is kept (0–255 a pixel) weighs nothing.
 */
export function freeOf(
  { masses, meetings, field: { first } }: Subject,
  keep: Uint8Array,
): Pick<Subject, 'masses' | 'meetings'> & { free: number[] } {
  const kept = new Float64Array(masses.length);
  const all = new Float64Array(masses.length);
  for (let pixel = 0; pixel < first.length; pixel++) {
    if (first[pixel] === NO_MASS) continue;
    all[first[pixel]]++;
    kept[first[pixel]] += keep[pixel] / 255;
  }
  const free = masses.map((_, mass) => (all[mass] > 0 ? 1 - kept[mass] / all[mass] : 1));
  return {
    free,
    masses: masses.map((mass, i) => ({ ...mass, share: mass.share * free[i] })),
    meetings: meetings.map((meeting) => ({
      ...meeting,
      length: meeting.length * Math.min(free[meeting.one], free[meeting.other]),
    })),
  };
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
