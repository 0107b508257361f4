import { forgetMediumRecipe, keepMediumRecipes, keepRecipes, swatchRecipe } from './recipe-edits';
import { ofSticks, triedAs } from './medium-recipes';
import { applyExtraction } from './edits';
import { libraryFrom } from './library';
import { moveColour } from './colour-edits';
import { mergeSwatches, takeApart } from './palette-edits';
import { of, swatch, withTray } from './testing/trays';
import type { ShelfContent } from '@/contracts/shelf';

const tube = (id: string, name: string, pigments: string[]) => ({
  id,
  name,
  maker: '',
  number: '',
  pigments,
  strength: 1,
  opacity: null,
  standing: 'palette' as const,
  pricePerMl: null,
  card: null,
});
const shelf: ShelfContent = {
  owner: 'Dag Solumbry',
  tubes: [tube('w', 'Titanium white', ['PW6']), tube('u', 'Ultramarine', ['PB29'])],
  bin: [],
  sticks: [],
  pencils: [],
  inks: [],
  patches: [],
  tries: [],
};
const parts = [
  { tube: 'w', parts: 6 },
  { tube: 'u', parts: 0.5 },
];
const recipe = swatchRecipe(shelf, parts, of('#8090c0'), false)!;

describe('a recipe that is kept with its swatch', () => {
  it('is whole by itself: whose tubes, their names and pigments', () => {
    expect(recipe).toEqual({
      owner: 'Dag Solumbry',
      parts: [
        { name: 'Titanium white', pigments: ['PW6'], parts: 6 },
        { name: 'Ultramarine', pigments: ['PB29'], parts: 0.5 },
      ],
      colour: of('#8090c0'),
      tried: false,
    });
    expect(
      swatchRecipe(shelf, [...parts, { tube: 'gone', parts: 1 }], of('#8090c0'), true),
    ).toBeNull();
  });

  it('is kept, taken away, and leaves other swatches as they are', () => {
    const tray = withTray(swatch('a', '#8090c0'), swatch('b', '#402010'));
    const kept = keepRecipes(tray, new Map([['a', recipe]]));
    expect(kept.palette.swatches.map((one) => one.recipe)).toEqual([recipe, null]);
    expect(kept.palette.swatches[1]).toBe(tray.palette.swatches[1]);
    const gone = keepRecipes(kept, new Map([['a', null]]));
    expect(gone.palette.swatches[0].recipe).toBeNull();
  });

  it('stays through a change of the colour, a merge that is taken apart, and an extraction that finds the colour again', () => {
    const tray = keepRecipes(
      withTray(swatch('a', '#8090c0'), swatch('b', '#8492c2')),
      new Map([['a', recipe]]),
    );
    const moves = { value: 1, warmth: 0, chroma: 0, turn: 0 };
    expect(moveColour(tray, 'a', moves).palette.swatches[0].recipe).toEqual(recipe);
    const merged = mergeSwatches(tray, new Set(['a', 'b']), () => 'm');
    expect(merged.palette.swatches.map((one) => one.recipe)).toEqual([null]);
    expect(takeApart(merged, 'm').palette.swatches.find(({ id }) => id === 'a')?.recipe).toEqual(
      recipe,
    );
    const found = [{ colour: of('#8191c1'), share: 1, point: { x: 0.5, y: 0.5 } }];
    const again = applyExtraction(tray, 1, found, [null], () => 'new');
    expect(again.palette.swatches[0]).toMatchObject({ id: 'a', recipe });
  });

  it('goes along into a library', () => {
    const tray = keepRecipes(withTray(swatch('a', '#8090c0')), new Map([['a', recipe]]));
    expect(libraryFrom(tray, 'study', { hash: 'h' }).swatches[0].recipe).toEqual(recipe);
  });
});

describe('recipes of other media', () => {
  const laid = ofSticks(
    {
      ...shelf,
      sticks: [
        {
          id: 's',
          name: 'slate',
          set: '',
          number: '14',
          colour: of('#4c5c75'),
          standing: 'here',
        },
      ],
    },
    { stick: { id: 's', colour: of('#4c5c75') }, over: null, colour: of('#4c5c75'), cost: 0 },
  );
  const screen = {
    medium: 'screen' as const,
    owner: '',
    colour: of('#4c5c75'),
    tried: false,
    layers: [{ item: '', name: 'base', hex: '#4c5c75', opacity: 1, mode: 'normal' as const }],
  };

  it('stay beside paint and one another when the medium is switched', () => {
    const tray = keepRecipes(withTray(swatch('a', '#4c5c75')), new Map([['a', recipe]]));
    const both = [laid, screen].reduce(
      (was, one) => keepMediumRecipes(was, new Map([['a', one]])),
      tray,
    );
    const [a] = both.palette.swatches;
    expect(a.recipe).toEqual(recipe);
    expect(a.mediumRecipes).toEqual([laid, screen]);
    expect(laid.layers[0].name).toBe('14 slate');
    const tried = triedAs(laid, { L: 1.0001, a: 0, b: 0 });
    expect(tried).toMatchObject({ tried: true, colour: { L: 1 } });
    const again = keepMediumRecipes(both, new Map([['a', tried]]));
    expect(again.palette.swatches[0].mediumRecipes).toEqual([screen, tried]);
    expect(forgetMediumRecipe(again, 'a', 'sticks').palette.swatches[0].mediumRecipes).toEqual([
      screen,
    ]);
  });

  it('go along into a library, and stay where an extraction finds the colour again', () => {
    const tray = keepMediumRecipes(withTray(swatch('a', '#4c5c75')), new Map([['a', laid]]));
    const { swatches } = libraryFrom(tray, 'study', { hash: 'h' });
    expect(swatches[0].mediumRecipes).toEqual([laid]);
    const found = [{ colour: of('#4d5d76'), share: 1, point: { x: 0.5, y: 0.5 } }];
    const again = applyExtraction(tray, 1, found, [null], () => 'new');
    expect(again.palette.swatches[0]).toMatchObject({ id: 'a', mediumRecipes: [laid] });
  });
});
