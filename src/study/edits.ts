import { ciede2000 } from '@/core/colour/ciede2000';
import { labFromOklab } from '@/core/colour/cielab';
import { paletteNames } from '@/core/colour/name';
import type { Oklab } from '@/core/colour/oklab';
import { valueOfOklab } from '@/core/colour/value';
import type { Extraction } from '@/core/palette/extract';
import type { StudyDocument, TraySwatch } from '@/contracts/study';
import { checkRoom, withSwatches, type HasPalette } from './has-palette';

/** An extracted swatch this near (CIEDE2000) to one it replaces is the same colour to a painter, and keeps its name. */
const SAME_COLOUR = 5;

/** The radius that a place found by extraction is shown with, as a share of the diagonal. */
export const HOME_RADIUS = 0.015;

export type NewId = () => string;
export const newId: NewId = () => crypto.randomUUID();

/** Picked, locked, linked, changed and varied swatches stay when colours are extracted again. */
export function staysOnExtraction(swatch: TraySwatch): boolean {
  return (
    swatch.locked ||
    swatch.origin !== 'extracted' ||
    swatch.change !== null ||
    swatch.follows !== null ||
    swatch.parts.length > 0
  );
}

/** A black, white or such that stands beside the colours that are counted. */
export const isEnd = ({ origin }: TraySwatch): boolean => origin === 'end';

/** What stays, and is one of the colours that an extraction is to have. */
export const countsOnExtraction = (swatch: TraySwatch): boolean =>
  staysOnExtraction(swatch) && !isEnd(swatch);

/** What a swatch that is merely a colour has nothing to say of. */
export const DEFAULT_SWATCH_FIELDS = {
  role: null,
  follows: null,
  components: [],
  change: null,
  recipe: null,
  mediumRecipes: [],
  parts: [],
};

/** A swatch that is to be named by the tray; what it has nothing to say of may be left out. */
export type NewSwatch = Omit<TraySwatch, 'name' | keyof typeof DEFAULT_SWATCH_FIELDS> &
  Partial<Pick<TraySwatch, keyof typeof DEFAULT_SWATCH_FIELDS>>;

/**
 * Replaces the free swatches by an extraction that was made with the staying ones as `keep`, in
 * their order. A new swatch close to an old one takes over its id, name and note.
 */
export function applyExtraction(
  document: StudyDocument,
  count: number,
  found: Extraction['swatches'],
  areas: readonly TraySwatch['area'][],
  newId: NewId,
): StudyDocument {
  const { swatches } = document.palette;
  const staying = swatches.filter(countsOnExtraction);
  const kept = staying.map((swatch, i) => ({ ...swatch, share: found[i].share }));
  const ends = swatches.filter(isEnd);
  const free = swatches.filter((swatch) => !staysOnExtraction(swatch));
  const fresh = found.slice(staying.length);
  const heirs = inherit(
    fresh.map((swatch) => swatch.colour),
    free,
  );
  const taken = [...kept, ...ends, ...heirs].flatMap((swatch) => (swatch ? [swatch.name] : []));
  const nameless = fresh.filter((_, i) => !heirs[i]).map((swatch) => swatch.colour);
  const names = paletteNames(nameless, taken);
  const extracted = fresh.map(({ colour, share }, i): TraySwatch => {
    const heir = heirs[i];
    return {
      id: heir?.id ?? newId(),
      name: heir?.name ?? (names.shift() as string),
      note: heir?.note ?? '',
      colour,
      share,
      locked: false,
      origin: 'extracted',
      area: areas[staying.length + i],
      spread: null,
      ...DEFAULT_SWATCH_FIELDS,
      role: heir?.role ?? null,
      recipe: heir?.recipe ?? null,
      mediumRecipes: heir?.mediumRecipes ?? [],
    };
  });
  // What stays keeps its order; what is new goes where its value is.
  const now = new Map([...kept, ...ends, ...extracted].map((swatch) => [swatch.id, swatch]));
  const old = swatches.flatMap(({ id }) => now.get(id) ?? []);
  const all = extracted
    .filter((_, i) => !heirs[i])
    .reduce((tray, swatch) => byValueInto(tray, swatch), old);
  return { ...document, palette: { ...document.palette, count, swatches: all } };
}

/** For each new colour the nearest old swatch within reach, each old one used once. */
function inherit(colours: readonly Oklab[], old: readonly TraySwatch[]): (TraySwatch | null)[] {
  const left = new Set(old);
  return colours.map((colour) => {
    const lab = labFromOklab(colour);
    let nearest: TraySwatch | null = null;
    let least = SAME_COLOUR;
    for (const swatch of left) {
      const distance = ciede2000(lab, labFromOklab(swatch.colour));
      if (distance < least) {
        least = distance;
        nearest = swatch;
      }
    }
    if (nearest) left.delete(nearest);
    return nearest;
  });
}

/** Puts a swatch before the first that is lighter. */
export function byValueInto(tray: readonly TraySwatch[], swatch: TraySwatch): TraySwatch[] {
  const value = valueOfOklab(swatch.colour);
  const lighter = tray.findIndex((other) => valueOfOklab(other.colour) > value);
  return tray.toSpliced(lighter < 0 ? tray.length : lighter, 0, swatch);
}

/** Adds a swatch at its place by value. Throws a RangeError when the tray is full. */
export function addSwatch<D extends HasPalette>(document: D, swatch: NewSwatch): D {
  const { swatches } = document.palette;
  checkRoom(document, 1);
  const [name] = paletteNames(
    [swatch.colour],
    swatches.map((other) => other.name),
  );
  return withSwatches(
    document,
    byValueInto(swatches, { ...DEFAULT_SWATCH_FIELDS, ...swatch, name }),
  );
}

export function editSwatch<D extends HasPalette>(
  document: D,
  id: string,
  part: Partial<Pick<TraySwatch, 'name' | 'note' | 'locked' | 'role'>>,
): D {
  return withSwatches(
    document,
    document.palette.swatches.map((swatch) => (swatch.id === id ? { ...swatch, ...part } : swatch)),
  );
}

/** Moves a swatch to a position; the others close up. */
export function moveSwatch<D extends HasPalette>(document: D, id: string, to: number): D {
  const { swatches } = document.palette;
  const from = swatches.findIndex((swatch) => swatch.id === id);
  const bounded = Math.min(swatches.length - 1, Math.max(0, to));
  if (from < 0 || from === bounded) return document;
  return withSwatches(document, swatches.toSpliced(from, 1).toSpliced(bounded, 0, swatches[from]));
}

/** Shares nearer than this are the same: they come of the same pixels, summed in another order. */
const SAME_SHARE = 1e-6;

/** Sets the shares, in the order of the swatches; the document itself where they are so already. */
export function withShares<D extends HasPalette>(document: D, shares: readonly number[]): D {
  const { swatches } = document.palette;
  const same = swatches.every(
    ({ share }, i) => share !== null && Math.abs(share - shares[i]) < SAME_SHARE,
  );
  return same
    ? document
    : withSwatches(
        document,
        swatches.map((swatch, i) => ({ ...swatch, share: shares[i] ?? null })),
      );
}
