import { onScale, type ValueScale } from '@/core/colour/value-scale';

/** A share (0–1) in words: "46 %", "under 1 %". */
export function percent(share: number): string {
  if (share > 0 && share < 0.005) return 'under 1 %';
  return `${Math.round(share * 100)} %`;
}

/** A Munsell value on the person's scale, to one place. */
export function valueWords(value: number, scale: ValueScale): string {
  return onScale(value, scale).toFixed(1);
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
