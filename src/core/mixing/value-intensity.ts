import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { broughtTo, shareForValue, type Adjusters, type PaintAtValue } from './at-value';
import { mixColour } from './mix-lab';
import { mixed } from './paint';
import { hueDistance } from './route';
import { kindOf, type Tube } from './tube';

/** A mixture of the chart: shares of the tubes, which sum to 1. */
export interface IntensityCell {
  parts: { tube: Tube; share: number }[];
  colour: Oklab;
}

export interface IntensityRow {
  value: number;
  /** From the strongest to the dullest. */
  cells: IntensityCell[];
}

/** Points along the way among which the dullest is looked for, and halvings of the way to an intensity. */
const SAMPLES = 24;
const HALVINGS = 14;

/**
 * One family with value down and intensity across: at each Munsell value the tube, brought there by white or a dark,
 * goes to a muting paint that was brought to the same value, in steps that are even in OKLCH chroma; what the two
 * darken each other is made good with white. Values that either can't be brought to are left out. Throws a RangeError
 * for fewer than two steps.
 */
export function valueByIntensity(
  tube: Tube,
  muting: Tube,
  adjusters: Adjusters,
  values: readonly number[],
  steps: number,
): IntensityRow[] {
  if (!Number.isInteger(steps) || steps < 2) throw new RangeError('A row has at least two steps');
  return values.flatMap((value) => {
    const [strong, dull] = [tube, muting].map((one) => broughtTo(one, value, adjusters));
    return strong && dull
      ? [{ value, cells: stringAtValue(strong, dull, value, adjusters.white, steps) }]
      : [];
  });
}

function stringAtValue(
  strong: PaintAtValue,
  dull: PaintAtValue,
  value: number,
  white: Tube | null,
  steps: number,
): IntensityCell[] {
  const at = (along: number) => cellAt(strong, dull, along, value, white);
  const chromaAt = (along: number) => oklchFromOklab(at(along).colour).C;
  // Beyond its dullest place the way goes on toward the muting paint's own hue.
  const samples = Array.from({ length: SAMPLES + 1 }, (_, i) => chromaAt(i / SAMPLES));
  const last = samples.indexOf(Math.min(...samples)) / SAMPLES;
  const [most, least] = [samples[0], Math.min(...samples)];
  return Array.from({ length: steps }, (_, i) => {
    if (i === 0) return at(0);
    if (i === steps - 1) return at(last);
    const wanted = most + ((least - most) * i) / (steps - 1);
    let [low, high] = [0, last];
    for (let k = 0; k < HALVINGS; k++) {
      const middle = (low + high) / 2;
      if (chromaAt(middle) > wanted) low = middle;
      else high = middle;
    }
    return at((low + high) / 2);
  });
}

/** A mixture of the two, lightened to the value where they darken each other. */
function cellAt(
  strong: PaintAtValue,
  dull: PaintAtValue,
  along: number,
  value: number,
  white: Tube | null,
): IntensityCell {
  const both = mixed([
    { optics: strong.optics, parts: 1 - along },
    { optics: dull.optics, parts: along },
  ]);
  const more = (white && shareForValue(both, white.optics, value)) ?? 0;
  return {
    colour: white ? mixColour([both, white.optics], [1 - more, more]) : mixColour([both], [1]),
    parts: mergedShares([
      ...strong.parts.map(({ tube, share }) => ({ tube, share: share * (1 - along) * (1 - more) })),
      ...dull.parts.map(({ tube, share }) => ({ tube, share: share * along * (1 - more) })),
      ...(white ? [{ tube: white, share: more }] : []),
    ]),
  };
}

/** Shares of one tube as one. */
function mergedShares(
  parts: readonly { tube: Tube; share: number }[],
): { tube: Tube; share: number }[] {
  const shares = new Map<Tube, number>();
  for (const { tube, share } of parts) shares.set(tube, (shares.get(tube) ?? 0) + share);
  return Array.from(shares, ([tube, share]) => ({ tube, share })).filter(
    ({ share }) => share > 1e-9,
  );
}

/** The value at which tubes are tried on a family, where a person sees best what they make of it. */
const MIDDLE_VALUE = 6;

/**
 * Of some tubes the one that dulls a tube most and turns its hue least, both at one value; null where none can be
 * brought there.
 */
export function bestMuting(tube: Tube, tubes: readonly Tube[], adjusters: Adjusters): Tube | null {
  const strong = broughtTo(tube, MIDDLE_VALUE, adjusters);
  if (!strong) return null;
  const { h } = oklchFromOklab(mixColour([strong.optics], [1]));
  let best: Tube | null = null;
  let least = Infinity;
  for (const other of tubes) {
    if (other.id === tube.id || kindOf(other) === 'white') continue;
    const dull = broughtTo(other, MIDDLE_VALUE, adjusters);
    if (!dull) continue;
    const along = [0.25, 0.5, 0.75].map((share) => {
      const mixture = oklchFromOklab(mixColour([strong.optics, dull.optics], [1 - share, share]));
      const turn = (Math.PI * hueDistance(mixture.h, h)) / 180;
      return { C: mixture.C, aside: mixture.C * Math.abs(Math.sin(turn)) };
    });
    const cost = Math.min(...along.map(({ C }) => C)) + along[1].aside;
    if (cost < least) [best, least] = [other, cost];
  }
  return best;
}
