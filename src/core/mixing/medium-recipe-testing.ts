import fc from 'fast-check';
import type { MediumRecipe } from './medium-recipe';
import { STROKES } from './medium-recipe';
import { BLEND_MODES } from './screen-layers';

const share = fc.double({ min: 0, max: 1, noNaN: true });
const signed = fc.double({ min: -0.4, max: 0.4, noNaN: true });
const text = (minLength: number) => fc.string({ unit: 'grapheme', minLength, maxLength: 12 });
const common = {
  owner: text(0),
  colour: fc.record({ L: share, a: signed, b: signed }),
  tried: fc.boolean(),
};
const layers = <T>(of: { [K in keyof T]: fc.Arbitrary<T[K]> }) =>
  fc.array(fc.record({ item: fc.uuid(), name: text(1), ...of }), { minLength: 1, maxLength: 4 });

/** For tests: a recipe of any medium that is laid in layers. */
export const anyMediumRecipe = fc.oneof(
  fc.record({
    medium: fc.constant('sticks'),
    ...common,
    layers: layers({ showing: share }),
  }),
  fc.record({
    medium: fc.constant('pencils'),
    ...common,
    layers: layers({ pressure: fc.constantFrom(...STROKES) }),
  }),
  fc.record({
    medium: fc.constant('inks'),
    ...common,
    paper: common.colour,
    layers: layers({ cover: share }),
  }),
  fc.record({
    medium: fc.constant('washes'),
    ...common,
    layers: layers({
      strength: fc.constantFrom(1, 0.5, 0.0625),
      times: fc.integer({ min: 1, max: 4 }),
      pigments: fc.constant(['PB29']),
    }),
  }),
  fc.record({
    medium: fc.constant('screen'),
    ...common,
    layers: layers({
      hex: fc.constantFrom('#000000', '#a1b2c3'),
      opacity: share,
      mode: fc.constantFrom(...BLEND_MODES),
    }),
  }),
) as fc.Arbitrary<MediumRecipe>;

/** At most one for each medium. */
export const anyMediumRecipes = fc.uniqueArray(anyMediumRecipe, {
  maxLength: 3,
  selector: ({ medium }) => medium,
});
