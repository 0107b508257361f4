import { familyOf } from '@/core/colour/wheel';
import { NO_MOVES } from '@/core/palette/colour-change';
import { moveColour, undoColourChange } from './colour-edits';
import { oklchFromOklab } from '@/core/colour/oklab';
import { valueOfOklab } from '@/core/colour/value';
import { DEFAULT_LADDER } from '@/core/palette/ladder';
import type { PaletteSet } from '@/contracts/palette';
import { MAX_TRAY, studyDocumentSchema } from '@/contracts/study';
import { applyExtraction, staysOnExtraction } from './edits';
import { mergeSwatches, removeSwatches, takeApart } from './palette-edits';
import {
  addDerived,
  addSet,
  changeSet,
  coloursOfSet,
  followed,
  unlink,
  unlinkSet,
  withoutEmptySets,
} from './set-edits';
import { ids, of, swatch, withTray } from './testing/trays';

let made = 0;
const newId = () => `new-${++made}`;
const blues: PaletteSet = {
  id: 'blues',
  kind: 'ladder',
  colour: of('#3b5f9e'),
  settings: DEFAULT_LADDER,
};
const triad: PaletteSet = {
  id: 'triad',
  kind: 'harmony',
  colour: of('#3b5f9e'),
  wheel: 'painters',
  settings: {
    scheme: 'triad',
    values: [3, 5, 7],
    intensity: 0.4,
    intensities: [],
    keepsKey: false,
    tones: 1,
    turn: 0,
    turns: [],
  },
};
const tray = withTray(swatch('cream', '#f0e6c8'));
const linked = (document: typeof tray) =>
  document.palette.swatches.filter(({ follows }) => follows !== null);

describe('a ladder in the tray', () => {
  it('comes as linked tones by value, and is kept with the study', () => {
    const after = addSet(tray, blues, newId);
    expect(after.palette.swatches).toHaveLength(6);
    const values = after.palette.swatches.map(({ colour }) => valueOfOklab(colour));
    expect([...values].sort((a, b) => a - b)).toEqual(values);
    expect(studyDocumentSchema.parse(after)).toEqual(after);
  });

  it('swings as one, and keeps ids, names and notes', () => {
    const before = addSet(tray, blues, newId);
    const swung = { ...blues, settings: { ...DEFAULT_LADDER, swing: 90 } };
    const after = changeSet(before, swung, newId);
    expect(ids(after)).toEqual(ids(before));
    const hue = oklchFromOklab(blues.colour).h + 90;
    for (const { colour } of linked(after))
      expect(oklchFromOklab(colour).h).toBeCloseTo(hue % 360, 3);
    expect(after.palette.swatches.map(({ name }) => name)).toEqual(
      before.palette.swatches.map(({ name }) => name),
    );
  });

  it('grows and shrinks with its steps, and does not bring back what was deleted', () => {
    const before = addSet(tray, blues, newId);
    const more = changeSet(before, { ...blues, settings: { ...DEFAULT_LADDER, steps: 7 } }, newId);
    expect(linked(more)).toHaveLength(7);
    const fewer = changeSet(more, { ...blues, settings: { ...DEFAULT_LADDER, steps: 3 } }, newId);
    expect(linked(fewer)).toHaveLength(3);
    const without = removeSwatches(fewer, new Set([linked(fewer)[2].id]));
    const swung = { ...blues, settings: { ...DEFAULT_LADDER, steps: 3, swing: 10 } };
    expect(linked(changeSet(without, swung, newId))).toHaveLength(2);
  });

  it('lets its tones go, one or all', () => {
    const before = addSet(tray, blues, newId);
    const [first] = linked(before);
    const one = unlink(before, first.id);
    expect(linked(one)).toHaveLength(4);
    const swung = changeSet(one, { ...blues, settings: { ...DEFAULT_LADDER, swing: 90 } }, newId);
    expect(swung.palette.swatches.find(({ id }) => id === first.id)?.colour).toEqual(first.colour);
    const all = unlinkSet(before, 'blues');
    expect(linked(all)).toEqual([]);
    expect(all.palette.sets).toEqual([]);
    const none = removeSwatches(before, new Set(linked(before).map(({ id }) => id)));
    expect(withoutEmptySets(none).palette.sets).toEqual([]);
    expect(withoutEmptySets(before)).toBe(before);
  });

  it('stays while its tones are only merged, and is followed again when they are taken apart', () => {
    const before = addSet(tray, blues, newId);
    const all = new Set(linked(before).map(({ id }) => id));
    const merged = withoutEmptySets(mergeSwatches(before, all, newId));
    expect(merged.palette.sets).toHaveLength(1);
    const [one] = merged.palette.swatches.filter(({ parts }) => parts.length > 0);
    const apart = takeApart(merged, one.id);
    expect(apart).toEqual(before);
    const swung = { ...blues, settings: { ...DEFAULT_LADDER, swing: 30 } };
    expect(linked(changeSet(apart, swung, newId))).toHaveLength(5);
  });

  it('says when there is no room', () => {
    const full = withTray(
      ...Array.from({ length: MAX_TRAY - 2 }, (_, i) => swatch(`s${i}`, '#123456')),
    );
    expect(() => addSet(full, blues, newId)).toThrow(/holds 64/);
  });
});

describe('a harmony in the tray', () => {
  it('turns as one, and several sets stand beside each other', () => {
    const both = addSet(addSet(tray, blues, newId), triad, newId);
    expect(both.palette.sets.map(({ id }) => id)).toEqual(['blues', 'triad']);
    expect(linked(both)).toHaveLength(8);
    const turned = { ...triad, settings: { ...triad.settings, turn: 2 } } as PaletteSet;
    const after = changeSet(both, turned, newId);
    const of = (document: typeof both, set: string) =>
      linked(document)
        .filter(({ follows }) => follows?.kind === 'set' && follows.id === set)
        .map(({ colour }) => colour);
    expect(of(after, 'blues')).toEqual(of(both, 'blues'));
    const wanted = coloursOfSet(turned);
    for (const colour of of(after, 'triad')) expect(wanted).toContainEqual(colour);
  });
});

describe('a derived colour', () => {
  const rule = { rule: 'shadow' as const, amount: 0.5, warmth: 0.5, wheel: 'painters' as const };

  it('is a linked child that follows its parent, and its own children follow it', () => {
    const start = addSet(tray, blues, newId);
    const parent = linked(start)[3];
    const child = addDerived(start, { ...rule, from: parent.id }, newId);
    const added = child.palette.swatches.find(({ id }) => !ids(start).includes(id));
    expect(added?.name).toBe(`${parent.name}: shadow`);
    expect(valueOfOklab(added!.colour)).toBeLessThan(valueOfOklab(parent.colour));
    const grand = addDerived(child, { ...rule, rule: 'tint', from: added!.id }, newId);
    const swung = changeSet(grand, { ...blues, settings: { ...DEFAULT_LADDER, swing: 60 } }, newId);
    const colourOf = (document: typeof grand, id: string) =>
      document.palette.swatches.find((one) => one.id === id)?.colour;
    const last = grand.palette.swatches.find(({ id }) => !ids(child).includes(id))!;
    expect(colourOf(swung, added!.id)).not.toEqual(added!.colour);
    expect(colourOf(swung, last.id)).not.toEqual(last.colour);
    expect(studyDocumentSchema.parse(swung)).toEqual(swung);
  });

  it('follows when its parent is found anew by extraction', () => {
    const child = addDerived(tray, { ...rule, from: 'cream' }, newId);
    const derivedId = ids(child).find((id) => id !== 'cream') as string;
    const keep = child.palette.swatches.filter(staysOnExtraction);
    const after = followed(
      applyExtraction(
        child,
        2,
        [
          ...keep.map(({ colour }) => ({ colour, share: 0, point: null })),
          { colour: of('#ece0bc'), share: 1, point: null },
        ],
        [null, null],
        newId,
      ),
    );
    const colourOf = (document: typeof child) =>
      document.palette.swatches.find(({ id }) => id === derivedId)?.colour;
    expect(ids(after)).toContain('cream');
    expect(colourOf(after)).not.toEqual(colourOf(child));
  });

  it('of what is not there is nothing done', () => {
    expect(addDerived(tray, { ...rule, from: 'gone' }, newId)).toBe(tray);
  });
});

describe('the swatch that a set is built from', () => {
  const blue = swatch('blue', '#3b5f9e');
  const tray = withTray(swatch('cream', '#f0e6c8'), blue);

  it('is one of its tones, and moves with them', () => {
    const after = addSet(tray, blues, newId, 'blue');
    expect(after.palette.swatches).toHaveLength(2 + DEFAULT_LADDER.steps - 1);
    expect(linked(after)).toHaveLength(DEFAULT_LADDER.steps);
    expect(linked(after).some(({ id }) => id === 'blue')).toBe(true);
    const swung = { ...blues, settings: { ...DEFAULT_LADDER, swing: 90 } };
    const moved = changeSet(after, swung, newId);
    expect(ids(moved)).toEqual(ids(after));
    expect(moved.palette.swatches.find(({ id }) => id === 'blue')?.colour).not.toEqual(blue.colour);
  });

  it('stays by itself where it is locked, or not the colour of any tone', () => {
    const locked = withTray({ ...blue, locked: true });
    expect(linked(addSet(locked, blues, newId, 'blue'))).toHaveLength(DEFAULT_LADDER.steps);
    expect(ids(addSet(locked, blues, newId, 'blue'))).toHaveLength(1 + DEFAULT_LADDER.steps);
    expect(ids(addSet(tray, triad, newId, 'blue'))).toHaveLength(2 + 3);
  });

  it('is the key of a harmony that keeps it', () => {
    const keeping = {
      ...triad,
      settings: { ...triad.settings, keepsKey: true },
    } as PaletteSet;
    const after = addSet(tray, keeping, newId, 'blue');
    expect(ids(after)).toHaveLength(2 + 2);
    expect(linked(after).map(({ id }) => id)).toContain('blue');
  });
});

describe('a key that is changed by hand', () => {
  const blue = swatch('blue', '#3b5f9e');
  const built = addSet(withTray(blue), blues, newId, 'blue');
  const of1 = (document: typeof built, id: string) =>
    document.palette.swatches.find((one) => one.id === id)!;
  const byValue = (document: typeof built) =>
    linked(document)
      .map(({ colour, follows }) => ({
        value: valueOfOklab(colour),
        index: follows?.kind === 'set' ? follows.index : -1,
      }))
      .sort((one, other) => one.value - other.value);

  it('takes its ladder along, among whose tones it finds its place, and both go back', () => {
    for (const moves of [
      { ...NO_MOVES, turn: 3 },
      { ...NO_MOVES, value: 2.5 },
      { ...NO_MOVES, value: -1.5, chroma: -0.03 },
    ]) {
      const moved = moveColour(built, 'blue', moves);
      const key = of1(moved, 'blue');
      expect(key.follows?.kind).toBe('set');
      expect(linked(moved)).toHaveLength(DEFAULT_LADDER.steps);
      expect(byValue(moved).map(({ index }) => index)).toEqual([0, 1, 2, 3, 4]);
      const hue = oklchFromOklab(key.colour).h;
      for (const { colour } of linked(moved))
        expect(Math.abs(oklchFromOklab(colour).h - hue)).toBeLessThan(1);
      expect(studyDocumentSchema.parse(moved)).toEqual(moved);
      const back = undoColourChange(moved, 'blue');
      expect(of1(back, 'blue')).toEqual(of1(built, 'blue'));
      back.palette.swatches.forEach(({ colour }, i) => {
        const was = built.palette.swatches[i].colour;
        expect(Math.hypot(colour.L - was.L, colour.a - was.a, colour.b - was.b)).toBeLessThan(1e-6);
      });
    }
  });

  it('takes its harmony along, turned as it was', () => {
    const keeping = { ...triad, settings: { ...triad.settings, keepsKey: true } } as PaletteSet;
    const harmony = addSet(withTray(blue), keeping, newId, 'blue');
    const moved = moveColour(harmony, 'blue', { ...NO_MOVES, turn: 4 });
    const families = (document: typeof built) =>
      linked(document)
        .map(({ colour }) => familyOf(colour).name)
        .sort();
    expect(families(harmony)).toEqual(['blue', 'red', 'yellow']);
    expect(families(moved)).toEqual(['blue', 'red', 'yellow']);
    expect(familyOf(of1(moved, 'blue').colour).name).toBe('red');
  });

  it('lets another tone that is changed go by itself', () => {
    const other = linked(built).find(({ id }) => id !== 'blue')!;
    const moved = moveColour(built, other.id, { ...NO_MOVES, value: 0.5 });
    expect(of1(moved, other.id).follows).toBeNull();
    expect(of1(moved, 'blue').colour).toEqual(blue.colour);
  });

  it('is what the set makes of it, once that is swung', () => {
    const moved = moveColour(built, 'blue', { ...NO_MOVES, value: 1 });
    const [set] = moved.palette.sets;
    if (set.kind !== 'ladder') throw new Error('a ladder was built');
    const swung = changeSet(moved, { ...set, settings: { ...set.settings, swing: 60 } }, newId);
    expect(of1(swung, 'blue').change).toBeNull();
    expect(of1(swung, 'blue').colour).not.toEqual(of1(moved, 'blue').colour);
  });
});
