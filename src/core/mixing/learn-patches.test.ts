import fc from 'fast-check';
import { oklabFromHex } from '../colour/hex';
import { oklabDistance, type Oklab } from '../colour/oklab';
import { foretoldColour, pencilStates, type LayerSource } from './layers-colour';
import { learnedItems, missesOfPatch } from './learn-patches';
import type { MediumRecipe } from './medium-recipe';
import { tubesOf, TWELVE } from './testing/mixtures';

const of = (hex: string) => oklabFromHex(hex) as Oklab;
const COLOURS: Readonly<Record<string, Oklab>> = {
  rust: of('#9a4a2c'),
  slate: of('#4c5c75'),
  straw: of('#d9b45a'),
};
const tubes = tubesOf(TWELVE);
const known = {
  colourOf: (item: string) => COLOURS[item] ?? null,
  opticsOf: (item: string) => tubes.find(({ id }) => id === item)?.optics ?? null,
};
const source = (factors: Readonly<Record<string, number>> = {}): LayerSource => ({
  ...known,
  factorOf: (item) => factors[item] ?? 1,
});
const common = { owner: '', colour: of('#000000'), tried: true };
const layer = (item: string) => ({ item, name: item });
const recipes: Readonly<Record<string, MediumRecipe>> = {
  sticks: {
    medium: 'sticks',
    ...common,
    layers: [
      { ...layer('slate'), showing: 0 },
      { ...layer('straw'), showing: 0.5 },
    ],
  },
  pencils: {
    medium: 'pencils',
    ...common,
    layers: [
      { ...layer('slate'), pressure: 'light' },
      { ...layer('straw'), pressure: 'middle' },
    ],
  },
  inks: {
    medium: 'inks',
    ...common,
    paper: of('#ffffff'),
    layers: [
      { ...layer('straw'), cover: 0.4 },
      { ...layer('rust'), cover: 0.6 },
    ],
  },
  washes: {
    medium: 'washes',
    ...common,
    layers: [{ ...layer('PB29'), strength: 0.5, times: 2, pigments: ['PB29'] }],
  },
};

describe.each(Object.keys(recipes))('patches of %s', (medium) => {
  const recipe = recipes[medium];
  const items = recipe.layers.map(({ item }) => item);
  const patchBy = (factors: Readonly<Record<string, number>>): MediumRecipe => ({
    ...recipe,
    colour: foretoldColour(recipe, source(factors))!,
  });

  it('that came as foretold teach nothing', () => {
    for (const factor of learnedItems([patchBy({})], known).values())
      expect(factor).toBeCloseTo(1, 3);
  });

  it('that came stronger or weaker bring what is foretold nearer', () => {
    const upper = items[items.length - 1];
    fc.assert(
      fc.property(fc.double({ min: 0.6, max: 1.7, noNaN: true }), (factor) => {
        const patch = patchBy({ [upper]: factor });
        const learned = learnedItems([patch, patch], known);
        const { before, now } = missesOfPatch(patch, known, learned)!;
        expect(now).toBeLessThanOrEqual(before + 1e-6);
        if (before > 3) expect(now).toBeLessThan(before / 2);
      }),
      { numRuns: 25 },
    );
  });

  it('of which something is gone teach nothing and are not foretold', () => {
    const gone = {
      ...recipe,
      layers: [{ ...recipe.layers[0], item: 'gone' }],
    } as MediumRecipe;
    expect(foretoldColour(gone, source())).toBeNull();
    expect(learnedItems([gone], known).size).toBe(0);
    expect(missesOfPatch(gone, known, new Map())).toBeNull();
  });
});

it('a single ink is printed alone, and the layers of a screen lie on their base', () => {
  const alone: MediumRecipe = {
    medium: 'inks',
    ...common,
    paper: of('#ffffff'),
    layers: [{ ...layer('rust'), cover: 1 }],
  };
  expect(oklabDistance(foretoldColour(alone, source())!, COLOURS.rust)).toBeLessThan(0.01);
  const screen: MediumRecipe = {
    medium: 'screen',
    ...common,
    layers: [
      { item: '', name: 'base', hex: '#ffffff', opacity: 1, mode: 'normal' },
      { item: '', name: 'shadow', hex: '#808080', opacity: 1, mode: 'multiply' },
    ],
  };
  expect(oklabDistance(foretoldColour(screen, source())!, of('#ffffff'))).toBeLessThan(1e-6);
});

it('a tooth fills layer by layer, and white fills it', () => {
  const states = pencilStates(
    {
      layers: [
        { ...layer('slate'), pressure: 'light' },
        { ...layer('rust'), pressure: 'middle' },
        { ...layer('straw'), pressure: 'burnish' },
      ],
    },
    source(),
  )!;
  const filled = states.map((state) => state.filled);
  expect(filled).toEqual(filled.toSorted((one, other) => one - other));
  expect(filled[0]).toBe(0);
  expect(filled[3]).toBe(1);
});
