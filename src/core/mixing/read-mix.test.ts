import { knownPigment, readMix } from './read-mix';

const read = (text: string) => readMix(text).map(({ pigment, parts }) => [pigment.id, parts]);

it('reads parts, one where none are said, and names that have a colon', () => {
  expect(read('PB29:1, PY35:3')).toEqual([
    ['PB29', 1],
    ['PY35', 3],
  ]);
  expect(read('PB15:3')).toEqual([['PB15.3', 1]]);
  expect(read('PB15:3:2,PW6:0.5')).toEqual([
    ['PB15.3', 2],
    ['PW6', 0.5],
  ]);
  expect(read('PBr7-burnt-umber')).toEqual([['PBr7-burnt-umber', 1]]);
});

it('says what can’t be read', () => {
  for (const [text, words] of [
    ['', 'written as'],
    ['PB29:1,', 'written as'],
    ['PB29:0', 'above 0'],
    ['PB29:-1', 'above 0'],
    ['PB29:', 'above 0'],
    ['PB29:x', 'above 0'],
    ['PB29:Infinity', 'above 0'],
    ['PX99:1', 'PX99'],
    ['PBr7:1', 'burnt-sienna'],
  ])
    expect(() => readMix(text)).toThrow(words);
  expect(() => knownPigment('constructor')).toThrow(RangeError);
});
