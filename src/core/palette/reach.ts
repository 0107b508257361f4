import { ciede2000 } from '../colour/ciede2000';
import { oklabFromLab } from '../colour/cielab';
import { NEUTRAL_CHROMA } from '../colour/intensity';
import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { familyOf, type Wheel } from '../colour/wheel';
import { paintOfColour } from '../mixing/colour-paint';
import { mixColour } from '../mixing/mix-lab';
import { paintColour } from '../mixing/paint';
import { opticsOf } from '../mixing/pigment';
import { TITANIUM_WHITE } from '../mixing/pigments/pigments';
import type { Picture } from '../picture/picture';
import { allSamples, mapByBin, colourHistogram } from '../picture/colour-histogram';
import { centresOf } from './centres';
import { labAt, samplesOf, type Samples } from './samples';

export const MIN_LIMITED = 3;
export const MAX_LIMITED = 8;
/** As many parts of one colour go to one part of another. */
const MAX_PARTS = 32;
/** Reached: within this CIEDE2000 of a mix. */
const REACHED = 5;
/** A field's rows: values by twos. */
export const FIELD_ROWS = 5;

export interface Reach {
  /** The strongest mix of each two values (rows from dark to light) and each family of the wheel; null where there is none. */
  field: ({ colour: Oklab; chroma: number } | null)[][];
  /** Share of the picture within CIEDE2000 5 of a mix, 0–1. */
  reached: number;
  /** What is not reached: its mean colour and share of the picture; null when all is reached. */
  beyond: { colour: Oklab; share: number } | null;
  mixes: number;
}

/**
 * What three to eight colours can make with titanium white: all mixes of two and of three, as paints of which
 * nothing but the colour is known (`paintOfColour`). It says what is out of reach, not in which parts.
 */
export function readReach(picture: Picture, colours: readonly Oklab[], wheel: Wheel): Reach {
  const mixes = mixesOf(colours);
  const histogram = colourHistogram(picture);
  const samples = samplesOf(histogram, histogram.share);
  const near = nearestMix(samples, mixes);
  const lost = Array.from(near.keys()).filter((k) => near[k] > REACHED);
  const share = lost.reduce((sum, k) => sum + samples.weight[k], 0);
  const mean = (c: number) =>
    lost.reduce((sum, k) => sum + samples.weight[k] * samples.lab[k * 3 + c], 0) / share;
  return {
    field: fieldOf(mixes, wheel),
    reached: Math.max(0, 1 - share),
    beyond:
      share > 1e-6 ? { share, colour: oklabFromLab({ L: mean(0), a: mean(1), b: mean(2) }) } : null,
    mixes: mixes.length,
  };
}

/** The same without a picture to hold it against. */
export function readMixes(colours: readonly Oklab[], wheel: Wheel): Pick<Reach, 'field' | 'mixes'> {
  const mixes = mixesOf(colours);
  return { field: fieldOf(mixes, wheel), mixes: mixes.length };
}

function mixesOf(colours: readonly Oklab[]): Oklab[] {
  if (colours.length < MIN_LIMITED || colours.length > MAX_LIMITED)
    throw new RangeError(
      `${colours.length} colours; a limited palette has ${MIN_LIMITED} to ${MAX_LIMITED}`,
    );
  return allMixes(colours);
}

/** For each pixel 1 where the mixes of some colours and white reach it, 0 where not, 255 where it is transparent. */
export function reachMap(picture: Picture, colours: readonly Oklab[]): Uint8Array {
  const histogram = colourHistogram(picture);
  const near = nearestMix(allSamples(histogram), allMixes(colours));
  return mapByBin(picture, histogram, (k) => (near[k] <= REACHED ? 1 : 0));
}

function fieldOf(mixes: readonly Oklab[], wheel: Wheel): Reach['field'] {
  const field: Reach['field'] = Array.from({ length: FIELD_ROWS }, () =>
    wheel.families.map(() => null),
  );
  for (const colour of mixes) {
    const chroma = oklchFromOklab(colour).C;
    if (chroma < NEUTRAL_CHROMA) continue;
    const row = Math.min(FIELD_ROWS - 1, Math.floor((valueOfOklab(colour) / 10) * FIELD_ROWS));
    const family = familyOf(colour, wheel).index;
    if (chroma > (field[row][family]?.chroma ?? 0)) field[row][family] = { colour, chroma };
  }
  return field;
}

/**
 * The colours themselves, titanium white, and their mixes of two and of three. A strong stainer is added by the
 * speck, so parts go by doubling, from one in thirty-two to thirty-two to one.
 */
export function allMixes(colours: readonly Oklab[]): Oklab[] {
  const white = opticsOf(TITANIUM_WHITE);
  const paints = [...colours.map(paintOfColour), white];
  const mixes = [...colours, paintColour(white)];
  const [twos, threes] = [partsOf(2), partsOf(3)];
  for (let i = 0; i < paints.length; i++)
    for (let j = i + 1; j < paints.length; j++) {
      for (const parts of twos) mixes.push(mixColour([paints[i], paints[j]], parts));
      for (let k = j + 1; k < paints.length; k++)
        for (const parts of threes) mixes.push(mixColour([paints[i], paints[j], paints[k]], parts));
    }
  return mixes;
}

/** All parts of so many colours that are powers of two up to `MAX_PARTS`, one of them being 1. */
function partsOf(count: number): number[][] {
  const powers: number[] = [];
  for (let part = 1; part <= MAX_PARTS; part *= 2) powers.push(part);
  let all: number[][] = [[]];
  for (let n = 0; n < count; n++)
    all = all.flatMap((parts) => powers.map((part) => [...parts, part]));
  return all.filter((parts) => Math.min(...parts) === 1);
}

/** For each tone the CIEDE2000 to the mix that DIN99d says is nearest. */
function nearestMix({ weight, lab, din }: Samples, mixes: readonly Oklab[]): Float64Array {
  const { lab: mixLab, din: mixDin, count } = centresOf(mixes, mixes.length);
  return Float64Array.from(weight, (_, k) => {
    let nearest = 0;
    let least = Infinity;
    for (let m = 0; m < count; m++) {
      const L = din[k * 3] - mixDin[m * 3];
      const a = din[k * 3 + 1] - mixDin[m * 3 + 1];
      const b = din[k * 3 + 2] - mixDin[m * 3 + 2];
      const away = L * L + a * a + b * b;
      if (away < least) {
        least = away;
        nearest = m;
      }
    }
    return ciede2000(labAt(lab, k), labAt(mixLab, nearest));
  });
}
