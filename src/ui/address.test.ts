import fc from 'fast-check';
import {
  addressCodec,
  addressOf,
  anyOf,
  bounded,
  flag,
  mapped,
  oneOf,
  points,
  text,
  transient,
} from './address';

const codec = addressCodec({
  tab: oneOf('tab', ['one', 'two', 'three'], 'one', {
    names: ['topic'],
    values: { zwei: 'two' },
  }),
  lens: anyOf('lens', ['a', 'b']),
  on: flag('on'),
  map: flag('warmth', 'map'),
  words: text('text', 20),
  wipe: bounded('wipe', [0, 1], null),
  zoom: bounded('zoom', [1, 16], 1),
  places: points('place', 2, 2),
  upper: mapped(
    oneOf('case', ['low', 'high'], 'low'),
    (value) => value === 'high',
    (isHigh) => (isHigh ? 'high' : 'low'),
  ),
  chosen: transient<readonly string[]>([]),
});
const of = (query: string) => codec.read(new URLSearchParams(query));

describe('a view in the address', () => {
  it('comes back from it, but for what no address holds', () => {
    const thousandths = (most: number) => fc.integer({ min: 0, max: most }).map((n) => n / 1000);
    const anyView = fc.record({
      tab: fc.constantFrom('one' as const, 'two' as const, 'three' as const),
      lens: fc.constantFrom('a' as const, 'b' as const, null),
      on: fc.boolean(),
      map: fc.boolean(),
      words: fc.string({ maxLength: 20 }).map((words) => words.trim()),
      wipe: fc.option(thousandths(1000)),
      zoom: thousandths(15_000).map((n) => Math.round((1 + n) * 1000) / 1000),
      places: fc.array(fc.array(thousandths(1000), { minLength: 2, maxLength: 2 }), {
        maxLength: 2,
      }),
      upper: fc.boolean(),
      chosen: fc.constant([] as readonly string[]),
    });
    fc.assert(
      fc.property(anyView, (view) => {
        expect(of(addressOf(codec, view))).toEqual(view);
      }),
    );
  });

  it('holds nothing that is as at first', () => {
    expect(addressOf(codec, codec.initial)).toBe('');
    expect(addressOf(codec, { ...codec.initial, places: [[0.25, 1]] })).toBe('place=0.25,1');
    expect(addressOf(codec, { ...codec.initial, chosen: ['x'] })).toBe('');
  });

  it('is as at first where it makes no sense, and holds numbers in their bounds', () => {
    expect(of('tab=nine&lens=z&warmth=no&wipe=NaN&zoom=&place=1&place=a,b')).toEqual(codec.initial);
    expect(of('zoom=-4&wipe=7')).toMatchObject({ zoom: 1, wipe: 1 });
    expect(of('place=0.1,0.2&place=x&place=1,1').places).toEqual([[0.1, 0.2]]);
    expect(of(`text=${'w'.repeat(50)}`).words).toHaveLength(20);
  });

  it('still knows what names and values were called before', () => {
    expect(of('topic=three').tab).toBe('three');
    expect(of('tab=zwei').tab).toBe('two');
    expect(addressOf(codec, of('topic=zwei'))).toBe('tab=two');
  });
});
