import { maxChroma } from '../colour/gamut';
import { bytesFromOklab } from '../colour/hex';
import { oklabDistance, oklabFromOklch, type Oklab } from '../colour/oklab';
import { randomFrom } from '../seeded';
import { paintedBy } from '../testing';
import { extractPalette } from './extract';

/** The middle of each of the twelve families, degrees of OKLCH hue. */
const FAMILIES = [25, 39, 55, 76, 100, 125, 152, 198, 258, 288, 314, 350];
const WIDTH = 320;
const HEIGHT = 240;
const RADIUS = 15;

/** Greys from dark to light with grain, and one small ball of a hue that turns softly down to the dull. */
function ballOnGreys(hue: number, seed: number) {
  const random = randomFrom(seed);
  const L = 0.45 + 0.3 * random();
  const C = Math.min(0.13, 0.9 * maxChroma(L, hue));
  const [x0, y0] = [60 + 200 * random(), 50 + 140 * random()];
  const shade = (light: number): Oklab => {
    const dimmed = 0.45 + 0.55 * light;
    return oklabFromOklch({ L: 1.1 * L * dimmed, C: C * dimmed, h: hue });
  };
  const picture = paintedBy(WIDTH, HEIGHT, (x, y) => {
    const u = (x - x0) / RADIUS;
    const v = (y - y0) / RADIUS;
    const z = Math.sqrt(Math.max(0, 1 - u * u - v * v));
    const colour =
      z > 0
        ? shade(Math.max(0, 0.62 * z - 0.5 * u - 0.6 * v))
        : { L: 0.28 + 0.5 * (x / WIDTH) + 0.05 * Math.sin(y / 30), a: 0.003, b: -0.002 };
    const grain = () => 3 * (random() + random() - 1);
    const [r, g, b] = bytesFromOklab(colour);
    return [r + grain(), g + grain(), b + grain()];
  });
  return { picture, shades: [0.2, 0.4, 0.6, 0.8, 1].map(shade) };
}

it.each([5, 8, 12])(
  'a small, softly shaded thing of any family on greys is kept, at %i colours',
  (count) => {
    const missed = FAMILIES.filter((hue) => {
      const { picture, shades } = ballOnGreys(hue, hue);
      const { swatches } = extractPalette(picture, { count });
      return !swatches.some(({ colour }) =>
        shades.some((own) => oklabDistance(own, colour) < 0.05),
      );
    });
    expect(missed).toEqual([]);
  },
);
