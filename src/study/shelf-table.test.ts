import fc from 'fast-check';
import { PIGMENTS } from '@/core/mixing/pigments/pigments';
import { STANDINGS, tubeSchema, type ShelfTube } from '@/contracts/shelf';
import { tableOfTubes, tubesOfTable } from './shelf-table';

let next = 0;
const newId = () => `t${next++}`;
const without = ({ id: _, ...tube }: ShelfTube) => tube;
const read = (text: string) => tubesOfTable(text, newId);

const word = fc.string({ maxLength: 30 }).map((text) => text.trim());
const tube: fc.Arbitrary<ShelfTube> = fc
  .record({
    id: fc.constant('x'),
    name: word.filter((text) => text !== ''),
    maker: word,
    number: word,
    pigments: fc.uniqueArray(fc.constantFrom(...PIGMENTS.map(({ id }) => id)), {
      minLength: 1,
      maxLength: 3,
    }),
    strength: fc.double({ min: 0.25, max: 4, noNaN: true }),
    standing: fc.constantFrom(...STANDINGS),
    pricePerMl: fc.option(fc.double({ min: 0, max: 1000, noNaN: true })),
    card: fc.constant(null),
  })
  .map((made) => tubeSchema.parse(made));

it('what is written is read again, whatever stands in it', () => {
  fc.assert(
    fc.property(fc.array(tube, { maxLength: 8 }), (tubes) => {
      const { tubes: back, problems } = read(tableOfTubes(tubes));
      expect(problems).toEqual([]);
      expect(back.map(without)).toEqual(tubes.map(without));
    }),
  );
});

it('columns stand in any order, cells are parted by anything, and most may be missing', () => {
  const { tubes, problems } = read('Pigments;Name\nPB 29;Blue\nPY42 / PR101;Warm earth\n\n');
  expect(problems).toEqual([]);
  expect(tubes.map(without)).toEqual([
    {
      name: 'Blue',
      maker: '',
      number: '',
      pigments: ['PB29'],
      strength: 1,
      opacity: null,
      standing: 'palette',
      pricePerMl: null,
      card: null,
    },
    expect.objectContaining({ name: 'Warm earth', pigments: ['PY42', 'PR101'] }),
  ]);
});

it('lines that are no tube are told by their number and left out', () => {
  const { tubes, problems } = read(
    [
      'name,pigments,strength,price per ml,opacity',
      'Good,PB29,"1,5",0.2,Semi-opaque',
      'Odd,PX99,1,',
      ',PB29,1,',
      'Much,PB29,strong,',
      'Dear,PB29,1,free',
      'Over,PB29,9,',
      'Dim,PB29,1,,milky',
    ].join('\n'),
  );
  expect(tubes.map(({ name, strength }) => [name, strength])).toEqual([['Good', 1.5]]);
  expect(tubes[0].opacity).toBe('semi-opaque');
  expect(problems.map(({ line }) => line)).toEqual([3, 4, 5, 6, 7, 8]);
  expect(problems[0].why).toContain('PX99');
  expect(problems[1].why).toContain('needs a name');
  expect(problems[2].why).toContain('strong');
  expect(problems[3].why).toContain('free');
  expect(problems[5].why).toContain('milky');
});

it('what is no table of tubes is refused', () => {
  for (const text of ['', 'Dear painter', 'colour,hex\nred,#f00', '\u0000\u0001'])
    expect(() => read(text)).toThrow(RangeError);
});

it('a cell that a spreadsheet would take for a formula is kept from it', () => {
  const made = tubeSchema.parse({
    id: 'x',
    name: '=1+1',
    maker: '',
    number: '-3',
    pigments: ['PB29'],
    strength: 1,
    standing: 'off',
    pricePerMl: null,
    card: null,
  });
  const text = tableOfTubes([made]);
  expect(text).toContain("'=1+1");
  expect(read(text).tubes.map(without)).toEqual([without(made)]);
});
