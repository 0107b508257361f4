import { writeBytesAtGrey } from '../amplify/bytes-at-grey';
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
import { onLadder } from '../palette/ladder';
import { NO_MASS, type Subject } from './subject';

/** A departure within a mass grows by this at most, however much stronger its new colour is. */
const MAX_GAIN = 1.6;
/** Below this chroma a mass has no hue that could be turned. */
const NO_HUE = 0.012;

/** How the colours of one mass are carried to its new colour: a linear map of a and b. */
interface Carry {
  a: number;
  b: number;
  /** Gain times cosine and sine of the turn. */
  cos: number;
  sin: number;
}

/** What was made last of a picture: where a mass takes another colour only its pixels are made anew. */
interface Made {
  carries: Carry[];
  keep: Uint8Array | undefined;
  data: Uint8ClampedArray;
}
const lastOf = new WeakMap<Subject, Made>();

/**
 * The subject in other colours with its values held: each pixel keeps its luminance. A mass takes its colour at the
 * mass's own value; what departs from its mean inside it, as a form turns, is turned and scaled with it. `keep` (0–255 a
 * pixel) leaves a pixel as it is where it is 255.
 */
export function heldPicture(
  subject: Subject,
  colours: readonly Oklab[],
  of: readonly number[],
  keep?: Uint8Array,
): Picture {
  const { picture, masses, field } = subject;
  const { width, height, data } = picture;
  const carries = masses.map(({ colour, value }, mass) =>
    carryOf(colour, value, colours[of[mass]]),
  );
  const last = lastOf.get(subject);
  const isNew = !last || !isSame(last.keep, keep);
  const changed = Uint8Array.from(carries, (carry, mass) =>
    isNew || !isSameCarry(carry, last.carries[mass]) ? 1 : 0,
  );
  const out = isNew ? data.slice() : last.data.slice();
  const pixels = width * height;
  const chunk = Math.min(pixels, MAX_KNOWN);
  let tones = tonesOf(picture, 0, chunk);
  for (let pixel = 0, at = 0, t = 0; pixel < pixels; pixel++, at += 4, t += 4) {
    if (t === tones.length) {
      tones = tonesOf(picture, pixel, Math.min(pixels, pixel + chunk));
      t = 0;
    }
    const first = field.first[pixel];
    if (first === NO_MASS) continue;
    const share = field.weight[pixel];
    if (changed[first] === 0 && (share === 255 || changed[field.second[pixel]] === 0)) continue;
    const kept = keep ? keep[pixel] / 255 : 0;
    if (kept === 1) continue;
    const [a, b, grey] = [tones[t], tones[t + 1], tones[t + 2]];
    const one = carries[first];
    let wantedA = one.a + one.cos * a - one.sin * b;
    let wantedB = one.b + one.sin * a + one.cos * b;
    if (share < 255) {
      const other = carries[field.second[pixel]];
      const rest = 1 - share / 255;
      wantedA += rest * (other.a + other.cos * a - other.sin * b - wantedA);
      wantedB += rest * (other.b + other.sin * a + other.cos * b - wantedB);
    }
    wantedA += kept * (a - wantedA);
    wantedB += kept * (b - wantedB);
    writeBytesAtGrey(grey, tones[t + 3], wantedA, wantedB, out, at);
  }
  if (pixels > MAX_KNOWN) return { width, height, data: out };
  lastOf.set(subject, { carries, keep, data: out });
  // A copy: what was made is gone on from.
  return { width, height, data: out.slice() };
}

function isSame(one: Uint8Array | undefined, other: Uint8Array | undefined): boolean {
  if (one === other) return true;
  return one?.length === other?.length && one!.every((share, pixel) => share === other![pixel]);
}

const isSameCarry = (one: Carry, other: Carry) =>
  one.a === other.a && one.b === other.b && one.cos === other.cos && one.sin === other.sin;

/** Of a picture whose colours are tried the a, b, grey and lightness of each pixel: read once, used for every try. */
const known = new WeakMap<Picture, Float32Array>();
/** Pictures of more pixels are read part by part, and nothing of them is kept: it would take too much room. */
const MAX_KNOWN = 3_000_000;

function tonesOf(picture: Picture, from: number, to: number): Float32Array {
  const had = known.get(picture);
  if (had) return had;
  const { data, width, height } = picture;
  const tones = new Float32Array((to - from) * 4);
  for (let n = 0, at = from * 4; n < tones.length; n += 4, at += 4) {
    const r = LINEAR_OF_BYTE[data[at]];
    const g = LINEAR_OF_BYTE[data[at + 1]];
    const blue = LINEAR_OF_BYTE[data[at + 2]];
    const [l, m, s] = [longRoot(r, g, blue), mediumRoot(r, g, blue), shortRoot(r, g, blue)];
    tones[n] = aOf(l, m, s);
    tones[n + 1] = bOf(l, m, s);
    tones[n + 2] = cubeRoot(Math.max(0, luminance(r, g, blue)));
    tones[n + 3] = lightnessOf(l, m, s);
  }
  if (tones.length === width * height * 4) known.set(picture, tones);
  return tones;
}

function carryOf(from: Oklab, value: number, to: Oklab): Carry {
  const target = onLadder(to, value);
  const [was, is] = [Math.hypot(from.a, from.b), Math.hypot(target.a, target.b)];
  const gain = was < NO_HUE ? Math.min(1, is / NO_HUE) : Math.min(MAX_GAIN, is / was);
  const turn =
    was < NO_HUE || is < 1e-9 ? 0 : Math.atan2(target.b, target.a) - Math.atan2(from.b, from.a);
  const cos = gain * Math.cos(turn);
  const sin = gain * Math.sin(turn);
  return {
    a: target.a - cos * from.a + sin * from.b,
    b: target.b - sin * from.a - cos * from.b,
    cos,
    sin,
  };
}
