import { linearFromOklab } from '../colour/oklab';
import { toEncoded } from '../colour/srgb';
import { chromaRoom, lightnessFor } from './chroma-room';

/** The three ways in which quiet colours are brought up; they can be combined. */
export const WAYS = ['lift', 'quiet', 'spread'] as const;
export type Way = (typeof WAYS)[number];
/** What spread holds still: the cast of the whole picture, or of what lies around each place. */
export const CASTS = ['global', 'local'] as const;

/** How far a picture is pushed each way: 0 leaves it as it is, 1 goes as far as is of use. */
export type Push = Record<Way, number> & { cast: (typeof CASTS)[number] };

export const NO_PUSH: Push = { lift: 0, quiet: 0, spread: 0, cast: 'global' };

/** Chroma times this at full strength. */
const MAX_LIFT = 3;
const MAX_QUIET = 7;
const MAX_SPREAD = 6;
/** At this chroma the lift of the quiet has fallen to a third. */
const QUIET = 0.05;

export function isPushed({ lift, quiet, spread }: Push): boolean {
  return lift > 0 || quiet > 0 || spread > 0;
}

/** What spread adds of a colour's departure from the cast. */
export function spreadGain({ spread }: Push): number {
  return (MAX_SPREAD - 1) * spread;
}

/** Throws a RangeError for a strength outside 0–1. */
export function checkPush(push: Push): void {
  for (const way of WAYS)
    if (!(push[way] >= 0 && push[way] <= 1))
      throw new RangeError(`a strength of ${push[way]}; 0 to 1 can be pushed`);
}

/** Writes a pushed colour as encoded sRGB, 0–255 in three floats (beyond that outside sRGB), not rounded. */
export type Pusher = (
  /** OKLab lightness of the grey of its luminance (the cube root of Y), and its own. */
  grey: number,
  L: number,
  a: number,
  b: number,
  /** a and b of the cast. */
  castA: number,
  castB: number,
  out: Float64Array | Float32Array,
  at: number,
) => void;

/**
 * The push of one colour, value and hue held: luminance stays (so that greys are the same picture), and
 * so does OKLCH hue about the neutral, or for `spread` about the cast. Spread multiplies what departs
 * from the cast and leaves the cast where it is; lift multiplies chroma; lift the quiet does so the
 * less the stronger a colour is. Near the edge of sRGB chroma rises ever more slowly, so that the order
 * of chromas is kept and nothing is clipped.
 */
export function pusher(push: Push): Pusher {
  const away = spreadGain(push);
  const liftGain = 1 + (MAX_LIFT - 1) * push.lift;
  const quietGain = (MAX_QUIET - 1) * push.quiet;
  return (grey, L, a, b, castA, castB, out, at) => {
    const wantedA = a + away * (a - castA);
    const wantedB = b + away * (b - castB);
    const squared = wantedA * wantedA + wantedB * wantedB;
    const gain = liftGain + quietGain / (1 + (2 * squared) / (QUIET * QUIET));
    const wanted = Math.sqrt(squared) * gain;
    let keep = gain;
    if (wanted > 1e-9) {
      const chroma = Math.sqrt(a * a + b * b);
      const room = chromaRoom(grey, Math.atan2(wantedB, wantedA));
      // Spread turns the hue, and the room of the new one may be less than there was.
      const own = away > 0 ? Math.min(chroma, room) : chroma;
      if (wanted > own) keep = (gain * softly(own, wanted, room)) / wanted;
    }
    writeAtGrey(grey, L, wantedA * keep, wantedB * keep, out, at);
  };
}

/** Writes the colour with these a and b and the luminance of a grey, as a `Pusher` does. */
export function writeAtGrey(
  grey: number,
  near: number,
  a: number,
  b: number,
  out: Float64Array | Float32Array,
  at: number,
): void {
  const linear = linearFromOklab({ L: lightnessFor(grey * grey * grey, a, b, near), a, b });
  out[at] = encoded(linear.r);
  out[at + 1] = encoded(linear.g);
  out[at + 2] = encoded(linear.b);
}

/**
 * On from its own chroma toward the wanted one, the more slowly the nearer to where sRGB ends; back toward
 * that end from beyond it, so that a table read between nodes on either side of it runs straight through.
 */
function softly(own: number, wanted: number, room: number): number {
  const left = room - own;
  const size = Math.abs(left);
  if (size < 1e-9) return own;
  return own + left * (1 - Math.exp(-(wanted - own) / size));
}

const ENCODED_STEPS = 4096;
/** Encoded levels by the fourth root of light: even enough to be read between two. */
const ENCODED = Float32Array.from(
  { length: ENCODED_STEPS + 2 },
  (_, step) => 255 * toEncoded(Math.min(1, (step / ENCODED_STEPS) ** 4)),
);

function encoded(linear: number): number {
  // What lies outside sRGB goes on as it would: only whole pixels are held within it.
  if (linear <= 0 || linear >= 1) return 255 * toEncoded(linear);
  const step = Math.sqrt(Math.sqrt(linear)) * ENCODED_STEPS;
  const low = step | 0;
  return ENCODED[low] + (ENCODED[low + 1] - ENCODED[low]) * (step - low);
}
