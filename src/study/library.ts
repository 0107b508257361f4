import { paletteNames } from '@/core/colour/name';
import type { Oklab } from '@/core/colour/oklab';
import { DEFAULT_TARGET } from '@/core/palette/proportion';
import { MAX_LIBRARY_SWATCHES } from '@/core/formats/library-file';
import type { LibraryContent, Swatch } from '@/contracts/library';
import type { StudyDocument, TraySwatch } from '@/contracts/study';
import { DEFAULT_SWATCH_FIELDS, type NewId } from './edits';
import { checkRoom, type HasPalette } from './has-palette';
import { sameColour } from './set-edits';

/** What a swatch has nothing to say of that is merely a colour in a library. */
export const DEFAULT_LIBRARY_SWATCH = {
  otherNames: [],
  provenance: null,
  follows: null,
  change: null,
  recipe: null,
  mediumRecipes: [],
  parts: [],
} satisfies Partial<Swatch>;
/** What a library has beside its swatches that nothing was built in. */
export const DEFAULT_LIBRARY_PALETTE = {
  sets: [],
  target: DEFAULT_TARGET,
} satisfies Partial<LibraryContent>;

/** The tray as a library's content, each swatch with where it came from. */
export function libraryFrom(
  document: StudyDocument,
  studyId: string,
  picture: { hash: string },
): { studyId: string } & Pick<LibraryContent, 'swatches' | 'sets' | 'target'> {
  const { swatches, sets, target } = document.palette;
  const kept = (swatch: TraySwatch): Swatch => {
    const {
      id,
      name,
      note,
      role,
      colour,
      share,
      area,
      follows,
      change,
      recipe,
      mediumRecipes,
      parts,
    } = swatch;
    return {
      id,
      name,
      otherNames: [],
      note,
      role,
      colour,
      share,
      provenance: area && {
        studyId,
        studyTitle: document.title,
        pictureHash: picture.hash,
        ...area,
      },
      follows,
      change,
      recipe,
      mediumRecipes,
      parts: parts.map((part) => ({ at: part.at, swatch: kept(part.swatch) })),
    };
  };
  return { studyId, swatches: swatches.map(kept), sets, target };
}

/** A library's swatch as the palette's edits move it; what only a library says of it goes along. */
type LibraryTraySwatch = TraySwatch & Partial<Pick<Swatch, 'otherNames' | 'provenance'>>;

/** A library as a palette to be edited; the last is kept, so that the same content is the same palette. */
export function paletteOfLibrary({ swatches, sets, target }: LibraryContent): HasPalette {
  return {
    palette: { swatches: swatches.map(inTray), sets, target, max: MAX_LIBRARY_SWATCHES },
  };
}

/** A library with an edit of its palette. */
export function editLibrary(
  content: LibraryContent,
  edit: (palette: HasPalette) => HasPalette,
): LibraryContent {
  const before = paletteOfLibrary(content);
  const { palette } = edit(before);
  if (palette === before.palette) return content;
  const was = new Map(before.palette.swatches.map((swatch, i) => [swatch, content.swatches[i]]));
  return {
    ...content,
    swatches: palette.swatches.map((swatch) => was.get(swatch) ?? fromTray(swatch)),
    sets: palette.sets,
    target: palette.target,
  };
}

function inTray({ parts, ...swatch }: Swatch): LibraryTraySwatch {
  return {
    ...DEFAULT_SWATCH_FIELDS,
    ...swatch,
    locked: false,
    origin: 'brought in',
    area: null,
    spread: null,
    parts: parts.map((part) => ({ at: part.at, swatch: inTray(part.swatch) })),
  };
}

/** What was merged goes on as another name, and keeps the place of its largest part. */
function fromTray(swatch: LibraryTraySwatch): Swatch {
  const { id, name, note, role, colour, share, follows, change, recipe, mediumRecipes } = swatch;
  const parts = swatch.parts.map((part) => ({ at: part.at, swatch: fromTray(part.swatch) }));
  const members = parts.map((part) => part.swatch);
  const largest = members.reduce<Swatch | null>(
    (best, one) => (best && (best.share ?? 0) >= (one.share ?? 0) ? best : one),
    null,
  );
  const names = members.flatMap((one) => [one.name, ...one.otherNames]);
  return {
    id,
    name,
    otherNames: swatch.otherNames ?? [...new Set(names)].filter((one) => one !== name).slice(0, 20),
    note,
    role,
    colour,
    share,
    provenance: swatch.provenance ?? largest?.provenance ?? null,
    follows,
    change,
    recipe,
    mediumRecipes,
    parts,
  };
}

/** Adds swatches at their places by value, each under a new id. Throws a RangeError where there is no room. */
export function addToLibrary(
  content: LibraryContent,
  swatches: readonly Omit<Swatch, 'id'>[],
  newId: NewId,
): LibraryContent {
  checkRoom(paletteOfLibrary(content), swatches.length);
  const lightness = ({ colour }: Pick<Swatch, 'colour'>) => colour.L;
  return {
    ...content,
    swatches: swatches.reduce<Swatch[]>((all, swatch) => {
      const lighter = all.findIndex((one) => lightness(one) > lightness(swatch));
      const added = { ...swatch, id: newId(), follows: null };
      return all.toSpliced(lighter < 0 ? all.length : lighter, 0, added);
    }, content.swatches),
  };
}

/** Colours as swatches of a library, named so that no two of it are called alike. */
export function namedSwatches(
  content: Pick<LibraryContent, 'swatches'>,
  colours: readonly Oklab[],
): Omit<Swatch, 'id'>[] {
  const names = paletteNames(
    colours,
    content.swatches.map(({ name }) => name),
  );
  return colours.map((colour, i) => ({
    name: names[i],
    note: '',
    role: null,
    colour,
    share: null,
    ...DEFAULT_LIBRARY_SWATCH,
  }));
}

/** What of a library is no longer as in the study that it was made in, by the names of the swatches. */
export interface StudyDifferences {
  /** In both, with another colour, name or role. */
  recoloured: string[];
  renamed: string[];
  otherRole: string[];
  onlyHere: string[];
  onlyThere: string[];
}

/** Holds a library against its study's tray: what came from there has the same ids. */
export function differencesFromStudy(
  here: readonly Swatch[],
  there: readonly TraySwatch[],
): StudyDifferences {
  const inStudy = new Map(there.map((swatch) => [swatch.id, swatch]));
  const inLibrary = new Set(here.map(({ id }) => id));
  const changed = (isChanged: (one: Swatch, other: TraySwatch) => boolean) =>
    here
      .filter((swatch) => {
        const other = inStudy.get(swatch.id);
        return other !== undefined && isChanged(swatch, other);
      })
      .map(({ name }) => name);
  return {
    recoloured: changed(({ colour }, other) => !sameColour(colour, other.colour)),
    renamed: changed(({ name }, other) => name !== other.name),
    otherRole: changed(({ role }, other) => role !== other.role),
    onlyHere: here.filter(({ id }) => !inStudy.has(id)).map(({ name }) => name),
    onlyThere: there.filter(({ id }) => !inLibrary.has(id)).map(({ name }) => name),
  };
}

/** Swatches as they stand by themselves: those of them that followed what does not go along follow nothing. */
export function withoutLinks(swatches: readonly Swatch[]): Swatch[] {
  return swatches.map((swatch) => (swatch.follows ? { ...swatch, follows: null } : swatch));
}
