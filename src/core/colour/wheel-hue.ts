import type { Oklab } from './oklab';
import type { Wheel } from './wheel';

/**
 * The OKLCH hue (degrees) of a colour that stands at a hue of a wheel's own circle. They are the same
 * on the painters' and the even wheel; the screen's hues are HSV's and depend on the whole colour, so
 * there it is sought, degree by degree, among the colours that `colourAt` has for OKLCH hues.
 */
export function oklchHueOn(
  hue: number,
  wheel: Wheel,
  colourAt: (oklchHue: number) => Oklab,
): number {
  if (wheel.id !== 'screen') return hue;
  let best = 0;
  let least = Infinity;
  for (let h = 0; h < 360; h++) {
    const off = Math.abs(((wheel.hueOf(colourAt(h)) - hue + 540) % 360) - 180);
    if (off < least) {
      least = off;
      best = h;
    }
  }
  return best;
}
