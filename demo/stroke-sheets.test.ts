import { ciede2000 } from '../src/core/colour/ciede2000';
import { labFromOklab } from '../src/core/colour/cielab';
import { toGamut } from '../src/core/colour/gamut';
import { oklabFromOklch } from '../src/core/colour/oklab';
import { readSheet } from '../src/core/sheet/read-sheet';
import { chance } from './painter/chance';
import { strokeSheet } from './painter/stroke-sheet';

const MAX_CORRECTIONS = 3;

/** A sheet of a hundred, with all that chance makes of perspective, shadow, light and noise. */
function sheetOf(seed: number) {
  const random = chance(seed * 7919);
  const colours = Array.from({ length: 100 }, () =>
    toGamut(
      oklabFromOklch({ L: 0.2 + 0.76 * random(), C: 0.16 * random() ** 1.5, h: 360 * random() }),
    ),
  );
  const columns = [10, 8, 12, 20, 5][seed % 5];
  return strokeSheet({
    seed,
    columns,
    colours,
    width: 1400,
    height: columns === 5 ? 1900 : 1050,
    tilt: random(),
    shadow: 0.6 * random(),
    grain: 1 + 4 * random(),
    light: [1, 0.93 + 0.07 * random(), 0.8 + 0.2 * random()],
  });
}

it.each([201, 202, 203, 204, 205, 206, 207, 208])(
  'sheet %i of a hundred strokes takes at most three corrections, and its colours hold',
  (seed) => {
    const { picture, places } = sheetOf(seed);
    const { strokes: found } = readSheet(picture);
    const misses: number[] = [];
    let corrections = Math.abs(found.length - places.length);
    places.forEach(({ x, y, colour }, i) => {
      const at = found.length > i ? found[i] : null;
      const away = at ? Math.hypot(at.x - x, at.y - y) : Infinity;
      const miss = at ? ciede2000(labFromOklab(at.colour), labFromOklab(colour)) : Infinity;
      if (away > 0.03 || miss > 10) corrections++;
      else misses.push(miss);
    });
    expect(corrections).toBeLessThanOrEqual(MAX_CORRECTIONS);
    misses.sort((one, other) => one - other);
    expect(misses[50]).toBeLessThan(1);
    expect(misses[Math.floor(misses.length * 0.95)]).toBeLessThan(5);
  },
);
