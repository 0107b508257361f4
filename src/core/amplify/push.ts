import { writeOklab, linearFromOklab } from '../colour/oklab';
import { LINEAR_OF_BYTE, luminance, toEncoded } from '../colour/srgb';
import { OPAQUE, type Picture } from '../picture/picture';
import { chromaRoom, lightnessFor } from './chroma-room';

/** How quiet colours are brought up. */
export const PUSHES = ['lift', 'lift the quiet', 'spread'] as const;
export type PushWay = (typeof PUSHES)[number];

export interface Push {
  way: PushWay;
  /** 0 leaves the picture as it is, 1 pushes as far as is of use. */
  strength: number;
}

/** Chroma times this at full strength. */
const MOST_LIFT = 3;
const MOST_QUIET = 7;
const MOST_SPREAD = 6;
/** At this chroma the lift of the quiet has fallen to a third. */
const QUIET = 0.05;

/**
 * A picture with its quiet colours pushed up, value and hue held: luminance stays (so that its greys
 * are the same picture) and so does OKLCH hue about the neutral, or, for `spread`, about the
 * picture's own cast. Lift multiplies chroma, lift the quiet does so the less the stronger a colour is,
 * spread multiplies what departs from the mean of a and b and leaves the mean where it is. Near the
 * edge of sRGB chroma rises ever more slowly, so that the order of chromas is kept.
 * Throws a RangeError for a strength outside 0–1.
 */
export function pushed({ width, height, data }: Picture, { way, strength }: Push): Picture {
  if (!(strength >= 0 && strength <= 1))
    throw new RangeError(`a strength of ${strength}; 0 to 1 can be pushed`);
  const out = new Uint8ClampedArray(data);
  const cast = way === 'spread' ? castOf(data) : [0, 0];
  const lab = new Float64Array(3);
  const known = new Map<number, number>();
  for (let i = 0; i < data.length; i += 4) {
    if (data[i + 3] < OPAQUE) continue;
    const key = (data[i] << 16) | (data[i + 1] << 8) | data[i + 2];
    let packed = known.get(key);
    if (packed === undefined) {
      packed = pushedColour(data[i], data[i + 1], data[i + 2], way, strength, cast, lab);
      known.set(key, packed);
    }
    out[i] = packed >> 16;
    out[i + 1] = (packed >> 8) & 255;
    out[i + 2] = packed & 255;
  }
  return { width, height, data: out };
}

/** The mean OKLab a and b of what is seen. */
function castOf(data: Uint8ClampedArray): [number, number] {
  const lab = new Float64Array(3);
  let a = 0;
  let b = 0;
  let seen = 0;
  for (let i = 0; i < data.length; i += 4) {
    if (data[i + 3] < OPAQUE) continue;
    writeOklab(
      LINEAR_OF_BYTE[data[i]],
      LINEAR_OF_BYTE[data[i + 1]],
      LINEAR_OF_BYTE[data[i + 2]],
      lab,
      0,
    );
    a += lab[1];
    b += lab[2];
    seen++;
  }
  return seen === 0 ? [0, 0] : [a / seen, b / seen];
}

function pushedColour(
  r: number,
  g: number,
  b: number,
  way: PushWay,
  strength: number,
  [castA, castB]: readonly number[],
  lab: Float64Array,
): number {
  const [R, G, B] = [LINEAR_OF_BYTE[r], LINEAR_OF_BYTE[g], LINEAR_OF_BYTE[b]];
  writeOklab(R, G, B, lab, 0);
  const Y = luminance(R, G, B);
  const fromA = lab[1] - castA;
  const fromB = lab[2] - castB;
  const away = Math.hypot(fromA, fromB);
  if (away < 1e-6 || strength === 0) return (r << 16) | (g << 8) | b;
  const gain = gainOf(way, strength, away);
  const wantedA = castA + fromA * gain;
  const wantedB = castB + fromB * gain;
  const wanted = Math.hypot(wantedA, wantedB);
  if (wanted < 1e-9) return (r << 16) | (g << 8) | b;
  const room = chromaRoom(Math.cbrt(Y), Math.atan2(wantedB, wantedA));
  const own = Math.min(Math.hypot(lab[1], lab[2]), room);
  const C = wanted > own ? softly(own, wanted, room) : wanted;
  const a = (wantedA / wanted) * C;
  const bb = (wantedB / wanted) * C;
  const linear = linearFromOklab({ L: lightnessFor(Y, a, bb, lab[0]), a, b: bb });
  const byte = (n: number) => Math.round(255 * Math.min(1, Math.max(0, toEncoded(n))));
  return (byte(linear.r) << 16) | (byte(linear.g) << 8) | byte(linear.b);
}

function gainOf(way: PushWay, strength: number, chroma: number): number {
  if (way === 'lift') return 1 + (MOST_LIFT - 1) * strength;
  if (way === 'spread') return 1 + (MOST_SPREAD - 1) * strength;
  return 1 + ((MOST_QUIET - 1) * strength) / (1 + 2 * (chroma / QUIET) ** 2);
}

/** On from its own chroma toward the wanted one, the more slowly the nearer to where sRGB ends. */
function softly(own: number, wanted: number, room: number): number {
  const left = room - own;
  if (left <= 1e-9) return own;
  return own + left * (1 - Math.exp(-(wanted - own) / left));
}
