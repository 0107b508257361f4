import { colourName, shortName } from '@/core/colour/name';
import type { Oklab } from '@/core/colour/oklab';
import type { AccentPlace } from '@/core/measure/accents';
import type { ChromaReading } from '@/core/measure/chroma';
import { leadingFits, type HarmonyReading } from '@/core/measure/harmony';
import { huesItIsIn, type HueReading } from '@/core/measure/hues';
import type { KeyColour } from '@/core/measure/key-colour';
import type { ReadsAs } from '@/core/measure/reads-as';
import type { TemperatureReading } from '@/core/measure/temperature-spread';
import { leanBetween, type WarmCoolReading } from '@/core/measure/warm-cool';
import { placeWords } from '@/core/picture/place-words';
import { capital, list, percent } from '@/ui/words';

const BANDS = ['darkest', 'dark', 'middle', 'light', 'lightest'];
/** From this share of a band's coloured area on, the key is there. */
const THERE = 0.1;

/** What colours the picture is in, how much of each, and the key. */
export function huesSentence(reading: HueReading, key: KeyColour | null): string {
  const { neutral } = reading;
  const named = huesItIsIn(reading);
  if (named.length === 0) return `It is in greys: ${percent(neutral)} of it is neutral.`;
  const hues = list(named.map(({ family, share }) => `${family} ${percent(share)}`));
  const neutrals = neutral >= 0.1 ? `, with ${percent(neutral)} neutral` : '';
  return `It is in ${hues}${neutrals}.${key ? ` ${keySentence(key)}` : ''}`;
}

/** Where the key colour turns up. */
export function keySentence({ family, bands }: KeyColour): string {
  const there = bands.flatMap(({ share }, i) => (share >= THERE ? [BANDS[i]] : []));
  if (there.length === bands.length)
    return `The key is ${family}: it is in the darks, the middles and the lights.`;
  const missing = bands.findIndex(({ share }) => share < THERE);
  if (there.length === bands.length - 1)
    return `The key is ${family}, in all but the ${BANDS[missing]} fifth of its values.`;
  if (there.length === 0) return `The key, as far as there is one, is ${family}.`;
  return `The key is ${family}, in the ${list(there)} fifth${there.length > 1 ? 's' : ''} of its values.`;
}

/** From this lean on, two colours are not alike in temperature. */
const SAME_LEAN = 0.08;

/** Which side is the warmer, by pairs of one colour in both lights, and where the extremes lie. */
export function warmthSentence({
  verdict,
  votes,
  by,
  warmest,
  coolest,
}: TemperatureReading & WarmCoolReading): string {
  const ends = `It is warmest ${placeWords(warmest)} (${shortName(warmest.colour)}) and coolest ${placeWords(coolest)} (${shortName(coolest.colour)}).`;
  if (verdict === null) return `No colour stands in the light beside itself in the shadow. ${ends}`;
  if (verdict === 'alike') return `Light and shadow are alike in temperature. ${ends}`;
  if (verdict === 'mixed')
    return `The light is mixed: warmer than its shadow in ${percent(votes.warmer)} of what can be told, cooler in ${percent(votes.cooler)}. ${ends}`;
  return `The light is ${verdict} than the shadow, by ${(by ?? 0).toFixed(1)} where one colour stands in both. ${ends}`;
}

/** What a lean between a colour in the light and in the shadow is called. */
export function leanWords(lean: number): string {
  if (Math.abs(lean) < SAME_LEAN) return 'alike';
  return `${lean > 0 ? 'warmer' : 'cooler'} ${Math.abs(lean).toFixed(1)}`;
}

/** What a pair of one's own says, the lighter taken for the light. */
export function pairSentence(one: Oklab, other: Oklab): string {
  const [light, shadow] = one.L >= other.L ? [one, other] : [other, one];
  const lean = leanBetween(light, shadow);
  if (Math.abs(lean) < SAME_LEAN) return 'Brought to one value, the two are alike in temperature.';
  return `Brought to one value, the lighter is ${lean > 0 ? 'warmer' : 'cooler'} by ${Math.abs(lean).toFixed(1)}.`;
}

/** How much is strong, and where it lives. */
export function chromaSentence({
  words,
  strongInLight,
  accents,
}: ChromaReading & { accents: readonly AccentPlace[] }): string {
  const strong = words.strong + words.vivid;
  const quiet = `${percent(words.neutral + words.greyed)} of it is greyed or neutral`;
  if (strong < 0.001 || strongInLight === null) {
    const most = words.moderate >= 0.01 ? 'moderate' : words.dull >= 0.01 ? 'dull' : 'greyed';
    return `Nothing is strong; the most it has is ${most}, and ${quiet}.`;
  }
  const where =
    strongInLight > 0.9
      ? 'nearly all of that lies in the light'
      : strongInLight < 0.1
        ? 'nearly all of that lies in the shadow'
        : `${percent(strongInLight)} of that lies in the light`;
  const accent = accents[0]
    ? ` The strongest accent is ${shortName(accents[0].colour)}, ${placeWords(accents[0])}: ${percent(accents[0].share)}.`
    : '';
  return `Strong or vivid is ${percent(strong)} of it and ${where}; ${quiet}.${accent}`;
}

/** The scheme it is near, or the two, or that none stands out; what falls outside the best. */
export function harmonySentence({ fits, outside, coloured }: HarmonyReading): string {
  const [best, second, ...others] = leadingFits(fits);
  if (!best)
    return `Near neutral: ${percent(coloured)} of it is more than greyed; no scheme to speak of.`;
  if (others.length > 0) {
    const all = [best, second, ...others].map(
      ({ scheme, fit }) => `${scheme} (${Math.round(fit)})`,
    );
    return `No scheme stands out: ${list(all)} fit it about as well.`;
  }
  const also = second ? ` or ${second.scheme} (${Math.round(second.fit)})` : '';
  const breaks = outside[0]
    ? ` ${capital(outside[0].family)} stands outside the scheme: ${percent(outside[0].share)}${outside[0].kind === 'accent' ? ', an accent' : ''}.`
    : '';
  return `It is nearest to ${best.scheme} (${Math.round(best.fit)} of 100)${also}.${breaks}`;
}

/** Those that come to be called something else, the ones pushed most first. */
export function renamed(reading: readonly ReadsAs[]): ReadsAs[] {
  return reading.filter(({ colour, reads }) => colourName(colour) !== colourName(reads));
}

/** Which grey is pushed most by its surround. */
export function readsAsSentence(reading: readonly ReadsAs[]): string {
  const [most] = reading;
  if (!most) return 'No near-neutral here reads as anything else beside what surrounds it.';
  return `${capital(shortName(most.colour))}, ${placeWords(most.place)}, reads as ${colourName(most.reads)} beside ${shortName(most.surround)}: an estimate.`;
}
