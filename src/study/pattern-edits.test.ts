import { oklabFromHex } from '@/core/colour/hex';
import { DEFAULT_CHOICE } from '@/core/pattern/colourway';
import { libraryContentSchema } from '@/contracts/library';
import {
  MAX_COLOURWAYS,
  MAX_SOURCE_COLOURS,
  newPattern,
  patternContentSchema,
  type PatternContent,
} from '@/contracts/pattern';
import {
  addSource,
  addToSwatches,
  changeColourway,
  choose,
  colourwayLibrary,
  coloursInUse,
  deleteColourway,
  goOnFrom,
  holdPaint,
  keepColourway,
  mergeGroups,
  moveWayColour,
  putColourwayBack,
  removeSource,
  takeUpSource,
  targetsOf,
  unmerge,
} from './pattern-edits';

let ids = 0;
const newId = () => `id${ids++}`;
const colour = (hex: string) => ({
  id: 'same',
  name: `colour ${hex}`,
  colour: oklabFromHex(hex)!,
  share: null,
});
const library = (title: string, ...hexes: string[]) => ({
  title,
  kind: 'library' as const,
  colours: hexes.map(colour),
});
const empty = newPattern('Tile', 'a'.repeat(64));
const done = (...edits: ((content: PatternContent) => PatternContent)[]) =>
  patternContentSchema.parse(edits.reduce((content, edit) => edit(content), empty));

describe('edits of a pattern', () => {
  it('merge groups in the drawing, and part them again', () => {
    const groups = [
      {
        keeps: '#aa0000',
        strays: [
          { hex: '#ab0000', shapes: [] },
          { hex: '#ac0000', shapes: [] },
        ],
      },
    ];
    const merged = done(mergeGroups(groups));
    expect([...targetsOf(merged)]).toEqual([
      ['#ab0000', '#aa0000'],
      ['#ac0000', '#aa0000'],
    ]);
    // A second merge of the same paint replaces the first.
    const again = mergeGroups([{ keeps: '#bb0000', strays: [{ hex: '#ab0000', shapes: [] }] }])(
      merged,
    );
    expect(targetsOf(again).get('#ab0000')).toBe('#bb0000');
    expect(targetsOf(unmerge('#ab0000')(again)).has('#ab0000')).toBe(false);
  });

  it('take colours up and put them aside, each under an id of its own', () => {
    const two = done(
      addSource(library('One', '#112233', '#445566'), newId),
      addSource(library('Two', '#778899'), newId),
    );
    expect(new Set(coloursInUse(two).map(({ id }) => id)).size).toBe(3);
    const [first, second] = two.sources;
    expect(coloursInUse(takeUpSource(first.id, false)(two))).toEqual(second.colours);
    expect(removeSource(first.id)(two).sources).toEqual([second]);
    const many = addSource(
      library('Many', ...Array.from({ length: 80 }, () => '#123456')),
      newId,
    )(two);
    expect(many.sources[2].colours).toHaveLength(MAX_SOURCE_COLOURS);
  });

  it('gather single swatches in one source', () => {
    const chosen = done(
      addToSwatches([colour('#112233')], newId),
      addToSwatches([colour('#445566')], newId),
    );
    expect(chosen.sources).toHaveLength(1);
    expect(chosen.sources[0].colours).toHaveLength(2);
    expect(chosen.sources[0].kind).toBe('swatches');
  });

  it('hold a paint and let it go, move a colour and leave no trace of none', () => {
    const held = done(holdPaint('#aa0000', 'c'), holdPaint('#bb0000', null));
    expect(held.choice.held).toEqual([
      { paint: '#aa0000', colour: 'c' },
      { paint: '#bb0000', colour: null },
    ]);
    expect(holdPaint('#aa0000', undefined)(held).choice.held).toHaveLength(1);
    const moved = done(moveWayColour('c', { lighter: 1 }), moveWayColour('c', { turn: 30 }));
    expect(moved.choice.moves).toEqual([
      { colour: 'c', turn: 30, lighter: 1, wider: 0, instead: null },
    ]);
    expect(moveWayColour('c', { lighter: 0, turn: 0 })(moved).choice.moves).toEqual([]);
  });

  it('keep colourways, name and delete them; never more than there is room for', () => {
    const kept = (id: string) =>
      keepColourway({
        id,
        name: id,
        favourite: false,
        made: {
          choice: { ...DEFAULT_CHOICE, moves: [], held: [] },
          colours: [],
          map: [['#aa0000', '#00aa00']],
          laid: null,
        },
      });
    const two = done(kept('a'), kept('b'), changeColourway('b', { favourite: true, name: 'B' }));
    expect(two.colourways.map(({ name, favourite }) => [name, favourite])).toEqual([
      ['a', false],
      ['B', true],
    ]);
    expect(deleteColourway('a')(two).colourways).toHaveLength(1);
    const [a] = two.colourways;
    expect(putColourwayBack(a, 0)(deleteColourway('a')(two)).colourways).toEqual(two.colourways);
    const full = Array.from({ length: 70 }, (_, i) => kept(`k${i}`)).reduce(
      (content, edit) => edit(content),
      empty,
    );
    expect(full.colourways).toHaveLength(MAX_COLOURWAYS);
  });

  it('go on from a colourway with its colours, and put the others aside', () => {
    const two = done(
      addSource(library('One', '#112233', '#445566'), newId),
      addSource(library('Two', '#778899'), newId),
      choose({ by: 'area' }),
    );
    const [one] = two.sources;
    const made = {
      choice: { ...two.choice, by: 'value' as const },
      colours: one.colours,
      map: [],
      laid: null,
    };
    const on = patternContentSchema.parse(goOnFrom({ name: 'Old', made }, newId)(two));
    expect(on.sources.map(({ used }) => used)).toEqual([true, false]);
    expect(on.choice.by).toBe('value');
    // A source that was removed meanwhile comes back as colours of its own.
    const without = removeSource(one.id)(two);
    const back = goOnFrom({ name: 'Old', made }, newId)(without);
    expect(coloursInUse(back)).toEqual(one.colours);
    expect(back.sources.at(-1)?.title).toBe('colours of Old');
  });

  it('make a library of a colourway’s colours', () => {
    const content = colourwayLibrary(
      'Tile',
      'Dusk',
      [
        { ...colour('#112233'), share: 0.4 },
        { id: '#445566', name: '#445566', colour: oklabFromHex('#445566')!, share: 0.6 },
      ],
      newId,
    );
    expect(
      libraryContentSchema.parse(content).swatches.map(({ name, share }) => [name, share]),
    ).toEqual([
      ['colour #112233', 0.4],
      ['#445566', 0.6],
    ]);
    expect(content.name).toBe('Tile: Dusk');
  });
});
