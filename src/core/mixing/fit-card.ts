import { labFromOklab, type Lab } from '../colour/cielab';
import type { Oklab } from '../colour/oklab';
import { solved } from './linear-system';
import { mixLab } from './mix-lab';
import { opticsOf, type Optics } from './pigment';
import { TITANIUM_WHITE } from './pigments/pigments';
import { spectrumOf } from './spectrum';

/** What a card of a tube shows: its mass tone, and a tint of one part in so many of white. */
export interface TubeCard {
  massTone: Oklab;
  tint: Oklab;
  whiteParts: number;
}

/**
 * How a tube differs from its pigment, as factors: of absorption in the short, middle and long waves, and of
 * scattering. `spread` is what is left unknown of each, as the standard deviation of its logarithm.
 */
export interface CardFit {
  factors: readonly [short: number, middle: number, long: number, scattering: number];
  spread: readonly [short: number, middle: number, long: number, scattering: number];
  /** The tube as it was found. */
  optics: Optics;
}

/** How far tubes of one pigment differ: the standard deviation of a factor's logarithm. */
const PRIOR = 0.4;
/** How far a photograph of an evenly lit card is off: CIEDE2000, about. */
const NOISE = 1;
const ROUNDS = 15;
const STEP = 0.01;
const MAX_MOVE = 0.5;
/** Where the three parts of the spectrum are centred, in nm; between them factors run straight. */
const CENTRES = [450, 540, 630] as const;

/**
 * The least change of a paint that explains a card: least squares on both patches, held to the pigment by how far
 * tubes differ. Strength is in all four factors at once.
 */
export function fitCard(paint: Optics, card: TubeCard): CardFit {
  const white = opticsOf(TITANIUM_WHITE);
  const [massTone, tint] = [labFromOklab(card.massTone), labFromOklab(card.tint)];
  const residuals = (logs: readonly number[]): number[] => {
    const changed = changedPaint(paint, logs);
    return [
      ...offBy(mixLab([changed], [1]), massTone),
      ...offBy(mixLab([changed, white], [1, card.whiteParts]), tint),
    ];
  };
  let logs = [0, 0, 0, 0];
  for (let round = 0; round < ROUNDS; round++) {
    const { rows } = normalRows(logs, residuals);
    const move = solved(rows).map((by) => Math.max(-MAX_MOVE, Math.min(MAX_MOVE, by)));
    logs = logs.map((log, i) => log + move[i]);
    if (Math.max(...move.map(Math.abs)) < 1e-4) break;
  }
  const { information } = normalRows(logs, residuals);
  return {
    factors: four((i) => Math.exp(logs[i])),
    spread: four((i) =>
      Math.sqrt(solved(information.map((row, k) => [...row, k === i ? 1 : 0]))[i]),
    ),
    optics: changedPaint(paint, logs),
  };
}

const four = (of: (index: number) => number): [number, number, number, number] => [
  of(0),
  of(1),
  of(2),
  of(3),
];

/** The normal equations at some logarithms of the factors, and their matrix alone. */
function normalRows(logs: readonly number[], residuals: (logs: readonly number[]) => number[]) {
  const off = residuals(logs);
  const slopes = logs.map((log, i) =>
    residuals(logs.with(i, log + STEP)).map((ahead, k) => (ahead - off[k]) / STEP),
  );
  const dot = (one: readonly number[], other: readonly number[]) =>
    one.reduce((sum, at, k) => sum + at * other[k], 0);
  const information = slopes.map((slope, i) =>
    slopes.map((other, j) => dot(slope, other) + (i === j ? 1 / PRIOR ** 2 : 0)),
  );
  const rows = information.map((row, i) => [...row, -dot(slopes[i], off) - logs[i] / PRIOR ** 2]);
  return { information, rows };
}

/** A paint with its absorption and scattering multiplied. */
function changedPaint(
  { K, S }: Optics,
  [short, middle, long, scattering]: readonly number[],
): Optics {
  const [low, mid, high] = CENTRES;
  const logAt = (wavelength: number) => {
    if (wavelength <= mid) {
      const along = Math.max(0, (wavelength - low) / (mid - low));
      return short + along * (middle - short);
    }
    const along = Math.min(1, (wavelength - mid) / (high - mid));
    return middle + along * (long - middle);
  };
  return {
    K: spectrumOf((wavelength, band) => K[band] * Math.exp(logAt(wavelength))),
    S: S.map((s) => s * Math.exp(scattering)),
  };
}

/** A difference in CIELAB in units of the noise, by CIEDE2000's weights of lightness, chroma and hue. */
function offBy(lab: Lab, target: Lab): number[] {
  const C = Math.hypot(target.a, target.b);
  const [x, y] = C > 1e-6 ? [target.a / C, target.b / C] : [1, 0];
  const [a, b] = [lab.a - target.a, lab.b - target.b];
  return [
    (lab.L - target.L) / NOISE,
    (a * x + b * y) / (1 + 0.045 * C) / NOISE,
    (b * x - a * y) / (1 + 0.015 * C) / NOISE,
  ];
}
