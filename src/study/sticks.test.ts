import { hexFromOklab, oklabFromHex } from '@/core/colour/hex';
import { EMPTY_SHELF, MAX_STICKS, withMissing, type ShelfStick } from '@/contracts/shelf';
import { addSticks, editStick, removeStick, stickName, sticksHere } from './sticks';
import { sticksOfTable, tableOfSticks } from './sticks-table';

let made = 0;
const newId = () => `stick ${++made}`;
const stick = (name: string, hex: string, part: Partial<ShelfStick> = {}): ShelfStick => ({
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
  const shelf = addSticks(EMPTY_SHELF, [slate, rose]);
  expect(sticksHere(shelf)).toEqual([slate]);
  expect(sticksHere(editStick(shelf, rose.id, { standing: 'here' })).length).toBe(2);
  expect(removeStick(shelf, slate.id).sticks).toEqual([rose]);
  expect(stickName(slate)).toBe('14 slate');
  expect(stickName({ ...slate, number: '' })).toBe('slate');
  expect(withMissing(EMPTY_SHELF, shelf).sticks).toEqual(shelf.sticks);
  expect(() =>
    addSticks(
      shelf,
      Array.from({ length: MAX_STICKS }, () => slate),
    ),
  ).toThrow(RangeError);
});

it('a table comes back as it went, and what is no stick is told by its line', () => {
  const sticks = [stick('=slate', '#4c5c75'), stick('rose', '#c88a90', { standing: 'gone' })];
  const { sticks: back, problems } = sticksOfTable(tableOfSticks(sticks), newId);
  expect(problems).toEqual([]);
  const plain = ({ name, set, number, standing, colour }: ShelfStick) => [
    name,
    set,
    number,
    standing,
    hexFromOklab(colour),
  ];
  expect(back.map(plain)).toEqual(sticks.map(plain));
  const read = sticksOfTable('Colour;Name\n#4c5c75;slate\nred;no\n#123456;\n', newId);
  expect(read.sticks.map(({ name, standing }) => [name, standing])).toEqual([['slate', 'here']]);
  expect(read.problems.map(({ line }) => line)).toEqual([3, 4]);
  expect(read.problems[0].why).toContain('red');
  expect(() => sticksOfTable('Dear painter', newId)).toThrow(RangeError);
});
