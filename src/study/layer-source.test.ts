import { oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { foretoldColour } from '@/core/mixing/layers-colour';
import { EMPTY_SHELF, type ShelfContent, type ShelfItem, type ShelfPatch } from '@/contracts/shelf';
import { burnishing, correctionsOf, isBlackPencil, layerSource } from './layer-source';
import { ofPencils } from './medium-recipes';
import { addItems, addPatch, removePatch } from './shelf-items';

const of = (hex: string) => oklabFromHex(hex) as Oklab;
const pencil = (id: string, hex: string): ShelfItem => ({
  id,
  name: id,
  set: '',
  number: '',
  colour: of(hex),
  standing: 'here',
});
const pencils = [
  pencil('rust', '#9a4a2c'),
  pencil('slate', '#4c5c75'),
  pencil('white', '#f6f5f2'),
  pencil('ivory', '#efe9da'),
  pencil('black', '#1d1c1c'),
];
const shelf: ShelfContent = addItems(EMPTY_SHELF, 'pencils', pencils);
const recipe = ofPencils(shelf, {
  layers: [
    { pencil: 'slate', pressure: 'light' },
    { pencil: 'rust', pressure: 'middle' },
  ],
  burnish: 'white',
  colour: of('#808080'),
  deltaE: 0,
  filled: 1,
});
const patch = (result: Oklab): ShelfPatch => ({
  id: 'p',
  triedAt: '2026-11-29T10:00:00.000Z',
  name: 'wall',
  target: of('#808080'),
  recipe: { ...recipe, colour: result, tried: true },
  note: '',
});

it('white burnishes, and black is told from dark greys', () => {
  expect(burnishing(pencils)?.id).toBe('white');
  expect(burnishing(pencils.slice(0, 2))).toBeNull();
  expect(pencils.filter(isBlackPencil).map(({ id }) => id)).toEqual(['black']);
});

it('a patch that came darker makes what is foretold darker, and is forgotten with it', () => {
  const plain = foretoldColour(recipe, layerSource(shelf, 'pencils'))!;
  const darker = { ...plain, L: plain.L - 0.08 };
  const tried = addPatch(shelf, patch(darker));
  const now = foretoldColour(recipe, layerSource(tried, 'pencils'))!;
  expect(now.L).toBeLessThan(plain.L - 0.03);
  expect(correctionsOf(tried, recipe)).toBe(1);
  // What sticks do is no matter of pencils.
  expect(layerSource(tried, 'sticks').factorOf('rust')).toBe(1);
  const back = removePatch(tried, 'p');
  expect(foretoldColour(recipe, layerSource(back, 'pencils'))).toEqual(plain);
});

it('what is not on the shelf is named as gone, and is not foretold', () => {
  const gone = ofPencils(shelf, {
    layers: [{ pencil: 'lost', pressure: 'full' }],
    burnish: null,
    colour: of('#808080'),
    deltaE: 0,
    filled: 1,
  });
  expect(gone.layers[0].name).toBe('one that is gone');
  expect(foretoldColour(gone, layerSource(shelf, 'pencils'))).toBeNull();
});
