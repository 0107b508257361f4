import { oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { DEFAULT_LADDER } from '@/core/palette/ladder';
import { libraryContentSchema, type LibraryContent, type Swatch } from '@/contracts/library';
import { moveColour, moveColours, spreadInValue, undoColourChange } from './colour-edits';
import { mergeSwatches, removeSwatches, takeApart } from './palette-edits';
import { addSet, changeSet } from './set-edits';
import {
  addToLibrary,
  differencesFromStudy,
  editLibrary,
  libraryFrom,
  namedSwatches,
  paletteOfLibrary,
  DEFAULT_LIBRARY_PALETTE,
  DEFAULT_LIBRARY_SWATCH,
} from './library';
import { swatch as traySwatch, withTray } from './testing/trays';
import { NO_MOVES } from '@/core/palette/colour-change';
import { valueOfOklab } from '@/core/colour/value';

const of = (hex: string) => oklabFromHex(hex) as Oklab;
const swatch = (id: string, hex: string, part: Partial<Swatch> = {}): Swatch => ({
  id,
  name: id,
  note: '',
  role: null,
  colour: of(hex),
  share: 0.3,
  ...DEFAULT_LIBRARY_SWATCH,
  ...part,
});
const place = {
  studyId: null,
  studyTitle: 'Dusk',
  pictureHash: null,
  x: 0.2,
  y: 0.4,
  radius: 0.01,
};
const library: LibraryContent = {
  ...DEFAULT_LIBRARY_PALETTE,
  name: 'Dusk',
  note: '',
  tags: [],
  swatches: [
    swatch('ink', '#20242c', { otherNames: ['soot'], provenance: place }),
    swatch('slate', '#4a5666', { share: 0.5, provenance: { ...place, x: 0.7 } }),
    swatch('lamp', '#f0a94c'),
  ],
};
let made = 0;
const newId = () => `new-${++made}`;

describe('a library as a palette', () => {
  it('is edited by what edits a study’s, and what only a library says stays', () => {
    const moved = editLibrary(library, (palette) =>
      moveColour(palette, 'ink', { ...NO_MOVES, value: 1 }),
    );
    expect(moved.swatches[0]).toMatchObject({ otherNames: ['soot'], provenance: place });
    expect(valueOfOklab(moved.swatches[0].colour)).toBeCloseTo(
      valueOfOklab(library.swatches[0].colour) + 1,
      1,
    );
    expect(moved.swatches.slice(1)).toEqual(library.swatches.slice(1));
    expect(libraryContentSchema.parse(moved)).toEqual(moved);
    const back = editLibrary(moved, (palette) => undoColourChange(palette, 'ink'));
    expect(back).toEqual(library);
  });

  it('is the same content where an edit changes nothing', () => {
    expect(editLibrary(library, (palette) => undoColourChange(palette, 'ink'))).toBe(library);
  });

  it('remembers what was merged as other names and at the place of the largest, and takes it apart again', () => {
    const merged = editLibrary(library, (palette) =>
      mergeSwatches(palette, new Set(['ink', 'slate']), newId),
    );
    expect(merged.swatches).toHaveLength(2);
    const [one] = merged.swatches;
    expect(one.name).toBe('slate');
    expect(one.otherNames).toEqual(['ink', 'soot']);
    expect(one.provenance?.x).toBe(0.7);
    expect(libraryContentSchema.parse(merged)).toEqual(merged);
    const apart = editLibrary(merged, (palette) => takeApart(palette, one.id));
    expect(apart.swatches).toEqual(library.swatches);
  });

  it('holds a ladder that swings, and may hold more than a tray', () => {
    const set = {
      id: 'blues',
      kind: 'ladder' as const,
      colour: of('#3b5f9e'),
      settings: DEFAULT_LADDER,
    };
    const many = {
      ...library,
      swatches: Array.from({ length: 80 }, (_, i) => swatch(`s${i}`, '#808080')),
    };
    const built = editLibrary(many, (palette) => addSet(palette, set, newId));
    expect(built.swatches).toHaveLength(85);
    const swung = editLibrary(built, (palette) =>
      changeSet(palette, { ...set, settings: { ...DEFAULT_LADDER, swing: 90 } }, newId),
    );
    expect(swung.swatches.filter(({ follows }) => follows !== null)).toHaveLength(5);
    expect(swung.swatches.map(({ id }) => id)).toEqual(built.swatches.map(({ id }) => id));
    expect(libraryContentSchema.parse(swung)).toEqual(swung);
  });

  it('moves all at once: lighter, or closer together in value, and each goes back', () => {
    const ids = new Set(library.swatches.map(({ id }) => id));
    const values = (content: LibraryContent) =>
      content.swatches.map(({ colour }) => valueOfOklab(colour));
    const lighter = editLibrary(library, (palette) => moveColours(palette, ids, { value: 0.5 }));
    values(lighter).forEach((value, i) => expect(value).toBeCloseTo(values(library)[i] + 0.5, 1));
    const closer = editLibrary(library, (palette) => spreadInValue(palette, ids, 0.5));
    const range = (content: LibraryContent) =>
      Math.max(...values(content)) - Math.min(...values(content));
    expect(range(closer)).toBeCloseTo(range(library) / 2, 1);
    const back = [...ids].reduce(
      (content, id) => editLibrary(content, (palette) => undoColourChange(palette, id)),
      closer,
    );
    expect(back.swatches.map(({ colour }) => colour)).toEqual(
      library.swatches.map(({ colour }) => colour),
    );
  });

  it('lets what followed a swatch that is gone stand by itself', () => {
    const { palette } = paletteOfLibrary(library);
    expect(removeSwatches({ palette }, new Set(['ink'])).palette.swatches).toHaveLength(2);
  });
});

describe('swatches brought into a library', () => {
  it('come at their places by value, under names of their own', () => {
    const added = addToLibrary(
      library,
      namedSwatches(library, [of('#8a6f4d'), of('#8a6f4d')]),
      newId,
    );
    expect(added.swatches).toHaveLength(5);
    expect(new Set(added.swatches.map(({ name }) => name)).size).toBe(5);
    expect(added.swatches[0].id).toBe('ink');
    expect(added.swatches.at(-1)?.id).toBe('lamp');
  });

  it('are refused where there is no room', () => {
    const full = {
      ...library,
      swatches: Array.from({ length: 5000 }, (_, i) => swatch(`s${i}`, '#808080')),
    };
    expect(() => addToLibrary(full, namedSwatches(library, [of('#000000')]), newId)).toThrow(
      /holds 5000/,
    );
  });
});

describe('a library and the study it was made in', () => {
  it('are told apart by what changed, is new, and is gone', () => {
    const study = withTray(
      traySwatch('ink', '#20242c'),
      traySwatch('slate', '#4a5666'),
      traySwatch('moss', '#4c5a3a'),
    );
    const saved = { ...library, ...libraryFrom(study, 'study', { hash: 'x' }) };
    expect(differencesFromStudy(saved.swatches, study.palette.swatches)).toEqual({
      recoloured: [],
      renamed: [],
      otherRole: [],
      onlyHere: [],
      onlyThere: [],
    });
    const [ink, slate] = saved.swatches;
    const edited = [
      { ...ink, colour: of('#30343c') },
      { ...slate, name: 'roof', role: 'main' as const },
      swatch('lamp', '#f0a94c'),
    ];
    expect(differencesFromStudy(edited, study.palette.swatches)).toEqual({
      recoloured: [ink.name],
      renamed: ['roof'],
      otherRole: ['roof'],
      onlyHere: ['lamp'],
      onlyThere: [study.palette.swatches.find(({ id }) => id === saved.swatches[2].id)?.name],
    });
  });
});
