import fc from 'fast-check';
import { mistakesOf, type CountedFinding, type Mistake } from './mistakes';
import { nextThing, recurringMistakes } from './recurring';

const NOTHING: CountedFinding = {
  shift: null,
  relations: [],
  edges: [],
  flattened: [],
  proportions: null,
};
const relation = (id: string, at: number, value: number, chroma = 0, hue = 0) => ({
  id,
  at,
  value,
  chroma,
  hue,
});
const kinds = (mistakes: readonly Mistake[]) => mistakes.map(({ kind }) => kind);

describe('the mistakes of a study', () => {
  it('are none where nothing was found, or next to nothing', () => {
    expect(mistakesOf(NOTHING)).toEqual([]);
    const shift = { value: 0.1, valueGain: 0.97, chromaGain: 1.04, hueTurn: -2 };
    expect(mistakesOf({ ...NOTHING, shift })).toEqual([]);
  });

  it('are told by zone and by what is off, the largest first', () => {
    const shift = { value: 0.6, valueGain: 0.8, chromaGain: 1.3, hueTurn: 0 };
    const relations = [relation('a', 2, 1.5), relation('b', 8, -0.5, -0.06)];
    const mistakes = mistakesOf({ ...NOTHING, shift, relations });
    expect(kinds(mistakes)).toEqual([
      'darks too light',
      'whole too strong',
      'masses too dull',
      'range too short',
      'whole too light',
      'lights too dark',
    ]);
    expect(mistakes[0].size).toBeCloseTo(1.5);
  });

  it('leave out what was done on purpose', () => {
    const finding: CountedFinding = {
      ...NOTHING,
      shift: { value: -1, valueGain: 1, chromaGain: 1, hueTurn: 0 },
      relations: [relation('a', 5, 1)],
      edges: [{ id: 'edge-1', is: 'lost', length: 0.3 }],
      proportions: {
        model: { dark: 0.5, light: 0.5 },
        study: { dark: 0.3, light: 0.7 },
        areOff: true,
      },
    };
    expect(kinds(mistakesOf(finding))).toHaveLength(4);
    expect(mistakesOf(finding, ['shift', 'a', 'edge-1', 'proportions'])).toEqual([]);
  });

  it('add up edges and turns, and count three relations at most', () => {
    const edges = ['1', '2'].map((id) => ({ id, is: 'lost' as const, length: 0.1 }));
    expect(mistakesOf({ ...NOTHING, edges })[0].size).toBeCloseTo(0.8);
    const relations = [1, 2, 3].map((i) => relation(String(i), 5, 0.1));
    expect(mistakesOf({ ...NOTHING, relations: [...relations, relation('4', 5, 3)] })).toEqual([]);
  });
});

describe('mistakes that come back', () => {
  const study = (day: number, ...mistakes: Mistake[]) => ({
    id: `study ${day}`,
    at: day * 864e5,
    mistakes,
  });

  it('are ranked by what weighs now, with what fades told from what stays', () => {
    const studies = [1, 2, 3, 4, 5, 6, 7, 8, 9].map((day) =>
      study(
        day,
        { kind: 'whole too strong', size: Math.max(0, 1.6 - 0.2 * day) },
        { kind: 'edges lost', size: 0.9 },
        ...(day === 9 ? [{ kind: 'hues off', size: 4 } as const] : []),
      ),
    );
    const [first, second, third] = recurringMistakes(studies);
    expect([first.kind, first.trend]).toEqual(['edges lost', 'stays']);
    expect([second.kind, second.trend]).toEqual(['whole too strong', 'fades']);
    // Once is not again, however large.
    expect([third.kind, third.count]).toEqual(['hues off', 1]);
    expect(first.points).toHaveLength(9);
    expect(nextThing(first.kind)).toContain('hard edges');
  });

  it('have no trend in a handful of studies', () => {
    const few = [1, 2, 3].map((day) => study(day, { kind: 'hues off', size: 4 - day }));
    expect(recurringMistakes(few)[0].trend).toBe('too few');
    expect(recurringMistakes([])).toEqual([]);
  });

  it('are the same in whatever order the studies come', () => {
    const some = fc.array(
      fc.record({
        id: fc.uuid(),
        at: fc.integer({ min: 0, max: 1e9 }),
        mistakes: fc.constantFrom(
          [],
          [{ kind: 'hues off' as const, size: 1 }],
          [{ kind: 'edges lost' as const, size: 0.5 }],
        ),
      }),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(
        some.filter((list) => new Set(list.map(({ at }) => at)).size === list.length),
        (list) => {
          expect(recurringMistakes(list.toReversed())).toEqual(recurringMistakes(list));
        },
      ),
    );
  });
});
