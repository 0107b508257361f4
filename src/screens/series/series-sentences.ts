import type { ValueScale } from '@/core/colour/value-scale';
import { NEUTRAL_CHROMA } from '@/core/colour/intensity';
import { oklchFromOklab } from '@/core/colour/oklab';
import { familyOf, type Wheel } from '@/core/colour/wheel';
import type { SeriesReading, Stray } from '@/core/palette/series';
import { list, percent, several, valueWords } from '@/ui/words';

/** How a series holds together, from 0 to 100, in words. */
function holdsWords(holds: number): string {
  if (holds >= 75) return 'hold together well';
  if (holds >= 55) return 'hold together';
  return holds >= 35 ? 'hold together loosely' : 'hardly hold together';
}

/** Whether they look like one hand, and what they share. */
export function seriesSentence(reading: SeriesReading, wheel: Wheel): string {
  const count = reading.members.length;
  const shared = reading.shared.map((index) => wheel.families[index]);
  const families =
    shared.length === 0
      ? 'no family is in all of them'
      : `${list(shared)} ${shared.length === 1 ? 'is' : 'are'} in all of them`;
  return `These ${several(count, 'palette')} ${holdsWords(reading.holds)} (${Math.round(reading.holds)} of 100); ${families}.`;
}

/** Ranges that are further apart than this, in Munsell steps, are worth a word. */
const RANGE_APART = 1.5;

/** Which members reach less far in value than the widest. */
export function rangeSentence(
  reading: SeriesReading,
  titles: readonly string[],
  scale: ValueScale,
): string | null {
  const widest = reading.members.reduce((best, one) =>
    one.value[1] - one.value[0] > best.value[1] - best.value[0] ? one : best,
  );
  const short = reading.members.flatMap(({ value }, i) =>
    widest.value[1] - widest.value[0] - (value[1] - value[0]) > RANGE_APART ? [titles[i]] : [],
  );
  if (short.length === 0) return null;
  return `Values reach from ${valueWords(widest.value[0], scale)} to ${valueWords(widest.value[1], scale)} at the widest; ${list(short)} ${short.length === 1 ? 'reaches' : 'reach'} less far.`;
}

/** A stray whose family has less of its palette may be left out without a loss. */
const SMALL = 0.06;

/**
 * What to do about a stray of a member: only a colour of its own family is worth going toward; where no other
 * picture has one, another takes it too, or this one does without it.
 */
export function straySentence(
  { name, colour, share, difference, kin, host }: Stray,
  member: number,
  titles: readonly string[],
  wheel: Wheel,
): string {
  const alone = `“${name}” has nothing near it (${difference.toFixed(0)})`;
  if (kin) return `${alone}: bring it toward “${kin.name}” of ${titles[kin.member]}.`;
  const isNeutral = oklchFromOklab(colour).C < NEUTRAL_CHROMA;
  const family = isNeutral ? 'neutral' : familyOf(colour, wheel).name;
  const none = `${alone}, and nothing in any other picture is ${family}`;
  return share < SMALL
    ? `${none}: all that is has ${percent(share)} of ${titles[member]}, which can do without.`
    : `${none}: let ${titles[host]}, which comes nearest, take it too.`;
}
