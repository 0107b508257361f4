import fc from 'fast-check';
import type { Oklab } from '../colour/oklab';
import { ROLES } from '../palette/proportion';
import { anySrgb } from '../testing';
import { anyMediumRecipes } from '../mixing/medium-recipe-testing';
import { bareSwatch, type FileSwatch, type LibraryFile } from './library-file';

/** For tests: names in any script, with quotes, tabs, emoji and what ends comments, up to 200 characters. */
export const anyName = fc.oneof(
  fc.string({ unit: 'grapheme', maxLength: 60 }),
  fc.constantFrom(
    'قرمز تیره',
    'אדום־כהה, "מאוד"',
    '灯りの色',
    '🌧️ wet “slate”',
    'a\ttab',
    '*/ body { }',
    '"quoted"',
    "'single'",
    '=1+1',
    '-- <b>&amp;</b> ]]>',
    'one;two;; three',
    'line\nbreak',
    '#fff',
    '12',
    '--',
    'x'.repeat(200),
  ),
);

export const anyOklab: fc.Arbitrary<Oklab> = fc.record({
  L: fc.double({ min: 0, max: 1, noNaN: true }),
  a: fc.double({ min: -0.4, max: 0.4, noNaN: true }),
  b: fc.double({ min: -0.4, max: 0.4, noNaN: true }),
});

const anyProvenance = fc.record({
  studyId: fc.option(fc.uuid()),
  studyTitle: fc.string({ unit: 'grapheme', maxLength: 40 }),
  pictureHash: fc.option(fc.string({ maxLength: 8 })),
  x: fc.double({ min: 0, max: 1, noNaN: true }),
  y: fc.double({ min: 0, max: 1, noNaN: true }),
  radius: fc.double({ min: 0, max: 0.5, noNaN: true }),
});

const anyRecipe = fc.record({
  owner: fc.string({ unit: 'grapheme', maxLength: 20 }),
  parts: fc.array(
    fc.record({
      name: fc.string({ unit: 'grapheme', minLength: 1, maxLength: 20 }),
      pigments: fc.array(fc.constantFrom('PW6', 'PB29', 'PBr7-raw-umber', 'unknown'), {
        minLength: 1,
        maxLength: 3,
      }),
      parts: fc.constantFrom(0.05, 0.25, 1, 7),
    }),
    { minLength: 1, maxLength: 4 },
  ),
  colour: anyOklab,
  tried: fc.boolean(),
});

/** Libraries of everything that one can hold, their colours from `colours`. */
export function anyLibraryOf(colours: fc.Arbitrary<Oklab>): fc.Arbitrary<LibraryFile> {
  return fc.record({
    name: anyName,
    note: fc.string({ unit: 'grapheme', maxLength: 80 }),
    tags: fc.array(fc.string({ maxLength: 12 }), { maxLength: 4 }),
    swatches: fc.array(
      fc.record({
        name: anyName,
        otherNames: fc.array(anyName, { maxLength: 3 }),
        note: fc.string({ unit: 'grapheme', maxLength: 40 }),
        role: fc.option(fc.constantFrom(...ROLES)),
        colour: colours,
        share: fc.option(fc.double({ min: 0, max: 1, noNaN: true })),
        provenance: fc.option(anyProvenance),
        recipe: fc.option(anyRecipe),
        mediumRecipes: anyMediumRecipes,
      }),
      { minLength: 1, maxLength: 12 },
    ),
  });
}

/** Of colours that a screen can show. */
export const anyLibrary = anyLibraryOf(anySrgb);

/** As JSON has it: minus zero is zero there. */
export const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

export function libraryOf(
  name: string,
  swatches: readonly (readonly [string, Oklab])[],
): LibraryFile {
  return {
    name,
    note: '',
    tags: [],
    swatches: swatches.map(([own, colour]): FileSwatch => bareSwatch(own, colour)),
  };
}
