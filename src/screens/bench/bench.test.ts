import { EMPTY_SHELF } from '@/contracts/shelf';
import { addSetOfTubes, editTube, mixingTubes } from '@/study/shelf';
import { readPile, writePile } from './bench-view';
import { foundTubes, shelfSentence } from './shelf-order';

let next = 0;
const shelf = addSetOfTubes(EMPTY_SHELF, 'earths', () => `t${next++}`);
const found = (find: string, order: Parameters<typeof foundTubes>[3] = 'as put') =>
  foundTubes(shelf.tubes, mixingTubes(shelf), find, order).map(({ pigments }) => pigments[0]);

it('tubes are found by every word of theirs, the names of their pigments too', () => {
  expect(found('')).toHaveLength(shelf.tubes.length);
  expect(found('SIENNA')).toEqual(['PBr7-burnt-sienna']);
  expect(found('ivory black')).toEqual(['PBk9']);
  expect(found('red iron')).toEqual([]);
});

it('tubes stand by name, by value from the light, or white, round the wheel, black', () => {
  const byHue = found('', 'by hue');
  expect(byHue[0]).toBe('PW6');
  expect(byHue[byHue.length - 1]).toBe('PBk9');
  expect(found('', 'by value')[0]).toBe('PW6');
  expect(found('', 'by name')[0]).toBe('PBk9');
});

it('the shelf is summed up in a sentence', () => {
  expect(shelfSentence([])).toBe('The shelf is empty.');
  expect(shelfSentence(shelf.tubes.slice(0, 1))).toBe('One tube on the palette.');
  const [one, two] = shelf.tubes;
  const mixed = editTube(editTube(shelf, one.id, { standing: 'wish' }), two.id, {
    standing: 'off',
  });
  expect(shelfSentence(mixed.tubes)).toBe(
    'Five tubes on the palette, one kept off it and one wished for.',
  );
});

it('a pile goes into an address and back, and what makes no sense is left out', () => {
  const pile = [
    { tube: 'a:b', parts: 0.05 },
    { tube: 'c', parts: 12 },
  ];
  expect(readPile(writePile(pile))).toEqual(pile);
  expect(readPile('c:-1,d:x,:3,e:2')).toEqual([{ tube: 'e', parts: 2 }]);
  expect(readPile('')).toEqual([]);
});
