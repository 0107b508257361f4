import { valueOfOklab } from '../colour/value';
import { mixColour } from './mix-lab';
import { mixed, paintColour } from './paint';
import type { Optics } from './pigment';
import { kindOf, type Tube } from './tube';

/** Munsell steps within which a paint is at a value already. */
const AT_VALUE = 0.1;
/** Halvings of the share: to a millionth, since a strong stainer takes no more. */
const HALVINGS = 24;

/** What lightens and what darkens a paint; without one that way is closed. */
export interface Adjusters {
  white: Tube | null;
  dark: Tube | null;
}

/** A paint at a value: its tube alone, or with so large a share of what lightens or darkens it. */
export interface PaintAtValue {
  optics: Optics;
  /** Shares, which sum to 1; the paint's own before the other's. */
  parts: { tube: Tube; share: number }[];
}

/** The share of `other` (0–1) with which a mixture has a value; null where even `other` alone is not so far. */
export function shareForValue(paint: Optics, other: Optics, value: number): number | null {
  const at = (share: number) => valueOfOklab(mixColour([paint, other], [1 - share, share]));
  const rises = at(1) > at(0);
  const isBelow = (share: number) => (rises ? at(share) < value : at(share) > value);
  if (isBelow(1) || !isBelow(0)) return null;
  let [low, high] = [0, 1];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (isBelow(middle)) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** A tube brought to a Munsell value by white or by a dark; null where that takes it nowhere near. */
export function broughtTo(
  tube: Tube,
  value: number,
  { white, dark }: Adjusters,
): PaintAtValue | null {
  const own = valueOfOklab(paintColour(tube.optics));
  if (Math.abs(own - value) <= AT_VALUE)
    return { optics: tube.optics, parts: [{ tube, share: 1 }] };
  const other = own < value ? white : dark;
  if (!other || other.id === tube.id) return null;
  const share = shareForValue(tube.optics, other.optics, value);
  if (share === null) return null;
  return {
    optics: mixed([
      { optics: tube.optics, parts: 1 - share },
      { optics: other.optics, parts: share },
    ]),
    parts: [
      { tube, share: 1 - share },
      { tube: other, share },
    ],
  };
}

/** Of some tubes what lightens, the lightest white, and what darkens: a black, or else the darkest of all. */
export function adjustersOf(tubes: readonly Tube[]): Adjusters {
  const value = ({ optics }: Tube) => valueOfOklab(paintColour(optics));
  const lightest = (some: readonly Tube[]) =>
    some.toSorted((a, b) => value(b) - value(a))[0] ?? null;
  const others = tubes.filter((tube) => kindOf(tube) !== 'white');
  const blacks = others.filter((tube) => kindOf(tube) === 'black');
  return {
    white: lightest(tubes.filter((tube) => kindOf(tube) === 'white')),
    dark: (blacks.length > 0 ? blacks : others).toSorted((a, b) => value(a) - value(b))[0] ?? null,
  };
}
