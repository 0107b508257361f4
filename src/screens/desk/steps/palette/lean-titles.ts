import type { Lean } from '@/core/palette/lean';

/** What extraction looks at, in words. */
export const LEAN_TITLES: Record<Lean, string> = {
  balanced: 'balanced',
  area: 'by area',
  accents: 'accents first',
  lights: 'the lights only',
  darks: 'the darks only',
  quiet: 'the quiet only',
  strong: 'the strong only',
};
