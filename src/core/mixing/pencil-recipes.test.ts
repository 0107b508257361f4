import fc from 'fast-check';
import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { oklabFromHex } from '../colour/hex';
import { linearFromOklab, oklabDistance } from '../colour/oklab';
import { anySrgb } from '../testing';
import { pencilOf } from './pencil-optics';
import { LAYER_COST, pencilRecipes } from './pencil-recipes';
import {
  barePaper,
  burnished,
  layered,
  PRESSURES,
  surfaceColour,
  WAX_FULL,
  type Pencil,
  type PencilLayer,
  type Pressure,
} from './pencils';
import { tubesOf, TWELVE } from './testing/mixtures';

const pencils: Pencil[] = tubesOf([...TWELVE, 'PY74', 'PBk9']);
const pencil = (id: string) => pencils.find((one) => one.id === id)!;
const layer = (id: string, pressure: Pressure): PencilLayer => ({ pencil: pencil(id), pressure });
const colourOf = (...layers: PencilLayer[]) => surfaceColour(layered(layers));
const anyLayer = fc.record({
  pencil: fc.constantFrom(...pencils),
  pressure: fc.constantFrom(...PRESSURES),
});

describe('recipes of pencils', () => {
  it('come to what their layers do, never press more lightly than before, and stop when the wax is full', () => {
    fc.assert(
      fc.property(fc.array(anyLayer, { minLength: 1, maxLength: 3 }), (layers) => {
        const target = colourOf(...layers);
        for (const recipe of pencilRecipes(target, pencils, { maxLayers: 4 })) {
          expect(oklabDistance(colourOf(...recipe.layers), recipe.colour)).toBeLessThan(1e-9);
          const pressures = recipe.layers.map((one) => PRESSURES.indexOf(one.pressure));
          expect(pressures).toEqual(pressures.toSorted((one, other) => one - other));
          expect(layered(recipe.layers.slice(0, -1)).filled).toBeLessThan(WAX_FULL);
        }
      }),
      { numRuns: 12 },
    );
  });

  it('agree with trying every two and every three layers of a small set', () => {
    const few = ['PY35', 'PR108', 'PB29', 'PBr7-burnt-sienna', 'PW6'].map(pencil);
    const layersOf = (count: number): PencilLayer[][] =>
      count === 0
        ? [[]]
        : layersOf(count - 1).flatMap((before) =>
            few.flatMap((one) =>
              PRESSURES.slice(PRESSURES.indexOf(before.at(-1)?.pressure ?? 'light'))
                .filter(() => layered(before).filled < WAX_FULL)
                .map((pressure) => [...before, { pencil: one, pressure }]),
            ),
          );
    const all = [1, 2, 3].map(layersOf);
    // What is to be found is made of what there is, and a little off.
    for (const [hex, family] of [
      ['#a87850', ['PY35', 'PR108', 'PBr7-burnt-sienna']],
      ['#8c8a88', few.map(({ id }) => id)],
      ['#566680', ['PB29']],
    ] as const) {
      const target = oklabFromHex(hex)!;
      const cost = (layers: readonly PencilLayer[]) =>
        ciede2000(labFromOklab(colourOf(...layers)), labFromOklab(target)) +
        LAYER_COST * layers.length;
      const least = (some: readonly PencilLayer[][]) =>
        Math.min(
          ...some
            .filter(([first]) => (family as readonly string[]).includes(first.pencil.id))
            .map(cost),
        );
      const [two] = pencilRecipes(target, few, { maxLayers: 2, count: 1 });
      expect(cost(two.layers)).toBeCloseTo(least([...all[0], ...all[1]]), 6);
      const [three] = pencilRecipes(target, few, { maxLayers: 3, count: 1 });
      expect(cost(three.layers)).toBeCloseTo(least(all.flat()), 6);
    }
  });

  it('leave black out of what is not nearly black itself', () => {
    const isBlack = ({ id }: Pencil) => id === 'PBk9';
    const grey = colourOf(layer('PBk9', 'light'));
    for (const { layers } of pencilRecipes(grey, pencils, { maxLayers: 3, isBlack }))
      expect(layers.every((one) => !isBlack(one.pencil))).toBe(true);
    expect(() => pencilRecipes(grey, [pencil('PBk9')], { isBlack })).toThrow(RangeError);
    expect(barePaper().filled).toBe(0);
  });

  it('end with white where that brings a colour nearer, and come to what white makes of them', () => {
    const white = pencil('PW6');
    const under = [layer('PB29', 'light'), layer('PR108', 'light')];
    const target = surfaceColour(burnished(layered(under), white));
    const few = ['PB29', 'PR108', 'PY35', 'PG7', 'PBr7-burnt-sienna', 'PW6'].map(pencil);
    const [best] = pencilRecipes(target, few, { white, maxLayers: 3 });
    expect(best.deltaE).toBeLessThan(1);
    for (const { layers, burnish, colour } of pencilRecipes(target, pencils, { white }))
      if (burnish)
        expect(
          oklabDistance(surfaceColour(burnished(layered(layers), burnish)), colour),
        ).toBeLessThan(1e-9);
  });
});

describe('a pencil by the colour of a full stroke', () => {
  it('lays that colour, for every colour between paper and the little paper that shows', () => {
    fc.assert(
      fc.property(anySrgb, (colour) => {
        // A stroke leaves a little paper, and is no lighter than it.
        const { r, g, b } = linearFromOklab(colour);
        if (Math.min(r, g, b) < 0.05 || Math.max(r, g, b) > 0.75) return;
        const stroke = surfaceColour(
          layered([{ pencil: pencilOf('a', colour), pressure: 'full' }]),
        );
        expect(oklabDistance(stroke, colour)).toBeLessThan(0.02);
      }),
      { numRuns: 500 },
    );
  });

  it('leaves the paper as it is where it is as light as the paper', () => {
    const white = pencilOf('white', { L: 0.98, a: 0, b: 0 });
    const blue = pencilOf('blue', oklabFromHex('#274b8c')!);
    const light: PencilLayer = { pencil: blue, pressure: 'light' };
    const paper = surfaceColour(barePaper());
    expect(
      oklabDistance(surfaceColour(layered([{ pencil: white, pressure: 'full' }])), paper),
    ).toBeLessThan(0.03);
    expect(surfaceColour(burnished(layered([light, light, light]), white)).L).toBeGreaterThan(
      surfaceColour(layered([light, light, light])).L,
    );
  });
});
