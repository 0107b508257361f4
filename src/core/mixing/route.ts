import { oklchFromOklab } from '../colour/oklab';
import { mixed, paintColour } from './paint';
import { opticsOf } from './pigment';
import { TITANIUM_WHITE } from './pigments/pigments';
import { kindOf, type Tube } from './tube';

/** What dulls a mixture: nothing, the complement, an earth, a grey (black with white) or black alone. */
export const ROUTES = ['straight', 'complement', 'earth', 'grey', 'black'] as const;
export type Route = (typeof ROUTES)[number];

/** Hues at least this far apart (degrees of OKLCH) dull each other. */
const OPPOSED = 110;

/** The route of a recipe, by its tubes. */
export function routeOf(parts: readonly { tube: Tube }[]): Route {
  const kinds = parts.map(({ tube }) => kindOf(tube));
  if (kinds.includes('black')) return kinds.includes('white') ? 'grey' : 'black';
  const hues = parts.filter((_, i) => kinds[i] === 'colour').map(({ tube }) => tintHue(tube));
  const opposed = hues.some((one) => hues.some((other) => hueDistance(one, other) >= OPPOSED));
  if (opposed) return 'complement';
  return kinds.includes('earth') ? 'earth' : 'straight';
}

const tintHues = new WeakMap<Tube, number>();

/** The hue of a tube in a little white, where even the darkest shows what it is; degrees of OKLCH. */
export function tintHue(tube: Tube): number {
  const known = tintHues.get(tube);
  if (known !== undefined) return known;
  const { h } = oklchFromOklab(
    paintColour(
      mixed([
        { optics: tube.optics, parts: 1 },
        { optics: opticsOf(TITANIUM_WHITE), parts: 4 },
      ]),
    ),
  );
  tintHues.set(tube, h);
  return h;
}

function hueDistance(one: number, other: number): number {
  const apart = Math.abs(one - other) % 360;
  return Math.min(apart, 360 - apart);
}
