import { chromaRoom } from '../amplify/chroma-room';
import { writeAtGrey } from '../amplify/push';
import { withValue } from '../colour/at-value';
import { cubeRoot } from '../colour/cube-root';
import {
  aOf,
  bOf,
  lightnessOf,
  longRoot,
  mediumRoot,
  shortRoot,
  type Oklab,
} from '../colour/oklab';
import { LINEAR_OF_BYTE, luminance } from '../colour/srgb';
import type { Picture } from '../picture/picture';
import { NO_MASS, type Subject } from './subject';

/** A departure within a mass grows by this at most, however much stronger its new colour is. */
const MAX_GAIN = 1.6;
/** Below this chroma a mass has no hue that could be turned. */
const NO_HUE = 0.012;

/** How the colours of one mass are carried to its new colour: a linear map of a and b. */
interface Carry {
  a: number;
  b: number;
  fromA: number;
  fromB: number;
  /** Gain times cosine and sine of the turn. */
  cos: number;
  sin: number;
}

/**
 * The subject in other colours with its values held: each pixel keeps its luminance. A mass takes its colour at the
 * mass's own value; what departs from its mean inside it, as a form turns, is turned and scaled with it. `keep` (0–255 a
 * pixel) leaves a pixel as it is where it is 255.
 */
export function heldPicture(
  { picture, masses, field }: Subject,
  colours: readonly Oklab[],
  of: readonly number[],
  keep?: Uint8Array,
): Picture {
  const { width, height, data } = picture;
  const carries = masses.map(({ colour, value }, mass) =>
    carryOf(colour, value, colours[of[mass]]),
  );
  const out = data.slice();
  const written = new Float64Array(3);
  for (let pixel = 0, at = 0; pixel < field.first.length; pixel++, at += 4) {
    const first = field.first[pixel];
    const kept = keep ? keep[pixel] / 255 : 0;
    if (first === NO_MASS || kept === 1) continue;
    const r = LINEAR_OF_BYTE[data[at]];
    const g = LINEAR_OF_BYTE[data[at + 1]];
    const blue = LINEAR_OF_BYTE[data[at + 2]];
    const [l, m, s] = [longRoot(r, g, blue), mediumRoot(r, g, blue), shortRoot(r, g, blue)];
    const [a, b] = [aOf(l, m, s), bOf(l, m, s)];
    const grey = cubeRoot(Math.max(0, luminance(r, g, blue)));
    const weight = field.weight[pixel] / 255;
    const one = carries[first];
    let wantedA = weight * carriedA(one, a, b);
    let wantedB = weight * carriedB(one, a, b);
    if (weight < 1) {
      const other = carries[field.second[pixel]];
      wantedA += (1 - weight) * carriedA(other, a, b);
      wantedB += (1 - weight) * carriedB(other, a, b);
    }
    wantedA += kept * (a - wantedA);
    wantedB += kept * (b - wantedB);
    const chroma = Math.sqrt(wantedA * wantedA + wantedB * wantedB);
    const room = chroma > 1e-6 ? chromaRoom(grey, Math.atan2(wantedB, wantedA)) : 0;
    const scale = chroma > room ? room / chroma : 1;
    writeAtGrey(grey, lightnessOf(l, m, s), wantedA * scale, wantedB * scale, written, 0);
    out[at] = written[0];
    out[at + 1] = written[1];
    out[at + 2] = written[2];
  }
  return { width, height, data: out };
}

function carryOf(from: Oklab, value: number, to: Oklab): Carry {
  const target = withValue(to, value);
  const [was, is] = [Math.hypot(from.a, from.b), Math.hypot(target.a, target.b)];
  const gain = was < NO_HUE ? Math.min(1, is / NO_HUE) : Math.min(MAX_GAIN, is / was);
  const turn =
    was < NO_HUE || is < 1e-9 ? 0 : Math.atan2(target.b, target.a) - Math.atan2(from.b, from.a);
  return {
    a: target.a,
    b: target.b,
    fromA: from.a,
    fromB: from.b,
    cos: gain * Math.cos(turn),
    sin: gain * Math.sin(turn),
  };
}

const carriedA = (carry: Carry, a: number, b: number) =>
  carry.a + carry.cos * (a - carry.fromA) - carry.sin * (b - carry.fromB);
const carriedB = (carry: Carry, a: number, b: number) =>
  carry.b + carry.sin * (a - carry.fromA) + carry.cos * (b - carry.fromB);
