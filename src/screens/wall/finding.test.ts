import fc from 'fast-check';
import { PAINTERS_WHEEL } from '@/core/colour/wheel';
import { SCHEMES } from '@/core/measure/harmony';
import { addressOf } from '@/ui/address';
import { KEYS, RANGES, type StudyCard } from '@/contracts/study';
import {
  asksSomething,
  choices,
  FACETS,
  filterStudies,
  findingCodec,
  NO_FINDING,
  SORTS,
  type Finding,
} from './finding';

const WHEEL = PAINTERS_WHEEL;

type Colours = NonNullable<NonNullable<StudyCard['reading']>['colours']>;
const read = (median: number, colours: Partial<Colours> | null): StudyCard['reading'] => ({
  key: median < 4 ? 'low' : 'middle',
  range: 'full',
  median,
  spread: median,
  colours: colours && {
    family: null,
    keyFamily: null,
    harmony: null,
    neutral: 0.3,
    temperature: 0,
    ...colours,
  },
});
const card = (title: string, reading: StudyCard['reading'], part = {}): StudyCard => ({
  id: title,
  title,
  maker: '',
  source: '',
  aims: [],
  kind: null,
  pictureId: title,
  aspect: 1,
  isReadable: true,
  createdAt: '',
  updatedAt: '',
  swatches: [],
  reading,
  ...part,
});

const dusk = card(
  'Dusk 10',
  read(2, { family: 'blue', keyFamily: 'blue', harmony: 'complement', temperature: -0.5 }),
  { maker: 'Orla', aims: ['colour'] },
);
const hall = card(
  'Hall',
  read(6, { family: 'red-orange', harmony: 'triad', neutral: 0.1, temperature: 0.4 }),
);
const fog = card('Dusk 9, fog', read(7, { neutral: 0.95 }));
const unread = card('New', null);
const ALL = [dusk, hall, fog, unread];

const ask = (part: Partial<Finding['facets']>, rest: Partial<Finding> = {}): Finding => ({
  ...NO_FINDING,
  ...rest,
  facets: { ...NO_FINDING.facets, ...part },
});
const titles = (finding: Finding) => filterStudies(ALL, finding, WHEEL).map(({ title }) => title);

describe('what the Wall is asked', () => {
  it('finds by every word of a title, maker or aim', () => {
    expect(titles(ask({}, { text: ' dusk  ORLA ' }))).toEqual(['Dusk 10']);
    expect(titles(ask({}, { text: 'colour' }))).toEqual(['Dusk 10']);
    expect(titles(ask({}, { text: 'nothing' }))).toEqual([]);
    expect(titles(NO_FINDING)).toEqual(ALL.map(({ title }) => title));
  });

  it('finds by family, key, harmony, key colour and neutrals, and greys by their having none', () => {
    expect(titles(ask({ family: 'blue' }))).toEqual(['Dusk 10']);
    expect(titles(ask({ family: 'none' }))).toEqual(['Dusk 9, fog']);
    expect(titles(ask({ key: 'middle' }))).toEqual(['Hall', 'Dusk 9, fog']);
    expect(titles(ask({ harmony: 'triad' }))).toEqual(['Hall']);
    expect(titles(ask({ keyColour: 'blue', key: 'middle' }))).toEqual([]);
    expect(titles(ask({ greys: 'mostly' }))).toEqual(['Dusk 9, fog']);
    expect(titles(ask({ greys: 'few' }))).toEqual(['Hall']);
  });

  it('hangs by what is facets, what is unknown last, numbers in titles as numbers', () => {
    expect(titles(ask({}, { sort: 'title' }))).toEqual(['Dusk 9, fog', 'Dusk 10', 'Hall', 'New']);
    expect(titles(ask({}, { sort: 'lightest' }))[0]).toBe('Dusk 9, fog');
    expect(titles(ask({}, { sort: 'widest range' })).at(-1)).toBe('New');
    expect(titles(ask({}, { sort: 'family' }))).toEqual(['Hall', 'Dusk 10', 'Dusk 9, fog', 'New']);
    expect(titles(ask({}, { sort: 'most grey' }))[0]).toBe('Dusk 9, fog');
    expect(titles(ask({}, { sort: 'warmest' })).slice(0, 2)).toEqual(['Hall', 'Dusk 9, fog']);
  });

  it('says how many each answer would leave, the other facets as they are', () => {
    const families = choices(ALL, ask({ key: 'middle', family: 'blue' }), 'family', WHEEL);
    expect(families).toEqual([
      { answer: 'red-orange', count: 1 },
      { answer: 'blue', count: 0 },
      { answer: 'none', count: 1 },
    ]);
    for (const facet of FACETS)
      for (const { answer, count } of choices(ALL, NO_FINDING, facet, WHEEL))
        expect(titles(ask({ [facet]: answer }))).toHaveLength(count);
  });

  it('is told by its address, and an address that makes no sense asks for nothing', () => {
    const answer = (known: readonly string[]) => fc.constantFrom('', ...known);
    const finding = fc.record({
      text: fc.string({ maxLength: 50 }).map((text) => text.trim()),
      facets: fc.record({
        family: answer(WHEEL.families),
        key: answer(KEYS),
        range: answer(RANGES),
        harmony: answer(SCHEMES),
        keyColour: answer(WHEEL.families),
        greys: answer(['few', 'some', 'mostly']),
      }),
      sort: fc.constantFrom(...SORTS),
    });
    fc.assert(
      fc.property(finding, (facets) => {
        expect(
          findingCodec(WHEEL).read(new URLSearchParams(addressOf(findingCodec(WHEEL), facets))),
        ).toEqual(facets);
      }),
    );
    const nonsense = new URLSearchParams('family=beige&key=7&sort=luck');
    expect(findingCodec(WHEEL).read(nonsense)).toEqual(NO_FINDING);
    expect(asksSomething(NO_FINDING)).toBe(false);
    expect(asksSomething(ask({ key: 'low' }))).toBe(true);
  });
});
