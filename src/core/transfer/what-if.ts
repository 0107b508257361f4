import { writeBytesAtGrey } from '../amplify/bytes-at-grey';
import { oklabFromOklch, aOf, bOf, longRoot, mediumRoot, shortRoot } from '../colour/oklab';
import { LINEAR_OF_BYTE, luminance } from '../colour/srgb';
import { WARM_AXIS } from '../colour/temperature';
import { luminanceOfValue, quickValueOfLuminance } from '../colour/value';
import type { Picture } from '../picture/picture';
import { NO_MASS, type Subject } from './subject';

/** So many steps a mass moves at most, each way. */
export const MAX_MOVE = 6;

/** How a mass is moved, in steps: + lighter, warmer, stronger, nearer. */
export interface MassMoves {
  value: number;
  warmth: number;
  chroma: number;
  distance: number;
}

export const NO_MOVES: MassMoves = { value: 0, warmth: 0, chroma: 0, distance: 0 };

/** Munsell steps of one step of value. */
export const VALUE_STEP = 0.5;
/** OKLab of one step of warmth along the warm axis: 0.15 of a unit of temperature. */
const WARMTH_STEP = 0.015;
const CHROMA_STEP = 1.2;
/** What a step nearer adds to chroma and to the range of value in a mass. */
const NEARER = 1.12;
const NEARER_WARMTH = 0.006;
/** Of what is left of a mass, what a step further gives to the air. */
const AIR = 0.16;
/** The air of a fair day: light, cool, dull. */
const HAZE = { value: 7.4, ...oklabFromOklch({ L: 0.8, C: 0.025, h: 248 }) };
const MIN_VALUE = 0.3;
const MAX_VALUE = 9.8;

export const isMoved = (moves: MassMoves) => Object.values(moves).some((steps) => steps !== 0);

/** How pixels of one mass are changed: value and a, b, each by a linear map, then toward the haze. */
interface Grade {
  value: number;
  mean: number;
  range: number;
  a: number;
  b: number;
  chroma: number;
  haze: number;
}

/**
 * The picture with some of its masses moved: `moves` for each mass. Within a mass steps of value and turns of colour stay.
 * Pixels of masses that don't move keep their bytes, and so does what `keep` (0–255 a pixel) has at 255.
 */
export function whatIfPicture(
  { picture, masses, field }: Subject,
  moves: readonly MassMoves[],
  keep?: Uint8Array,
): Picture {
  const { width, height, data } = picture;
  const grades = masses.map(({ value }, mass) =>
    isMoved(moves[mass] ?? NO_MOVES) ? gradeOf(moves[mass], value) : null,
  );
  const out = data.slice();
  const moved = new Float64Array(3);
  for (let pixel = 0, at = 0; pixel < field.first.length; pixel++, at += 4) {
    const first = field.first[pixel];
    if (first === NO_MASS) continue;
    const weight = field.weight[pixel] / 255;
    const one = grades[first];
    const other = weight < 1 ? grades[field.second[pixel]] : null;
    const kept = keep ? keep[pixel] / 255 : 0;
    if ((!one && !other) || kept === 1) continue;
    const r = LINEAR_OF_BYTE[data[at]];
    const g = LINEAR_OF_BYTE[data[at + 1]];
    const blue = LINEAR_OF_BYTE[data[at + 2]];
    const [l, m, s] = [longRoot(r, g, blue), mediumRoot(r, g, blue), shortRoot(r, g, blue)];
    const [a, b] = [aOf(l, m, s), bOf(l, m, s)];
    const value = quickValueOfLuminance(luminance(r, g, blue));
    moved.fill(0);
    if (one) blend(one, weight * (1 - kept), value, a, b, moved);
    if (other) blend(other, (1 - weight) * (1 - kept), value, a, b, moved);
    const newValue = Math.min(MAX_VALUE, Math.max(MIN_VALUE, value + moved[0]));
    const grey = Math.cbrt(luminanceOfValue(newValue));
    writeBytesAtGrey(grey, grey, a + moved[1], b + moved[2], out, at);
  }
  return { width, height, data: out };
}

/** Adds what a grade changes in a pixel's value, a and b to `moved`. */
function blend(
  grade: Grade,
  share: number,
  value: number,
  a: number,
  b: number,
  moved: Float64Array,
): void {
  const clear = 1 - grade.haze;
  const to = grade.mean + grade.value + grade.range * (value - grade.mean);
  moved[0] += share * (clear * to + grade.haze * HAZE.value - value);
  moved[1] += share * (clear * (a * grade.chroma + grade.a) + grade.haze * HAZE.a - a);
  moved[2] += share * (clear * (b * grade.chroma + grade.b) + grade.haze * HAZE.b - b);
}

function gradeOf({ value, warmth, chroma, distance }: MassMoves, mean: number): Grade {
  const near = Math.max(0, distance);
  const warm = warmth * WARMTH_STEP + near * NEARER_WARMTH;
  return {
    value: value * VALUE_STEP,
    mean,
    range: NEARER ** near,
    a: warm * WARM_AXIS[0],
    b: warm * WARM_AXIS[1],
    chroma: CHROMA_STEP ** chroma * NEARER ** near,
    haze: 1 - (1 - AIR) ** Math.max(0, -distance),
  };
}
