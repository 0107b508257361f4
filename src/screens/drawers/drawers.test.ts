import { DEFAULT_LIBRARY_SWATCH } from '@/study/library';
import fc from 'fast-check';
import { oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { INTENSITY_WORDS } from '@/core/colour/intensity';
import { EVEN_WHEEL, PAINTERS_WHEEL } from '@/core/colour/wheel';
import { anySrgb } from '@/core/testing';
import { ALL_LIBRARIES, librarySearchSchema, type LibrarySearch } from '@/contracts/library-search';
import { addressOf } from '@/ui/address';
import { askNothing, asksSomething, nearHref, searchCodec, withNear } from './find/search-address';
import { foundSentence } from './find/found-sentence';
import { sortedSwatches } from './library/swatch-order';

const hex = (text: string) => oklabFromHex(text) as Oklab;
const search = (part: Partial<LibrarySearch>) => librarySearchSchema.parse(part);

const anySearch: fc.Arbitrary<LibrarySearch> = fc
  .record({
    text: fc.string({ unit: 'grapheme', maxLength: 40 }).map((text) => text.trim()),
    near: fc.option(
      fc.record({ colour: anySrgb, within: fc.integer({ min: 1, max: 30 }).map((n) => n / 2) }),
    ),
    families: fc.uniqueArray(fc.integer({ min: -1, max: 11 }), { maxLength: 4 }),
    values: fc.option(
      fc
        .tuple(fc.integer({ min: 0, max: 20 }), fc.integer({ min: 0, max: 20 }))
        .map(([a, b]): [number, number] => [Math.min(a, b) / 2, Math.max(a, b) / 2]),
    ),
    intensities: fc.option(
      fc.tuple(fc.constantFrom(...INTENSITY_WORDS), fc.constantFrom(...INTENSITY_WORDS)),
    ),
    temperature: fc.option(fc.constantFrom('warm' as const, 'between' as const, 'cool' as const)),
    tags: fc.uniqueArray(fc.string({ minLength: 1, maxLength: 12 }), { maxLength: 3 }),
    maker: fc.option(fc.string({ minLength: 1, maxLength: 20 })),
    folder: fc.option(fc.oneof(fc.uuid(), fc.constant('loose' as const))),
    favourites: fc.boolean(),
    sort: fc.constantFrom('changed' as const, 'own' as const, 'name' as const),
  })
  .map((parts) => librarySearchSchema.parse(parts));

describe('the address of a search', () => {
  it.each([PAINTERS_WHEEL, EVEN_WHEEL])('comes back to what was asked, on the $title', (wheel) => {
    fc.assert(
      fc.property(anySearch, (query) => {
        const again = searchCodec(wheel).read(
          new URLSearchParams(addressOf(searchCodec(wheel), query)),
        );
        expect(again).toEqual(query);
      }),
    );
  });

  it('asks for nothing where it makes no sense', () => {
    for (const query of [
      'near=blue',
      'within=9&near=',
      'family=sepia',
      'value=7-3',
      'value=a-b',
      'intensity=loud-mute',
      'temperature=tepid',
      'folder=1',
      'sort=random',
    ])
      expect(searchCodec(PAINTERS_WHEEL).read(new URLSearchParams(query))).toEqual(ALL_LIBRARIES);
    expect(addressOf(searchCodec(PAINTERS_WHEEL), ALL_LIBRARIES)).toBe('');
  });

  it('of what is near a colour puts the nearest first', () => {
    const query = searchCodec(PAINTERS_WHEEL).read(
      new URLSearchParams(nearHref('#253354').split('?')[1]),
    );
    expect(query).toMatchObject({ near: { within: 5 }, sort: 'nearest' });
    expect(withNear(query, null).sort).toBe('changed');
    expect(asksSomething(query)).toBe(true);
    expect(asksSomething(askNothing(query))).toBe(false);
    expect(asksSomething(search({ folder: 'loose', favourites: true, text: '  ' }))).toBe(false);
  });
});

describe('the sentence of what was found', () => {
  const say = (part: Partial<LibrarySearch>, total: number) =>
    foundSentence(search(part), total, { libraries: 12, swatches: 85 }, PAINTERS_WHEEL);

  it('says how many, and what was asked', () => {
    expect(say({}, 12)).toBe('12 libraries with 85 swatches.');
    expect(say({ favourites: true }, 1)).toBe('One favourite.');
    expect(say({ folder: 'loose' }, 3)).toBe('Three libraries here.');
    expect(say({ text: ' fog ' }, 1)).toBe('One library has “fog”.');
    expect(say({ families: [10, -1], temperature: 'cool' }, 2)).toBe(
      'Two libraries have violet or a grey and a cool colour.',
    );
    expect(say({ tags: ['rain'] }, 1)).toBe('One library answers.');
    expect(say({ tags: ['rain'] }, 0)).toBe('No libraries answer.');
    expect(say({ near: { colour: hex('#253354'), within: 5 } }, 4)).toBe(
      'Four libraries have something near navy (#253354).',
    );
  });
});

describe('swatches in order', () => {
  const swatch = (name: string, colour: string, share: number | null) => ({
    id: name,
    name,
    note: '',
    role: null,
    colour: hex(colour),
    share,
    ...DEFAULT_LIBRARY_SWATCH,
  });
  const all = [
    swatch('lamp 10', '#f0a94c', 0.1),
    swatch('fog', '#a9a9aa', null),
    swatch('brick', '#a03a28', 0.4),
    swatch('lamp 2', '#f6c98a', 0.2),
  ];

  it.each([
    ['dark to light', ['brick', 'fog', 'lamp 10', 'lamp 2']],
    ['by name', ['brick', 'fog', 'lamp 2', 'lamp 10']],
    ['largest share first', ['brick', 'lamp 2', 'lamp 10', 'fog']],
    ['by family', ['brick', 'lamp 10', 'lamp 2', 'fog']],
  ] as const)('%s', (order, names) => {
    const sorted = sortedSwatches(all, order).map(({ name }) => name);
    expect([...sorted].sort()).toEqual([...names].sort());
    expect(sorted).toEqual(names);
  });
});
