import fc from 'fast-check';
import { anySrgb } from '@/core/testing';
import { MAX_TRAY, studyDocumentSchema } from '@/contracts/study';
import {
  addSwatch,
  applyExtraction,
  editSwatch,
  moveSwatch,
  staysOnExtraction,
  withShares,
} from './edits';
import { removeSwatches } from './palette-edits';
import { libraryFrom } from './library';
import { ids, of, swatch, withTray } from './testing/trays';

let made = 0;
const newId = () => `new-${++made}`;

describe('extracting again', () => {
  const tray = withTray(
    swatch('dark', '#202840'),
    swatch('wet slate', '#56637a', { name: 'wet slate', note: 'roofs' }),
    swatch('kept red', '#a02018', { locked: true }),
    swatch('picked', '#f0c060', { origin: 'picked' }),
  );
  const found = (hexes: string[]) =>
    hexes.map((hex) => ({ colour: of(hex), share: 0.1, point: null }));
  const areas = (n: number) => Array.from({ length: n }, () => null);

  it('keeps what was picked or locked, and gives it its new share', () => {
    const after = applyExtraction(
      tray,
      4,
      found(['#a02018', '#f0c060', '#111111', '#eeeeee']),
      areas(4),
      newId,
    );
    const kept = after.palette.swatches.filter(({ id }) => id === 'kept red' || id === 'picked');
    expect(kept.map(({ share }) => share)).toEqual([0.1, 0.1]);
    expect(after.palette.count).toBe(4);
    expect(ids(after)).not.toContain('dark');
  });

  it('hands name, note and id to a colour that stayed nearly the same', () => {
    const after = applyExtraction(
      tray,
      4,
      found(['#a02018', '#f0c060', '#57647c', '#eeeeee']),
      areas(4),
      newId,
    );
    expect(after.palette.swatches.find(({ id }) => id === 'wet slate')).toMatchObject({
      name: 'wet slate',
      note: 'roofs',
    });
  });

  it('keeps the order that the person gave to what stays', () => {
    const mine = withTray(...tray.palette.swatches.toReversed());
    const after = applyExtraction(
      mine,
      5,
      found(['#a02018', '#f0c060', '#212941', '#57647c', '#eeeeee']),
      areas(5),
      newId,
    );
    expect(ids(after).slice(0, 4)).toEqual(ids(mine));
    expect(after.palette.swatches).toHaveLength(5);
  });

  it('always gives a tray that fits its contract, with names all different', () => {
    fc.assert(
      fc.property(fc.array(anySrgb, { minLength: 1, maxLength: 14 }), (colours) => {
        const kept = tray.palette.swatches
          .filter(staysOnExtraction)
          .map(({ colour }) => ({ colour, share: 0, point: null }));
        const fresh = colours.map((colour) => ({ colour, share: 0, point: null }));
        const after = applyExtraction(
          tray,
          8,
          [...kept, ...fresh],
          areas(kept.length + fresh.length),
          newId,
        );
        expect(studyDocumentSchema.safeParse(after).success).toBe(true);
        const names = after.palette.swatches.map(({ name }) => name);
        expect(new Set(names).size).toBe(names.length);
        expect(new Set(ids(after)).size).toBe(names.length);
      }),
    );
  });
});

describe('the tray', () => {
  const tray = withTray(swatch('a', '#101010'), swatch('b', '#808080'), swatch('c', '#f0f0f0'));

  it('takes a pick in at its value, with a name of its own', () => {
    const { name: _, ...pick } = swatch('pick', '#505050', { origin: 'picked' });
    const after = addSwatch(tray, pick);
    expect(ids(after)).toEqual(['a', 'pick', 'b', 'c']);
    expect(after.palette.swatches[1].name).toBe('dark grey');
  });

  it('says so when it is full', () => {
    const full = withTray(
      ...Array.from({ length: MAX_TRAY }, (_, i) => swatch(`s${i}`, '#123456')),
    );
    expect(() => addSwatch(full, swatch('one more', '#000000'))).toThrow(/holds 64/);
  });

  it('moves, edits and removes one swatch and leaves the others as they are', () => {
    expect(ids(moveSwatch(tray, 'a', 2))).toEqual(['b', 'c', 'a']);
    expect(ids(moveSwatch(tray, 'c', -5))).toEqual(['c', 'a', 'b']);
    expect(moveSwatch(tray, 'a', 0)).toBe(tray);
    expect(moveSwatch(tray, 'nobody', 1)).toBe(tray);
    expect(ids(removeSwatches(tray, new Set(['b'])))).toEqual(['a', 'c']);
    expect(editSwatch(tray, 'b', { name: 'fog' }).palette.swatches.map(({ name }) => name)).toEqual(
      ['a', 'fog', 'c'],
    );
    expect(withShares(tray, [0.5, 0.25]).palette.swatches.map(({ share }) => share)).toEqual([
      0.5,
      0.25,
      null,
    ]);
    expect(ids(tray)).toEqual(['a', 'b', 'c']);
  });

  it('becomes a library whose swatches know where they come from', () => {
    const area = { x: 0.2, y: 0.4, radius: 0.01 };
    const { swatches } = libraryFrom(
      withTray(swatch('a', '#101010', { area }), swatch('b', '#808080')),
      'study-1',
      { hash: 'abc' },
    );
    expect(swatches[0].provenance).toEqual({
      studyId: 'study-1',
      studyTitle: 'A study',
      pictureHash: 'abc',
      ...area,
    });
    expect(swatches[1].provenance).toBeNull();
  });
});
