import { oklchFromOklab, type Oklch } from '../colour/oklab';
import { mixed, paintColour } from './paint';
import { opticsOf } from './pigment';
import { TITANIUM_WHITE } from './pigments/pigments';
import { kindOf, type Tube } from './tube';

/** What dulls a mixture: nothing, the complement, an earth, a grey (black with white) or black alone. */
export const ROUTES = ['straight', 'complement', 'earth', 'grey', 'black'] as const;
export type Route = (typeof ROUTES)[number];

/** Hues at least this far apart (degrees of OKLCH) dull each other. */
export const OPPOSED = 110;

/** The route of a recipe, by its tubes. */
export function routeOf(parts: readonly { tube: Tube }[]): Route {
  const kinds = parts.map(({ tube }) => kindOf(tube));
  if (kinds.includes('black')) return kinds.includes('white') ? 'grey' : 'black';
  const hues = parts.filter((_, i) => kinds[i] === 'colour').map(({ tube }) => tintHue(tube));
  const opposed = hues.some((one) => hues.some((other) => hueDistance(one, other) >= OPPOSED));
  if (opposed) return 'complement';
  return kinds.includes('earth') ? 'earth' : 'straight';
}

const tints = new WeakMap<Tube, Oklch>();

/** A tube in four of white, where even the darkest shows what it is. */
export function tintOf(tube: Tube): Oklch {
  const known = tints.get(tube);
  if (known !== undefined) return known;
  const tint = oklchFromOklab(
    paintColour(
      mixed([
        { optics: tube.optics, parts: 1 },
        { optics: opticsOf(TITANIUM_WHITE), parts: 4 },
      ]),
    ),
  );
  tints.set(tube, tint);
  return tint;
}

/** The hue of a tube in white, degrees of OKLCH. */
export const tintHue = (tube: Tube): number => tintOf(tube).h;

/** Degrees between two hues, 0–180. */
export function hueDistance(one: number, other: number): number {
  const apart = Math.abs(one - other) % 360;
  return Math.min(apart, 360 - apart);
}
