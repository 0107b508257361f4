import fc from 'fast-check';
import {
  dilutionWords,
  LAYERED_MEDIA,
  layerWords,
  mediumRecipeSchema,
  mediumRecipesSchema,
  mediumRecipeWords,
  withMediumRecipe,
  type MediumRecipe,
} from './medium-recipe';
import { anyMediumRecipe, anyMediumRecipes } from './medium-recipe-testing';

const common = { owner: 'Nessa', colour: { L: 0.5, a: 0, b: 0 }, tried: false };
const item = (name: string) => ({ item: name, name });

describe('recipes of layers', () => {
  it('are whole by themselves, one for each medium', () => {
    fc.assert(
      fc.property(anyMediumRecipes, (some) => {
        expect(mediumRecipesSchema.parse(some)).toEqual(some);
        for (const one of some) {
          expect(layerWords(one)).toHaveLength(one.layers.length);
          expect(mediumRecipesSchema.safeParse([...some, one]).success).toBe(false);
        }
      }),
    );
  });

  it('take the place of the former of their medium, and leave the others', () => {
    fc.assert(
      fc.property(anyMediumRecipes, anyMediumRecipe, (some, next) => {
        const kept = withMediumRecipe(some, next);
        expect(kept.filter(({ medium }) => medium === next.medium)).toEqual([next]);
        for (const medium of LAYERED_MEDIA)
          if (medium !== next.medium)
            expect(kept.find((one) => one.medium === medium)).toEqual(
              some.find((one) => one.medium === medium),
            );
      }),
    );
  });

  it('are said as one painter says them to another', () => {
    const sticks: MediumRecipe = {
      medium: 'sticks',
      ...common,
      layers: [
        { ...item('14 slate'), showing: 0 },
        { ...item('3 ochre'), showing: 0.4 },
      ],
    };
    expect(mediumRecipeWords(sticks)).toBe(
      '14 slate; 3 ochre lightly over it, 40 % showing (sticks of Nessa)',
    );
    const pencils: MediumRecipe = {
      medium: 'pencils',
      ...common,
      owner: '',
      tried: true,
      layers: [
        { ...item('rust'), pressure: 'light' },
        { ...item('white'), pressure: 'burnish' },
      ],
    };
    expect(mediumRecipeWords(pencils)).toBe('rust lightly · white to burnish (tried)');
    const washes: MediumRecipe = {
      medium: 'washes',
      ...common,
      owner: '',
      layers: [
        { ...item('Ultramarine'), strength: 0.125, times: 2, pigments: ['PB29'] },
        { ...item('Ochre'), strength: 1, times: 1, pigments: ['PY43'] },
      ],
    };
    expect(mediumRecipeWords(washes)).toBe('Ultramarine at 1⁄8, 2 layers · Ochre undiluted');
    expect([1 / 16, 0.25, 0.5].map(dilutionWords)).toEqual(['1⁄16', '¼', '½']);
  });

  it('that are none are refused', () => {
    const base = { medium: 'inks', ...common, paper: common.colour };
    for (const layers of [[], [{ item: '', name: '', cover: 0.5 }], [{ ...item('a'), cover: 2 }]])
      expect(mediumRecipeSchema.safeParse({ ...base, layers }).success).toBe(false);
    expect(mediumRecipeSchema.safeParse({ ...base, medium: 'crayons', layers: [] }).success).toBe(
      false,
    );
  });
});
