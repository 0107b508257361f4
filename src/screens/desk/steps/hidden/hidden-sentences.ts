import type { GuardReading, Guard } from '@/core/amplify/guards';
import type { Wheel } from '@/core/colour/wheel';
import type { HiddenColour } from '@/core/amplify/hidden';
import type { ValueLock } from '@/core/amplify/value-lock';
import { capital, percent, several } from '@/ui/words';

const COUNTS = [
  'No',
  'One',
  'Two',
  'Three',
  'Four',
  'Five',
  'Six',
  'Seven',
  'Eight',
  'Nine',
  'Ten',
  'Eleven',
  'Twelve',
];

/** What is hidden, in a sentence: how many, and the surest of them. */
export function hiddenSentence(colours: readonly HiddenColour[]): string {
  if (colours.length === 0)
    return 'Nothing is hidden here: no part departs from the overall tint by more than its noise.';
  const [first, second] = colours;
  const count =
    colours.length === 1 ? 'One quiet colour' : `${COUNTS[colours.length]} quiet colours`;
  const where = (one: HiddenColour) => `${one.readsAs} ${one.place}`;
  return second
    ? `${count} the eye passes over, ${where(first)} before all.`
    : `${count} the eye passes over: ${where(first)}.`;
}

/** How far a colour shifts when it is strengthened, in a word; the ΔE00 stands in the details. */
export function shiftWord(moved: number): string {
  if (moved < 4) return 'slight shift';
  return moved < 10 ? 'shift' : moved < 20 ? 'clear shift' : 'strong shift';
}

export function sureWord(sureness: number): string {
  if (sureness >= 0.85) return 'quite sure';
  return sureness >= 0.68 ? 'fairly sure' : 'not sure';
}

/** How near a guessed family comes to what a place departs to, which a grey's own reading can't say. */
export function departureSentence(guessed: number, family: string, wheel: Wheel): string {
  const count = wheel.families.length;
  const away = Math.abs(guessed - wheel.families.indexOf(family));
  const off = Math.min(away, count - away);
  if (off === 0) return `Against its surroundings it is ${family}, as you said.`;
  return `Against its surroundings it is ${family}; ${wheel.families[guessed]} is ${several(off, 'family', 'families')} off.`;
}

/** What there is to say against a push, in a sentence each. */
export function guardSentence(guard: Guard, { before, after, noise, cast }: GuardReading): string {
  switch (guard) {
    case 'too strong':
      return `${percent(after.strong)} of the picture is strong or vivid now, where it was ${percent(before.strong)}: when everything is loud, nothing stands out.`;
    case 'greens':
      return `${percent(after.greens)} are greens past what foliage does. Leave green alone, or strengthen less.`;
    case 'no neutrals':
      return `${capital(percent(after.neutral))} is still neutral, where it was ${percent(before.neutral)}. Leave some, so that colour has something to stand against.`;
    case 'noise':
      return `Noise is high here (${noise.toFixed(3)} in a and b): what is strengthened may be the camera’s, not the place’s.`;
    case 'lossy':
      return 'The file is a JPEG of low quality: it has rounded quiet colours off. Look for a better copy before trusting these.';
    case 'cast':
      return `The whole leans to one side by ${cast.toFixed(3)}. If that is the photograph and not the light, take a neutral point first, in Look.`;
  }
}

/** What the push did to the whole, when there is nothing to say against it. */
export function calmSentence({ before, after }: GuardReading): string {
  return `${capital(percent(after.neutral))} stays neutral, where it was ${percent(before.neutral)}; ${percent(after.strong)} is strong or vivid.`;
}

export function lockSentence({ mean, most }: ValueLock): string {
  if (mean === 0) return 'Values are held: the greys of both are the same picture.';
  return `Values are held: the greys of both differ by ${mean.toFixed(2)} L* on average, and by less than ${most.toFixed(1)} in 99 places of 100.`;
}
