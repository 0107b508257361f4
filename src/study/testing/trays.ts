import { oklabFromHex } from '@/core/colour/hex';
import type { Oklab } from '@/core/colour/oklab';
import { newDocument, type StudyDocument, type TraySwatch } from '@/contracts/study';

/** For tests: the colour of a hex code. */
export const of = (hex: string) => oklabFromHex(hex) as Oklab;

/** For tests: an extracted swatch that takes a fifth, named by its id. */
export function swatch(id: string, hex: string, part: Partial<TraySwatch> = {}): TraySwatch {
  return {
    id,
    name: id,
    note: '',
    colour: of(hex),
    share: 0.2,
    locked: false,
    origin: 'extracted',
    area: null,
    spread: null,
    role: null,
    follows: null,
    components: [],
    change: null,
    recipe: null,
    mediumRecipes: [],
    parts: [],
    ...part,
  };
}

/** For tests: a study with these in its tray. */
export function withTray(...swatches: TraySwatch[]): StudyDocument {
  const document = newDocument('A study');
  return { ...document, palette: { ...document.palette, swatches } };
}

export const ids = (document: StudyDocument) => document.palette.swatches.map(({ id }) => id);
