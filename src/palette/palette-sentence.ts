import { shortName } from '@/core/colour/name';
import { valueOfOklab } from '@/core/colour/value';
import type { ValueScale } from '@/core/colour/value-scale';
import type { TraySwatch } from '@/contracts/study';
import type { Fit } from '@/core/palette/missing';
import type { Proportion } from '@/core/palette/proportion';
import { capital, count, list, percent, several, valueWords } from '@/ui/words';

/** A gap in value wider than this, in Munsell steps, is worth a word. */
const GAP = 1.5;

/** The widest step between neighbouring values of a palette, if it is a gap. */
export function widestGap(
  swatches: readonly Pick<TraySwatch, 'colour'>[],
): { from: number; to: number } | null {
  const values = swatches.map((swatch) => valueOfOklab(swatch.colour)).sort((a, b) => a - b);
  let widest: { from: number; to: number } | null = null;
  for (let i = 1; i < values.length; i++) {
    const width = values[i] - values[i - 1];
    if (width > GAP && width > (widest ? widest.to - widest.from : 0))
      widest = { from: values[i - 1], to: values[i] };
  }
  return widest;
}

/** The finding of the step: how many, from where to where, what takes most. */
export function paletteSentence(swatches: readonly TraySwatch[], scale: ValueScale): string {
  if (swatches.length === 0)
    return 'No colours yet: extract some, or click the picture to pick one.';
  const values = swatches.map((swatch) => valueOfOklab(swatch.colour));
  const most = swatches.reduce((a, b) => ((b.share ?? 0) > (a.share ?? 0) ? b : a));
  const range =
    swatches.length > 1
      ? `, from value ${valueWords(Math.min(...values), scale)} to ${valueWords(Math.max(...values), scale)}`
      : `, at value ${valueWords(values[0], scale)}`;
  const share =
    most.share === null ? '' : ` ${capital(most.name)} takes most, ${percent(most.share)}.`;
  return `${capital(several(swatches.length, 'colour'))}${range}.${share}`;
}

/** How many different colours there are, near-duplicates counted once. */
export function duplicatesSentence(swatches: number, groups: readonly number[]): string {
  if (swatches < 2) return 'There are not yet two colours to hold against each other.';
  if (groups.length === 0) return 'No two are this near to each other.';
  const doubled = groups.reduce((sum, members) => sum + members - 1, 0);
  return `${capital(several(swatches, 'colour'))} are really ${count(swatches - doubled)}.`;
}

/** How far a part may be off its target before it is worth a word: some of the target, and a little more. */
const loose = (target: number) => 0.25 * target + 0.02;

/** What dominates, and which part takes more or less than it is to. */
export function proportionSentence(
  swatches: readonly TraySwatch[],
  { weights, parts }: Proportion,
): string {
  if (swatches.length === 0) return 'No colours yet to compare.';
  const shares = swatches.map(({ share }) => share ?? 0);
  const largest = shares.indexOf(Math.max(...shares));
  const heaviest = weights.indexOf(Math.max(...weights));
  const dominates =
    largest === heaviest
      ? `${capital(swatches[largest].name)} dominates: ${percent(shares[largest])} of the picture and ${percent(weights[heaviest])} of its weight.`
      : `${capital(swatches[largest].name)} takes most, ${percent(shares[largest])}, but ${swatches[heaviest].name} weighs most.`;
  if (parts.every(({ share }) => share === 0)) return dominates;
  const off = parts.filter(({ share, target }) => Math.abs(share - target) > loose(target));
  if (off.length === 0) return `${dominates} Main, second and accent are as they are to be.`;
  const words = off.map(
    ({ part, share, target }) => `the ${part} has ${share > target ? 'more' : 'less'}`,
  );
  return `${dominates} Against the target ${list(words)}.`;
}

/** How well the palette holds the picture. */
export function testSentence({ mean, failed, missing }: Fit, colours: number): string {
  const away = `On average the picture is ${mean.toFixed(1)} from ${colours === 1 ? 'this colour' : `these ${count(colours)}`}`;
  if (failed < 0.005) return `${away}, and nothing of it is lost.`;
  const most = missing[0] ? `; most of that is ${shortName(missing[0].colour)}` : '';
  return `${away}; they fail ${percent(failed)} of it${most}.`;
}
