import type { MoodSettings } from '@/core/transfer/moods';
import { percent } from '@/ui/words';

/** A slider of a mood. */
export interface MoodMove {
  key: keyof MoodSettings;
  label: string;
  min: number;
  max: number;
  step: number;
  words: (at: number) => string;
}

const signed = (at: number) => `${at > 0 ? '+' : at < 0 ? '−' : ''}${Math.abs(at).toFixed(1)}`;
const degrees = (at: number) => `${Math.round(at)}°`;
const hundredths = (at: number) => String(Math.round(at * 1000) / 10);

export const MOVES: readonly MoodMove[] = [
  { key: 'key', label: 'Key', min: -4, max: 4, step: 0.1, words: signed },
  { key: 'range', label: 'Range', min: 0.2, max: 1.6, step: 0.01, words: percent },
  { key: 'apart', label: 'Light from shadow', min: -1, max: 2, step: 0.1, words: signed },
  { key: 'chroma', label: 'Strength', min: 0, max: 1.5, step: 0.01, words: percent },
  { key: 'air', label: 'Air', min: 0, max: 1, step: 0.01, words: percent },
];

export const HUES: readonly MoodMove[] = [
  { key: 'lightHue', label: 'Hue of the light', min: 0, max: 360, step: 1, words: degrees },
  {
    key: 'lightChroma',
    label: 'How much of it',
    min: 0,
    max: 0.12,
    step: 0.001,
    words: hundredths,
  },
  { key: 'shadowHue', label: 'Hue of the shadow', min: 0, max: 360, step: 1, words: degrees },
  {
    key: 'shadowChroma',
    label: 'How much of that',
    min: 0,
    max: 0.12,
    step: 0.001,
    words: hundredths,
  },
  { key: 'greens', label: 'Greens cool by', min: -20, max: 30, step: 1, words: degrees },
];
