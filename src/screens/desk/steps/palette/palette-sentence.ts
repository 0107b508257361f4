import { valueOfOklab } from '@/core/colour/value';
import type { ValueScale } from '@/core/colour/value-scale';
import type { TraySwatch } from '@/contracts/study';
import { capital, percent, several, valueWords } from '@/ui/words';

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
