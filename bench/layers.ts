import { atValue } from '../src/core/colour/at-value';
import type { Oklab } from '../src/core/colour/oklab';
import { pencilOf } from '../src/core/mixing/pencil-optics';
import { pencilRecipes } from '../src/core/mixing/pencil-recipes';
import { platesOf } from '../src/core/mixing/plates';
import { stickRecipes } from '../src/core/mixing/sticks';
import { stickSet } from '../src/core/mixing/testing/stick-sets';
import { pictureOf } from '../src/core/picture/picture';

const COLOURS = 16;
const STICKS = 120;
const PENCILS = 72;
const SIDE = 1600;

/** What a palette of sixteen costs in media that are laid in layers, and plates of a working copy. */
export function benchLayers(): void {
  console.log('\nLayers:');
  const palette = Array.from({ length: COLOURS }, (_, i) =>
    atValue(1.5 + i / 2, i * 47, () => 0.02 + 0.01 * (i % 8)),
  );
  const set = stickSet(12, [1.8, 3, 4.5, 6, 7.5]);
  const sticks = [...set, ...set].slice(0, STICKS).map((stick, i) => ({ ...stick, id: String(i) }));
  report(`${COLOURS} colours of ${STICKS} sticks`, () =>
    palette.map((colour) => stickRecipes(colour, sticks)),
  );
  const pencils = stickSet(9, [2, 4, 6, 8])
    .slice(0, PENCILS)
    .map(({ id, colour }) => pencilOf(id, colour));
  const white = pencilOf('white', { L: 0.97, a: 0, b: 0 });
  report(`${COLOURS} colours of ${PENCILS} pencils`, () =>
    palette.map((colour) => pencilRecipes(colour, pencils, { white })),
  );
  const data = Uint8ClampedArray.from({ length: SIDE * SIDE * 4 }, (_, i) =>
    i % 4 === 3 ? 255 : (i * 7) % 256,
  );
  const paper: Oklab = { L: 0.95, a: 0, b: 0.01 };
  const inks = [
    atValue(7, 85, () => 0.14),
    atValue(4.5, 30, () => 0.17),
    atValue(3.5, 250, () => 0.08),
  ];
  report('three plates of a working copy', () =>
    platesOf({ paper, inks }, pictureOf(SIDE, SIDE, data)),
  );
}

function report(what: string, make: () => unknown): void {
  make();
  const start = performance.now();
  make();
  console.log(`  ${what}: ${(performance.now() - start).toFixed(0)} ms`);
}
