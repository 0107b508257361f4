import { linearFromOklab, oklabFromOklch, type Oklab } from '../../colour/oklab';
import { toEncoded } from '../../colour/srgb';
import { hueAtPosition, PAINTERS_WHEEL } from '../../colour/wheel';
import { pictureOf, type Picture } from '../../picture/picture';
import { randomFrom } from '../../seeded';

/** For tests and the bench: a made-up fog with quiet colours in known places. */
export interface Fog {
  picture: Picture;
  /** a and b of the fog alone. */
  cast: readonly [number, number];
  regions: FogRegion[];
  /** The region of each pixel, 0 where there is only the fog, else one more than its number. */
  of: Uint8Array;
}

export interface FogRegion {
  family: string;
  /** Degrees of the departure from the cast. */
  hue: number;
  /** How far it departs, in OKLab a and b. */
  departure: number;
  share: number;
}

export interface FogSettings {
  width: number;
  height: number;
  /** Standard deviation of the camera's noise, in levels of 255. */
  noise: number;
}

const DEFAULT_FOG: FogSettings = { width: 960, height: 640, noise: 3 };

type Random = () => number;

/**
 * A fog of one cast whose lightness falls off and turns darker in a hill or two, with three to six
 * regions (banks, patches, a band at an edge) that depart from the cast by 0.01 to 0.03, each toward
 * another family, its hue within a third of the family's width of its centre. Edges are soft.
 */
export function fog(seed: number, settings: Partial<FogSettings> = {}): Fog {
  const { width, height, noise } = { ...DEFAULT_FOG, ...settings };
  const random = randomFrom(seed);
  const between = (low: number, high: number) => low + (high - low) * random();
  const castHue = between(0, 2 * Math.PI);
  const castChroma = between(0, 0.03);
  const cast = [castChroma * Math.cos(castHue), castChroma * Math.sin(castHue)] as const;
  const light = lightness(random);
  const families = shuffled(random, PAINTERS_WHEEL.families.length);
  const count = 3 + Math.floor(random() * 4);
  const shapes = Array.from({ length: count }, (_, i) => {
    const position = families[i] + between(-1 / 6, 1 / 6);
    const hue = hueAtPosition(position, PAINTERS_WHEEL);
    return {
      family: PAINTERS_WHEEL.families[families[i]],
      hue,
      departure: between(0.01, 0.03),
      inside: shape(random),
      soft: between(0.002, 0.02),
    };
  });
  const data = new Uint8ClampedArray(width * height * 4);
  const of = new Uint8Array(width * height);
  const grain = noiseFrom(random);
  for (let y = 0, p = 0; y < height; y++)
    for (let x = 0; x < width; x++, p++) {
      const u = (x + 0.5) / width;
      const v = (y + 0.5) / height;
      let [a, b] = cast;
      shapes.forEach(({ hue, departure, inside, soft }, i) => {
        const depth = inside(u, v);
        if (depth <= -soft) return;
        const cover = Math.min(1, (depth + soft) / (2 * soft));
        const angle = (hue * Math.PI) / 180;
        a += (cast[0] + departure * Math.cos(angle) - a) * cover;
        b += (cast[1] + departure * Math.sin(angle) - b) * cover;
        if (depth > 0) of[p] = i + 1;
      });
      put(data, p, { L: light(u, v), a, b }, () => noise * grain());
    }
  const shares = new Float64Array(count + 1);
  for (const label of of) shares[label] += 1 / of.length;
  return {
    picture: pictureOf(width, height, data),
    cast,
    of,
    regions: shapes.map(({ family, hue, departure }, i) => ({
      family,
      hue,
      departure,
      share: shares[i + 1],
    })),
  };
}

/** Five quiet bands that share a picture, none of them its cast. */
export const BANDS = ['yellow-orange', 'red', 'violet', 'blue-green', 'yellow-green'] as const;

/** The five bands side by side, each `away` from grey, with the camera's noise in levels of 255. */
export function bands(seed: number, { width, height, noise }: FogSettings, away = 0.02): Picture {
  const grain = noiseFrom(randomFrom(seed));
  const colours = BANDS.map((family) => {
    const hue = hueAtPosition(PAINTERS_WHEEL.families.indexOf(family), PAINTERS_WHEEL);
    return oklabFromOklch({ L: 0.66, C: away, h: hue });
  });
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0, p = 0; y < height; y++)
    for (let x = 0; x < width; x++, p++)
      put(data, p, colours[Math.floor((x * BANDS.length) / width)], () => noise * grain());
  return pictureOf(width, height, data);
}

export const EMPTY_KINDS = ['noise', 'flat', 'gradient'] as const;

/** A picture with no hidden colour: noise about a grey, a flat cast in a changing light, or one hue that fades. */
export function emptyPicture(
  kind: (typeof EMPTY_KINDS)[number],
  seed: number,
  settings: Partial<FogSettings> = {},
): Picture {
  const { width, height, noise } = { ...DEFAULT_FOG, ...settings };
  const random = randomFrom(seed * 3 + EMPTY_KINDS.indexOf(kind));
  const between = (low: number, high: number) => low + (high - low) * random();
  const grain = noiseFrom(random);
  const hue = between(0, 2 * Math.PI);
  const least = kind === 'gradient' ? between(0, 0.02) : between(0, 0.04);
  const most = kind === 'gradient' ? between(0.03, 0.08) : least;
  const light = kind === 'noise' ? () => between(0.45, 0.46) : lightness(random);
  const strength =
    kind === 'noise' ? noise * between(1, 5) : kind === 'flat' ? between(0, noise) : noise;
  const turn = between(0, 2 * Math.PI);
  const round = random() < 0.4;
  const [cx, cy] = [between(0.2, 0.8), between(0.2, 0.8)];
  const bend = between(0.6, 1.8);
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0, p = 0; y < height; y++)
    for (let x = 0; x < width; x++, p++) {
      const u = (x + 0.5) / width;
      const v = (y + 0.5) / height;
      const along = round
        ? Math.hypot(u - cx, v - cy)
        : ((u - 0.5) * Math.cos(turn) + (v - 0.5) * Math.sin(turn)) / 1.42 + 0.5;
      const C = least + (most - least) * Math.min(1, Math.max(0, along)) ** bend;
      const L = light(u, v);
      put(data, p, { L, a: C * Math.cos(hue), b: C * Math.sin(hue) }, () => strength * grain());
    }
  return pictureOf(width, height, data);
}

/** A lightness for each place: a slow slope, and a hill or two that stand darker in it. */
function lightness(random: Random): (u: number, v: number) => number {
  const between = (low: number, high: number) => low + (high - low) * random();
  const [base, across, down] = [between(0.6, 0.8), between(-0.08, 0.08), between(-0.15, 0.1)];
  const hills = Array.from({ length: 1 + Math.floor(random() * 2) }, () => ({
    top: between(0.45, 0.85),
    rise: between(0.03, 0.12),
    wave: between(3, 9),
    shift: between(0, 6),
    darker: between(0.06, 0.2),
  }));
  return (u, v) => {
    let L = base + across * (u - 0.5) + down * (v - 0.5);
    for (const { top, rise, wave, shift, darker } of hills) {
      const depth = v - top - rise * Math.sin(u * wave + shift);
      L -= darker * Math.min(1, Math.max(0, depth / 0.01 + 0.5));
    }
    return Math.min(0.92, Math.max(0.35, L));
  };
}

/** A signed depth for each place: above 0 inside. */
function shape(random: Random): (u: number, v: number) => number {
  const between = (low: number, high: number) => low + (high - low) * random();
  const kind = random();
  if (kind < 0.25) {
    // A band across, or along an edge.
    const at = between(0, 1);
    const half = between(0.03, 0.09);
    const [rise, wave, shift] = [between(0, 0.05), between(2, 8), between(0, 6)];
    return (u, v) => half - Math.abs(v - at - rise * Math.sin(u * wave + shift));
  }
  const [cx, cy] = [between(0.05, 0.95), between(0.05, 0.95)];
  const [rx, ry] = [between(0.06, 0.2), between(0.06, 0.2)];
  if (kind < 0.5) return (u, v) => Math.min(rx - Math.abs(u - cx), ry - Math.abs(v - cy));
  const [lobes, depth, shift] = [2 + Math.floor(random() * 4), between(0, 0.25), between(0, 6)];
  return (u, v) => {
    const angle = Math.atan2(v - cy, u - cx);
    const rim = 1 + depth * Math.sin(lobes * angle + shift);
    return (rim - Math.hypot((u - cx) / rx, (v - cy) / ry)) * Math.min(rx, ry);
  };
}

function shuffled(random: Random, count: number): number[] {
  const all = Array.from({ length: count }, (_, i) => i);
  for (let i = count - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [all[i], all[j]] = [all[j], all[i]];
  }
  return all;
}

/** Standard normal numbers. Source: G. Box, M. Muller, Ann. Math. Statist. 29(2), 1958. */
function noiseFrom(random: Random): () => number {
  return () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

function put(data: Uint8ClampedArray, p: number, colour: Oklab, noise: () => number): void {
  const { r, g, b } = linearFromOklab(colour);
  data[p * 4] = 255 * toEncoded(r) + noise();
  data[p * 4 + 1] = 255 * toEncoded(g) + noise();
  data[p * 4 + 2] = 255 * toEncoded(b) + noise();
  data[p * 4 + 3] = 255;
}
