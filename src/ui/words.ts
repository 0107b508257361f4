import { onScale, stepOf, type ValueScale } from '@/core/colour/value-scale';

/** A share (0–1) in words: "46 %", "under 1 %". */
export function percent(share: number): string {
  if (share > 0 && share < 0.005) return 'under 1 %';
  return `${Math.round(share * 100)} %`;
}

/** A Munsell value on the person's scale, to one place. */
export function valueWords(value: number, scale: ValueScale): string {
  return onScale(value, scale).toFixed(1);
}

/** A difference of value (Munsell steps) in steps of the person's scale: "0.4 of a step", "1.4 steps". */
export function stepWords(difference: number, scale: ValueScale): string {
  const steps = Math.abs(difference) / stepOf(scale);
  if (steps < 0.05) return 'no step';
  if (steps >= 0.95 && steps < 1.05) return 'one step';
  return steps < 1 ? `${steps.toFixed(1)} of a step` : `${steps.toFixed(1)} steps`;
}

const NUMBERS = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
];

/** A small whole number as a word, a large one in figures. */
export function count(n: number): string {
  return NUMBERS[n] ?? String(n);
}

/** "one colour", "three colours". */
export function several(n: number, singular: string, plural = `${singular}s`): string {
  return `${count(n)} ${n === 1 ? singular : plural}`;
}

/** "a, b and c". */
export function list(words: readonly string[]): string {
  if (words.length < 2) return words.join('');
  return `${words.slice(0, -1).join(', ')} and ${words[words.length - 1]}`;
}

export function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
