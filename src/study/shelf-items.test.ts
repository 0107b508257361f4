import { hexFromOklab, oklabFromHex } from '@/core/colour/hex';
import { EMPTY_SHELF, MAX_ITEMS, withMissing, type ShelfItem } from '@/contracts/shelf';
import { addItems, editItem, itemName, itemsHere, removeItem } from './shelf-items';
import { itemsOfTable, tableOfItems } from './items-table';

let made = 0;
const newId = () => `stick ${++made}`;
const stick = (name: string, hex: string, part: Partial<ShelfItem> = {}): ShelfItem => ({
  id: newId(),
  name,
  set: 'Landscape, half length',
  number: '14',
  colour: oklabFromHex(hex)!,
  standing: 'here',
  ...part,
});

it('sticks are put on the shelf, left at home, and taken off', () => {
  const [slate, rose] = [stick('slate', '#4c5c75'), stick('rose', '#c88a90', { standing: 'away' })];
  const shelf = addItems(EMPTY_SHELF, 'sticks', [slate, rose]);
  expect(itemsHere(shelf, 'sticks')).toEqual([slate]);
  expect(itemsHere(editItem(shelf, 'sticks', rose.id, { standing: 'here' }), 'sticks').length).toBe(
    2,
  );
  expect(removeItem(shelf, 'sticks', slate.id).sticks).toEqual([rose]);
  expect(itemName(slate)).toBe('14 slate');
  expect(itemName({ ...slate, number: '' })).toBe('slate');
  expect(withMissing(EMPTY_SHELF, shelf).sticks).toEqual(shelf.sticks);
  expect(() =>
    addItems(
      shelf,
      'sticks',
      Array.from({ length: MAX_ITEMS }, () => slate),
    ),
  ).toThrow(RangeError);
});

it('a table comes back as it went, and what is no stick is told by its line', () => {
  const sticks = [stick('=slate', '#4c5c75'), stick('rose', '#c88a90', { standing: 'gone' })];
  const { items: back, problems } = itemsOfTable(tableOfItems(sticks), newId);
  expect(problems).toEqual([]);
  const plain = ({ name, set, number, standing, colour }: ShelfItem) => [
    name,
    set,
    number,
    standing,
    hexFromOklab(colour),
  ];
  expect(back.map(plain)).toEqual(sticks.map(plain));
  const read = itemsOfTable('Colour;Name\n#4c5c75;slate\nred;no\n#123456;\n', newId);
  expect(read.items.map(({ name, standing }) => [name, standing])).toEqual([['slate', 'here']]);
  expect(read.problems.map(({ line }) => line)).toEqual([3, 4]);
  expect(read.problems[0].why).toContain('red');
  expect(() => itemsOfTable('Dear painter', newId)).toThrow(RangeError);
});
