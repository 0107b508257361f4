import { NEUTRAL_CHROMA } from '../colour/intensity';
import { writeOklab } from '../colour/oklab';
import { LINEAR_OF_BYTE } from '../colour/srgb';
import { OPAQUE, type Picture } from '../picture/picture';
import type { Pushable } from './pushed';

/** What a push has done to the whole of a picture; shares are of what is seen, 0–1. */
export interface Intensities {
  /** Strong or vivid. */
  strong: number;
  neutral: number;
  /** Greens and yellow-greens past what foliage does. */
  greens: number;
}

export const GUARDS = ['too strong', 'greens', 'no neutrals', 'noise', 'lossy', 'cast'] as const;
export type Guard = (typeof GUARDS)[number];

export interface GuardReading {
  before: Intensities;
  after: Intensities;
  /** Chroma of the cast. */
  cast: number;
  /** The noise of a pixel's a or b, the middle of the bands of lightness. */
  noise: number;
  /** What there is to say, the gravest first. */
  warnings: Guard[];
}

/** OKLCH chroma from which a colour is strong. */
const STRONG = 0.13;
/** Foliage stays under this, and lies within these hues. */
const FOLIAGE = 0.17;
const GREENS = [105, 170] as const;
/** Shares from which each is worth a word. */
const TOO_STRONG = 0.25;
const STRONGER_BY = 0.1;
const TOO_GREEN = 0.01;
const FEW_NEUTRALS = 0.04;
const NEUTRALS_BEFORE = 0.1;
/** Of a picture that is mostly neutral, less than this part of it left is worth a word too. */
const MOSTLY_NEUTRAL = 0.5;
const NEUTRALS_KEPT = 0.4;
/** A deviation of a or b that pushing turns into specks. */
const NOISY = 0.009;
/** A cast of this chroma should be corrected before anything is pushed. */
const STRONG_CAST = 0.03;

/** Reads what a push did; `after` is the picture pushed. */
export function readGuards({ picture, ground, denoiser }: Pushable, after: Picture): GuardReading {
  const was = intensitiesOf(picture);
  const now = intensitiesOf(after);
  const cast = Math.hypot(...ground.cast);
  const noise = Float64Array.from(denoiser.noise).sort()[denoiser.noise.length >> 1];
  const says: Record<Guard, boolean> = {
    'too strong': now.strong > TOO_STRONG && now.strong > was.strong + STRONGER_BY,
    greens: now.greens > TOO_GREEN && now.greens > was.greens + TOO_GREEN / 2,
    'no neutrals':
      (now.neutral < FEW_NEUTRALS && was.neutral > NEUTRALS_BEFORE) ||
      (was.neutral > MOSTLY_NEUTRAL && now.neutral < NEUTRALS_KEPT * was.neutral),
    noise: noise > NOISY,
    lossy: ground.rough,
    cast: cast > STRONG_CAST && was.strong < TOO_STRONG,
  };
  return { before: was, after: now, cast, noise, warnings: GUARDS.filter((guard) => says[guard]) };
}

function intensitiesOf({ width, height, data }: Picture): Intensities {
  const lab = new Float64Array(3);
  const stride = Math.max(1, Math.round(Math.sqrt((width * height) / 150_000)));
  let opaque = 0;
  let strong = 0;
  let neutral = 0;
  let greens = 0;
  for (let y = 0; y < height; y += stride)
    for (let x = 0; x < width; x += stride) {
      const i = (y * width + x) * 4;
      if (data[i + 3] < OPAQUE) continue;
      writeOklab(
        LINEAR_OF_BYTE[data[i]],
        LINEAR_OF_BYTE[data[i + 1]],
        LINEAR_OF_BYTE[data[i + 2]],
        lab,
        0,
      );
      opaque++;
      const chroma = Math.hypot(lab[1], lab[2]);
      if (chroma < NEUTRAL_CHROMA) neutral++;
      if (chroma >= STRONG) strong++;
      const hue = (Math.atan2(lab[2], lab[1]) * 180) / Math.PI;
      if (chroma > FOLIAGE && hue >= GREENS[0] && hue <= GREENS[1]) greens++;
    }
  const of = Math.max(1, opaque);
  return { strong: strong / of, neutral: neutral / of, greens: greens / of };
}
