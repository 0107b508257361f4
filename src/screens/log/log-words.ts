import { formatDistance } from 'date-fns';
import type { Habits, Suggestion } from '@/core/session/habits';
import { MIN_COUNT, type RecurringMistake, type Trend } from '@/core/session/recurring';
import { capital, several } from '@/ui/words';
import type { LogEntry } from './log-entries';

export const TREND_WORDS: Readonly<Record<Trend, string>> = {
  fades: 'fades',
  stays: 'stays',
  grows: 'grows',
  'too few': 'too few to tell',
};

/** Milliseconds as hours, to the half: "12 ½ hours". */
export function hoursWords(milliseconds: number): string {
  const halves = Math.round(milliseconds / 1_800_000);
  if (halves === 0) return 'under half an hour';
  if (halves === 1) return 'half an hour';
  const whole = Math.floor(halves / 2);
  return halves % 2 === 1 ? `${whole} ½ hours` : several(whole, 'hour');
}

/** What the Log says first. */
export function logSentence(
  entries: readonly LogEntry[],
  mistakes: readonly RecurringMistake[],
): string {
  if (entries.length === 0)
    return 'Nothing was painted by the clock yet. Begin a session from a study’s last step, Check.';
  const time = entries.reduce((sum, { painted }) => sum + painted, 0);
  const whole = `${capital(several(entries.length, 'study', 'studies'))}, ${hoursWords(time)} at the easel.`;
  const again = mistakes.filter(({ count }) => count >= MIN_COUNT);
  if (again.length === 0) return whole;
  const checked = again[0].points.length;
  const [first] = again;
  const faded = again.filter(({ trend }) => trend === 'fades').map(({ kind }) => kind);
  const fades = faded.length > 0 ? ` Fading: ${faded.slice(0, 2).join(' and ')}.` : '';
  return `${whole} What comes back most is “${first.kind}”, in ${first.count} of ${checked} that were checked.${fades}`;
}

/** What was not tried, as something to do. */
export function suggestionWords({ kind, what, last }: Suggestion, now: number): string {
  const when = last === null ? 'yet' : `for ${formatDistance(last, now)}`;
  switch (kind) {
    case 'key':
      return `No study in a ${what} key ${when}.`;
    case 'range':
      return `No study with a ${what} range of values ${when}.`;
    case 'hue':
      return `Nothing that leans on ${what} ${when}.`;
    case 'aim':
      return `Nothing with the aim “${what}” ${when}.`;
  }
}

/** What one keeps to, in a sentence. */
export function habitSentence({ studies, keys, ranges, means }: Habits): string {
  if (studies === 0) return 'Habits show once studies were checked.';
  const most = <K extends string>(counts: Record<K, readonly [number, number]>): K =>
    (Object.keys(counts) as K[]).reduce((a, b) => (counts[b][0] > counts[a][0] ? b : a));
  const chroma = means.find(({ name }) => name === 'chroma');
  const against =
    chroma && chroma.models !== null && Math.abs(chroma.own / chroma.models - 1) > 0.08
      ? ` Your colours are ${chroma.own > chroma.models ? 'stronger' : 'duller'} than those you study, by ${Math.round(Math.abs(chroma.own / chroma.models - 1) * 100)} %.`
      : '';
  return `You keep to a ${most(keys)} key and a ${most(ranges)} range.${against}`;
}
