import fc from 'fast-check';
import { paletteNames } from '@/core/colour/name';
import { valueOfOklab } from '@/core/colour/value';
import { NO_MOVES } from '@/core/palette/colour-change';
import { studyDocumentSchema, type StudyDocument } from '@/contracts/study';
import { moveColour, typeColour, undoColourChange, withColoursOfChanges } from './colour-edits';
import { staysOnExtraction } from './edits';
import { addDerived } from './set-edits';
import { of, swatch, withTray } from './testing/trays';

const GREEN = '#5a6f4d';
const at = (document: StudyDocument, id: string) =>
  document.palette.swatches.find((one) => one.id === id)!;
const darker = { ...NO_MOVES, value: -1 };

describe('a swatch whose colour is changed', () => {
  it('keeps what it was, and goes back to it exactly, however often it moved', () => {
    const amount = fc.double({ min: -1.5, max: 1.5, noNaN: true });
    const moves = fc.record({ value: amount, warmth: amount, chroma: amount, turn: amount });
    fc.assert(
      fc.property(fc.array(moves, { minLength: 1, maxLength: 5 }), (all) => {
        const document = withTray(swatch('one', GREEN), swatch('two', '#336699'));
        const moved = all.reduce(
          (was, { chroma, ...rest }) => moveColour(was, 'one', { ...rest, chroma: chroma / 4 }),
          document,
        );
        expect(at(moved, 'one').change?.was).toEqual(of(GREEN));
        expect(studyDocumentSchema.parse(moved)).toEqual(moved);
        expect(undoColourChange(moved, 'one')).toEqual(document);
        expect(at(moved, 'two')).toEqual(at(document, 'two'));
      }),
    );
  });

  it('moves from what it was, or from what was typed in', () => {
    const moved = moveColour(withTray(swatch('one', GREEN)), 'one', darker);
    const again = moveColour(moved, 'one', { ...darker, value: -2 });
    const value = (document: StudyDocument) => valueOfOklab(at(document, 'one').colour);
    expect(value(again)).toBeCloseTo(valueOfOklab(of(GREEN)) - 2, 2);
    const typed = typeColour(again, 'one', of('#a05030'));
    expect(at(typed, 'one')).toMatchObject({
      colour: of('#a05030'),
      change: { was: of(GREEN), from: of('#a05030'), moves: NO_MOVES },
    });
    expect(value(moveColour(typed, 'one', darker))).toBeCloseTo(valueOfOklab(of('#a05030')) - 1, 2);
    // What no screen can show is brought in.
    expect(at(typeColour(moved, 'one', { L: 0.6, a: 0.4, b: 0.3 }), 'one').colour.a).toBeLessThan(
      0.3,
    );
  });

  it('takes a name that the program gave along, and leaves one that a person gave', () => {
    const [given] = paletteNames([of(GREEN)], []);
    const named = (name: string) =>
      at(
        moveColour(withTray(swatch('one', GREEN, { name })), 'one', { ...NO_MOVES, value: 3 }),
        'one',
      );
    expect(named(given).name).toBe(paletteNames([named(given).colour], [])[0]);
    expect(named(given).name).not.toBe(given);
    expect(named('the old door').name).toBe('the old door');
  });

  it('is followed by what follows it, and follows nothing itself', () => {
    const rule = { rule: 'shadow' as const, amount: 0.5, warmth: 0.5, wheel: 'painters' as const };
    const linked = addDerived(
      withTray(swatch('one', GREEN)),
      { from: 'one', ...rule },
      () => 'two',
    );
    const moved = moveColour(linked, 'one', { ...NO_MOVES, value: 1 });
    expect(at(moved, 'two').colour.L).toBeGreaterThan(at(linked, 'two').colour.L);
    expect(at(moved, 'two').follows).not.toBeNull();
    expect(at(moveColour(moved, 'two', darker), 'two').follows).toBeNull();
  });

  it('stays when colours are extracted again', () => {
    const document = withTray(swatch('one', GREEN));
    expect(staysOnExtraction(at(document, 'one'))).toBe(false);
    expect(staysOnExtraction(at(moveColour(document, 'one', darker), 'one'))).toBe(true);
  });

  it('has the colour of its change where a merge of two windows left another', () => {
    const moved = moveColour(withTray(swatch('one', GREEN), swatch('two', GREEN)), 'one', darker);
    const torn = {
      ...moved,
      palette: {
        ...moved.palette,
        swatches: moved.palette.swatches.map((one) => ({ ...one, colour: of(GREEN) })),
      },
    };
    expect(withColoursOfChanges(torn)).toEqual(moved);
    expect(withColoursOfChanges(moved)).toBe(moved);
  });

  it('changes nothing where there is no such swatch, or nothing to go back from', () => {
    const document = withTray(swatch('one', GREEN));
    expect(moveColour(document, 'none', darker)).toBe(document);
    expect(undoColourChange(document, 'one')).toBe(document);
  });
});
