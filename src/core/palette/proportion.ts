import { oklchFromOklab, type Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';

export const ROLES = ['main', 'second', 'accent', 'light', 'dark', 'neutral', 'ground'] as const;
export type Role = (typeof ROLES)[number];
/** The roles that a proportion is kept between. */
export const PARTS = ['main', 'second', 'accent'] as const;
export type Part = (typeof PARTS)[number];

/** What main, second and accent are to take of what the three of them take: together 1. */
export type Target = Record<Part, number>;
export const DEFAULT_TARGET: Target = { main: 0.6, second: 0.3, accent: 0.1 };

export interface Weighed {
  colour: Oklab;
  share: number;
  role: Role | null;
}

export interface Proportion {
  /** For each colour its share of all weight, 0–1: darker and stronger is heavier. */
  weights: number[];
  /** For each part what it takes of the three, and what it is to take. */
  parts: { part: Part; share: number; target: number }[];
}

/** How much heavier the darkest is than the lightest, and what a chroma of 0.1 adds. */
const DARKNESS = 1.5;
const STRENGTH = 1;

/** How heavy a square of a colour is beside one of white, which is 1. */
export function heaviness(colour: Oklab): number {
  const dark = 1 - valueOfOklab(colour) / 10;
  return 1 + DARKNESS * dark + STRENGTH * (oklchFromOklab(colour).C / 0.1);
}

/** Each colour's visual weight, and the parts against their target. */
export function readProportion(swatches: readonly Weighed[], target: Target): Proportion {
  const raw = swatches.map(({ colour, share }) => share * heaviness(colour));
  const all = raw.reduce((sum, one) => sum + one, 0);
  const shareOf = (part: Part) =>
    swatches.reduce((sum, { role, share }) => sum + (role === part ? share : 0), 0);
  const three = PARTS.reduce((sum, part) => sum + shareOf(part), 0);
  return {
    weights: raw.map((one) => (all > 0 ? one / all : 0)),
    parts: PARTS.map((part) => ({
      part,
      share: three > 0 ? shareOf(part) / three : 0,
      target: target[part],
    })),
  };
}

/** Moves one part's target; the other two give or take in proportion to each other. Always together 1. */
export function withTarget(target: Target, part: Part, to: number): Target {
  const bounded = Math.min(0.98, Math.max(0.01, to));
  const others = PARTS.filter((one) => one !== part);
  const were = others.reduce((sum, one) => sum + target[one], 0);
  const left = 1 - bounded;
  const next = { ...target, [part]: bounded };
  for (const one of others) next[one] = were > 0 ? (target[one] / were) * left : left / 2;
  return next;
}

/** Roles for a palette that has none: the largest is main, the next second, small strong ones accents. */
export function suggestedRoles(swatches: readonly Weighed[]): (Role | null)[] {
  const chroma = ({ colour }: Weighed) => oklchFromOklab(colour).C;
  const mean = swatches.reduce((sum, one) => sum + chroma(one) * one.share, 0);
  const bySize = Array.from(swatches.keys()).sort(
    (i, j) => swatches[j].share - swatches[i].share || i - j,
  );
  const isAccent = (i: number) => swatches[i].share <= 0.12 && chroma(swatches[i]) >= mean + 0.04;
  const large = bySize.filter((i) => !isAccent(i));
  return swatches.map((_, i) => {
    if (isAccent(i)) return 'accent';
    if (i === large[0]) return 'main';
    return i === large[1] ? 'second' : null;
  });
}
