import { writeBytesAtGrey } from '../amplify/bytes-at-grey';
import { aOf, bOf, longRoot, mediumRoot, shortRoot } from '../colour/oklab';
import { LINEAR_OF_BYTE, luminance } from '../colour/srgb';
import { luminanceOfValue, quickValueOfLuminance } from '../colour/value';
import { OPAQUE, type Picture } from '../picture/picture';
import { valueImageOf } from '../picture/value-map';
import { quantile } from '../measure/values';

export const MOODS = [
  'clear noon',
  'overcast',
  'golden evening',
  'dusk',
  'moonlight',
  'fog',
  'lamp',
] as const;
export type Mood = (typeof MOODS)[number];

/** What a mood does; every number can be moved by a slider. */
export interface MoodSettings {
  /** Hue (OKLCH degrees) and chroma of what the light adds, and of what fills the shadows. */
  lightHue: number;
  lightChroma: number;
  shadowHue: number;
  shadowChroma: number;
  /** Munsell steps that the median moves. */
  key: number;
  /** The range of value against the subject's: 1 as it is. */
  range: number;
  /** Munsell steps that light and shadow move apart, half each. */
  apart: number;
  /** Chroma against the subject's. */
  chroma: number;
  /** How far greens turn toward blue-green where no sun is, in degrees. */
  greens: number;
  /** What the air takes of what is far, 0–1. */
  air: number;
}

export const MOOD_SETTINGS: Readonly<Record<Mood, MoodSettings>> = {
  'clear noon': {
    lightHue: 95,
    lightChroma: 0.012,
    shadowHue: 255,
    shadowChroma: 0.022,
    key: 0.3,
    range: 1.1,
    apart: 0.5,
    chroma: 1.08,
    greens: 0,
    air: 0.15,
  },
  overcast: {
    lightHue: 240,
    lightChroma: 0.006,
    shadowHue: 245,
    shadowChroma: 0.004,
    key: 0.3,
    range: 0.7,
    apart: -0.4,
    chroma: 0.75,
    greens: 8,
    air: 0.35,
  },
  'golden evening': {
    lightHue: 68,
    lightChroma: 0.055,
    shadowHue: 285,
    shadowChroma: 0.03,
    key: -0.3,
    range: 1,
    apart: 0.3,
    chroma: 1.08,
    greens: 4,
    air: 0.2,
  },
  dusk: {
    lightHue: 300,
    lightChroma: 0.022,
    shadowHue: 268,
    shadowChroma: 0.045,
    key: -1.7,
    range: 0.75,
    apart: 0,
    chroma: 0.7,
    greens: 14,
    air: 0.35,
  },
  moonlight: {
    lightHue: 240,
    lightChroma: 0.028,
    shadowHue: 265,
    shadowChroma: 0.04,
    key: -2.8,
    range: 0.65,
    apart: 0.3,
    chroma: 0.35,
    greens: 16,
    air: 0.3,
  },
  fog: {
    lightHue: 235,
    lightChroma: 0.004,
    shadowHue: 240,
    shadowChroma: 0.006,
    key: 0.9,
    range: 0.6,
    apart: -0.2,
    chroma: 0.6,
    greens: 8,
    air: 0.95,
  },
  lamp: {
    lightHue: 66,
    lightChroma: 0.07,
    shadowHue: 275,
    shadowChroma: 0.03,
    key: -2.2,
    range: 1.15,
    apart: 0.8,
    chroma: 0.85,
    greens: 6,
    air: 0,
  },
};

/** Munsell values that nothing goes beyond, and the width of the bend toward them. */
const DARKEST = 0.4;
const LIGHTEST = 9.7;
const BEND = 1.2;
/** Munsell steps over which light passes into shadow: so that a sky that turns shows no break. */
const SOFT = 3;
/** Green, OKLCH degrees, and how far to each side it reaches. */
const GREEN = 125;
const GREEN_REACH = 45;
const STEPS = 2048;
/** The most that the air takes of what is farthest. */
const AIR = 0.85;

/** How values go into a mood: by the subject's median, and where its light is parted from its shadow. */
interface Grading {
  /** By value in steps of 10 / STEPS: the new cube root of luminance, and how much it is in the light. */
  grey: Float64Array;
  light: Float64Array;
}

/**
 * The same scene in another mood: values move by their light and their range, lights and shadows apart; what lies in the
 * light takes the light's hue and what lies in shadow the ambient one, passing softly from one into the other; greens
 * cool where no sun is. `threshold` is the Munsell value that parts light from shadow; `distances` says for each pixel how
 * far away it is, 0 near to 255 far, where the air is to take what is far: toward the colour and the value of its lights.
 */
export function moodPicture(
  picture: Picture,
  settings: MoodSettings,
  threshold: number,
  distances?: Uint8Array,
): Picture {
  const { data, width, height } = picture;
  const { counts } = valueImageOf(picture);
  const median = quantile(counts, 0.5);
  const veil = (settings.air * AIR) / 255;
  const { grey, light } = gradingOf(settings, median, threshold);
  const turn = (degrees: number) => (degrees * Math.PI) / 180;
  const [lightA, lightB, shadowA, shadowB] = [
    settings.lightChroma * Math.cos(turn(settings.lightHue)),
    settings.lightChroma * Math.sin(turn(settings.lightHue)),
    settings.shadowChroma * Math.cos(turn(settings.shadowHue)),
    settings.shadowChroma * Math.sin(turn(settings.shadowHue)),
  ];
  const lights = Math.round((quantile(counts, 0.85) * STEPS) / 10);
  const [airGrey, airA, airB] = [grey[lights], (lightA + shadowA) / 2, (lightB + shadowB) / 2];
  const out = data.slice();
  for (let at = 0, pixel = 0; at < data.length; at += 4, pixel++) {
    if (data[at + 3] < OPAQUE) continue;
    const r = LINEAR_OF_BYTE[data[at]];
    const g = LINEAR_OF_BYTE[data[at + 1]];
    const blue = LINEAR_OF_BYTE[data[at + 2]];
    const [l, m, s] = [longRoot(r, g, blue), mediumRoot(r, g, blue), shortRoot(r, g, blue)];
    const place = (quickValueOfLuminance(luminance(r, g, blue)) * STEPS) / 10;
    const low = Math.min(STEPS - 1, place | 0);
    const part = place - low;
    let newGrey = grey[low] * (1 - part) + grey[low + 1] * part;
    const lit = light[low] * (1 - part) + light[low + 1] * part;
    let a = aOf(l, m, s) * settings.chroma;
    let b = bOf(l, m, s) * settings.chroma;
    if (settings.greens !== 0) [a, b] = cooled(a, b, turn(settings.greens) * (1 - lit));
    a += lit * lightA + (1 - lit) * shadowA;
    b += lit * lightB + (1 - lit) * shadowB;
    if (distances && veil > 0) {
      const taken = veil * distances[pixel];
      newGrey += taken * (airGrey - newGrey);
      a += taken * (airA - a);
      b += taken * (airB - b);
    }
    // The search for lightness begins at the new grey: from the old one it would be too far.
    writeBytesAtGrey(newGrey, newGrey, a, b, out, at);
  }
  return { width, height, data: out };
}

function gradingOf(settings: MoodSettings, median: number, threshold: number): Grading {
  const { key, range, apart } = settings;
  const grey = new Float64Array(STEPS + 2);
  const light = new Float64Array(STEPS + 2);
  for (let step = 0; step <= STEPS + 1; step++) {
    const value = Math.min(10, (step * 10) / STEPS);
    const lit = smoothStep((value - threshold) / SOFT + 0.5);
    const moved = median + key + range * (value - median) + apart * (lit - 0.5);
    grey[step] = Math.cbrt(luminanceOfValue(bent(moved)));
    light[step] = lit;
  }
  return { grey, light };
}

/** A value within what can be painted: near the ends it goes on ever more slowly, and never turns back. */
function bent(value: number): number {
  if (value > LIGHTEST - BEND) return LIGHTEST - BEND * Math.exp(-(value - LIGHTEST + BEND) / BEND);
  if (value < DARKEST + BEND) return DARKEST + BEND * Math.exp((value - DARKEST - BEND) / BEND);
  return value;
}

function smoothStep(at: number): number {
  const t = Math.min(1, Math.max(0, at));
  return t * t * (3 - 2 * t);
}

/** A green turned toward blue-green by an angle at most, less the farther it is from green. */
function cooled(a: number, b: number, angle: number): [number, number] {
  const hue = (Math.atan2(b, a) * 180) / Math.PI;
  const off = Math.abs(((hue - GREEN + 540) % 360) - 180) / GREEN_REACH;
  if (off >= 1) return [a, b];
  const by = angle * (1 - off * off) ** 2;
  return [a * Math.cos(by) - b * Math.sin(by), a * Math.sin(by) + b * Math.cos(by)];
}

/** What a mood did, in figures: medians and ranges before and after, and how light and shadow moved. */
export interface MoodEffect {
  median: [before: number, after: number];
  range: [before: number, after: number];
}

export function moodEffect(before: Picture, after: Picture): MoodEffect {
  const [was, is] = [before, after].map((picture) => {
    const { counts } = valueImageOf(picture);
    return {
      median: quantile(counts, 0.5),
      range: quantile(counts, 0.95) - quantile(counts, 0.05),
    };
  });
  return { median: [was.median, is.median], range: [was.range, is.range] };
}
