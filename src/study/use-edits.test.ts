import { oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { MOOD_SETTINGS } from '@/core/transfer/moods';
import { newDocument, studyDocumentSchema, type StudyDocument } from '@/contracts/study';
import { MAX_HELD, MAX_USED, MAX_VARIANTS, type UsedColour } from '@/contracts/use';
import { withSwatches } from './has-palette';
import { addSwatch } from './edits';
import {
  addColours,
  freeMass,
  holdMass,
  keepNoPart,
  keepPart,
  keepVariant,
  leaveColourOut,
  moveMass,
  removeVariant,
  renameVariant,
  takeColours,
  takeVariant,
  usedColours,
  wantColour,
  withKey,
  withMood,
  withoutMoves,
  withTransfer,
} from './use-edits';

const colour = (id: string, hex: string): UsedColour => ({
  id,
  name: `colour ${id}`,
  colour: oklabFromHex(hex) as Oklab,
  share: 0.2,
  height: 0.4,
  from: 'A harbour',
});
const COLOURS = [colour('a', '#203040'), colour('b', '#c08040')];
const fresh = (): StudyDocument =>
  addSwatch(newDocument('A yard'), {
    id: 'own',
    colour: oklabFromHex('#556677') as Oklab,
    note: '',
    share: null,
    locked: false,
    origin: 'picked',
    area: { x: 0.5, y: 0.2, radius: 0.01 },
    spread: null,
  });
const valid = (document: StudyDocument) =>
  expect(studyDocumentSchema.parse(document)).toEqual(document);
let count = 0;
const newId = () => `id ${count++}`;

describe('the colours that are put on a picture', () => {
  it('are the study’s own, those of elsewhere, or both', () => {
    expect(usedColours(fresh()).map(({ id, height }) => [id, height])).toEqual([['own', 0.2]]);
    const taken = takeColours(fresh(), COLOURS);
    expect(usedColours(taken).map(({ id }) => id)).toEqual(['a', 'b']);
    const both = addColours(taken, [...COLOURS, colour('c', '#ffffff')], newId);
    expect(usedColours(both).map(({ id }) => id)).toEqual(['a', 'b', 'c']);
    // The same id with another colour is another colour.
    const changed = addColours(both, [colour('a', '#00ff00')], newId);
    const ids = usedColours(changed).map(({ id }) => id);
    expect(ids).toHaveLength(4);
    expect(new Set(ids).size).toBe(4);
    expect(usedColours(addColours(fresh(), COLOURS, newId)).map(({ id }) => id)).toEqual([
      'own',
      'a',
      'b',
    ]);
    expect(usedColours(takeColours(both, null)).map(({ id }) => id)).toEqual(['own']);
    valid(both);
  });

  it('that are left out free their masses, and leave the palette', () => {
    const held = wantColour(
      holdMass(takeColours(fresh(), COLOURS), { x: 0.1, y: 0.2 }, 'a'),
      'a',
      1,
    );
    const left = leaveColourOut(held, 'a');
    expect(usedColours(left).map(({ id }) => id)).toEqual(['b']);
    expect(left.use.transfer).toMatchObject({ held: [], prominence: [] });
    const own = leaveColourOut(fresh(), 'own');
    expect(own.palette.swatches).toHaveLength(1);
    expect(usedColours(own)).toEqual([]);
    valid(left);
  });

  it('are no more than there is room for', () => {
    const many = Array.from({ length: MAX_USED }, (_, i) => colour(`n${i}`, '#123456'));
    const full = takeColours(fresh(), many);
    expect(() => addColours(full, [colour('more', '#654321')], newId)).toThrow(/Leave some out/);
    expect(() => addColours(full, [colour('n1', '#123456')], newId)).not.toThrow();
  });
});

describe('masses', () => {
  it('are held once each, and freed', () => {
    const taken = takeColours(fresh(), COLOURS);
    const once = holdMass(taken, { x: 0.1, y: 0.2 }, 'a');
    const again = holdMass(once, { x: 0.12, y: 0.2 }, 'b', [{ x: 0.1, y: 0.2 }]);
    expect(again.use.transfer.held).toEqual([{ x: 0.12, y: 0.2, colour: 'b' }]);
    expect(freeMass(again, [{ x: 0.12, y: 0.2 }]).use.transfer.held).toEqual([]);
    const full = withTransfer(taken, {
      held: Array.from({ length: MAX_HELD }, (_, i) => ({ x: i / MAX_HELD, y: 0, colour: 'a' })),
    });
    expect(() => holdMass(full, { x: 0.5, y: 0.5 }, 'a')).toThrow(/Free some/);
  });

  it('move by steps up to an end, and back to where they were', () => {
    const place = { x: 0.3, y: 0.3 };
    let document = moveMass(fresh(), place, { value: 1 }, []);
    for (let i = 0; i < 9; i++) document = moveMass(document, place, { value: 1 }, [place]);
    expect(document.use.whatIf).toEqual([
      { ...place, moves: { value: 6, warmth: 0, chroma: 0, distance: 0 } },
    ]);
    for (let i = 0; i < 6; i++) document = moveMass(document, place, { value: -1 }, [place]);
    expect(document.use.whatIf).toEqual([]);
    const two = moveMass(
      moveMass(fresh(), place, { warmth: 2 }, []),
      { x: 0.8, y: 0.1 },
      { chroma: -1 },
      [],
    );
    expect(withoutMoves(two, [place]).use.whatIf).toHaveLength(1);
    expect(withoutMoves(two, null).use.whatIf).toEqual([]);
    valid(two);
  });

  it('of looped parts keep their colours', () => {
    const part = {
      id: 'p',
      tool: 'lasso' as const,
      radius: 0,
      points: [
        { x: 0, y: 0 },
        { x: 1, y: 0 },
        { x: 1, y: 1 },
      ],
    };
    const kept = keepPart(fresh(), part);
    expect(kept.use.parts).toEqual([part]);
    expect(keepNoPart(kept).use.parts).toEqual([]);
    let full = kept;
    for (let i = 1; i < 100; i++) full = keepPart(full, { ...part, id: `p${i}` });
    expect(() => keepPart(full, part)).toThrow(/Undo some/);
  });
});

describe('a mood', () => {
  it('is as it is meant until a slider moves it', () => {
    const dusk = withMood(fresh(), 'dusk');
    expect(dusk.use.mood.settings).toEqual(MOOD_SETTINGS.dusk);
    const moved = withMood(dusk, 'dusk', { key: 0.5 });
    const twice = withMood(moved, 'dusk', { range: 1.2 });
    expect(twice.use.mood.settings).toEqual({ ...MOOD_SETTINGS.dusk, key: 0.5, range: 1.2 });
    expect(withMood(twice, 'dusk').use.mood.settings).toEqual(MOOD_SETTINGS.dusk);
    expect(withMood(twice, 'fog', { key: 1 }).use.mood.settings).toEqual({
      ...MOOD_SETTINGS.fog,
      key: 1,
    });
  });
});

describe('variants', () => {
  it('keep what was tried, with its colours as they were', () => {
    const kept = keepVariant(fresh(), 'transfer', 'Quiet', newId);
    const [{ id, made }] = kept.use.variants;
    const changed = takeColours(withSwatches(kept, []), COLOURS);
    const back = takeVariant(changed, id);
    expect(made.kind).toBe('transfer');
    expect(usedColours(back).map((one) => one.id)).toEqual(['own']);
    // The palette of the study stays what it was made into.
    expect(back.palette.swatches).toEqual([]);
    valid(back);
  });

  it.each(['mood', 'what if', 'key'] as const)('of a %s come back', (kind) => {
    const tried = withKey(
      moveMass(withMood(fresh(), 'lamp'), { x: 0.5, y: 0.5 }, { distance: -2 }, []),
      { hue: 200, degree: 1 },
    );
    const kept = keepVariant(tried, kind, 'Kept', newId);
    const other = withKey(withoutMoves(withMood(kept, 'fog'), null), { hue: 10 });
    const back = takeVariant(other, kept.use.variants[0].id);
    const part = { mood: 'mood', 'what if': 'whatIf', key: 'key' } as const;
    expect(back.use[part[kind]]).toEqual(tried.use[part[kind]]);
    valid(kept);
  });

  it('are named, deleted, and no more than fit', () => {
    let document = fresh();
    for (let i = 0; i < MAX_VARIANTS; i++) document = keepVariant(document, 'mood', `${i}`, newId);
    expect(() => keepVariant(document, 'mood', 'one more', newId)).toThrow(/Delete one/);
    const { id } = document.use.variants[3];
    expect(renameVariant(document, id, 'Third').use.variants[3].name).toBe('Third');
    const less = removeVariant(document, id);
    expect(less.use.variants).toHaveLength(MAX_VARIANTS - 1);
    expect(takeVariant(less, id)).toBe(less);
  });
});
