import { hexFromOklab } from '@/core/colour/hex';
import { MOOD_SETTINGS, type Mood } from '@/core/transfer/moods';
import { isMoved, MAX_MOVE, NO_MOVES, type MassMoves } from '@/core/transfer/what-if';
import type { StoredStroke } from '@/contracts/strokes';
import type { StudyDocument, TraySwatch } from '@/contracts/study';
import {
  MAX_CHANGED,
  MAX_HELD,
  MAX_KEPT_PARTS,
  MAX_USED,
  MAX_VARIANTS,
  type KeyChoice,
  type MoodChoice,
  type TransferChoice,
  type UsedColour,
  type UseSettings,
  type VariantMade,
} from '@/contracts/use';
import type { NewId } from './edits';

interface At {
  x: number;
  y: number;
}

function withUse(document: StudyDocument, part: Partial<UseSettings>): StudyDocument {
  return { ...document, use: { ...document.use, ...part } };
}

export function withTransfer(
  document: StudyDocument,
  part: Partial<TransferChoice>,
): StudyDocument {
  return withUse(document, { transfer: { ...document.use.transfer, ...part } });
}

/** A study's swatches as colours to put on a picture. */
export function coloursOfSwatches(
  swatches: readonly Pick<TraySwatch, 'id' | 'name' | 'colour' | 'share' | 'area'>[],
  from: string,
): UsedColour[] {
  return swatches.slice(0, MAX_USED).map(({ id, name, colour, share, area }) => ({
    id,
    name,
    colour,
    share,
    height: area ? Math.min(1, Math.max(0, area.y)) : null,
    from,
  }));
}

/** The colours that a study puts on its picture: those taken from elsewhere, or its own. */
export function usedColours({ use, palette, title }: StudyDocument): UsedColour[] {
  return use.transfer.colours ?? coloursOfSwatches(palette.swatches, title);
}

/**
 * Takes other colours in place of those before; null goes back to the study's own. Held masses whose colour is gone are
 * free.
 */
export function takeColours(
  document: StudyDocument,
  colours: readonly UsedColour[] | null,
): StudyDocument {
  return forgetting(withTransfer(document, { colours: colours && [...colours] }));
}

/**
 * Takes further colours to those there are, without the ones that are there under the same name. A library that was saved
 * from a study has its ids: one that is taken is given another. Throws a RangeError when there are too many.
 */
export function addColours(
  document: StudyDocument,
  colours: readonly UsedColour[],
  newId: NewId,
): StudyDocument {
  const were = usedColours(document);
  const ids = new Set(were.map(({ id }) => id));
  const nameOf = ({ name, colour }: UsedColour) => `${name} ${hexFromOklab(colour)}`;
  const had = new Set(were.map(nameOf));
  const added = colours
    .filter((one) => !had.has(nameOf(one)))
    .map((one) => (ids.has(one.id) ? { ...one, id: newId() } : one));
  const all = [...were, ...added];
  if (all.length > MAX_USED)
    throw new RangeError(
      `${MAX_USED} colours can be put on a picture; these would be ${all.length}. Leave some out first.`,
    );
  return takeColours(document, all);
}

/** Leaves a colour out. The study's own palette stays as it is. */
export function leaveColourOut(document: StudyDocument, id: string): StudyDocument {
  const colours = usedColours(document).filter((one) => one.id !== id);
  return forgetting(withTransfer(document, { colours }));
}

function forgetting(document: StudyDocument): StudyDocument {
  const ids = new Set(usedColours(document).map(({ id }) => id));
  const { held, prominence } = document.use.transfer;
  return withTransfer(document, {
    held: held.filter(({ colour }) => ids.has(colour)),
    prominence: prominence.filter(({ colour }) => ids.has(colour)),
  });
}

/** Gives the mass at a place a colour that it keeps; `instead` are the places that held the same mass before. */
export function holdMass(
  document: StudyDocument,
  { x, y }: At,
  colour: string,
  instead: readonly At[] = [],
): StudyDocument {
  const { held } = freeMass(document, [...instead, { x, y }]).use.transfer;
  if (held.length >= MAX_HELD)
    throw new RangeError(`${MAX_HELD} masses can be held. Free some first.`);
  return withTransfer(document, { held: [...held, { x, y, colour }] });
}

export function freeMass(document: StudyDocument, places: readonly At[]): StudyDocument {
  const { held } = document.use.transfer;
  return withTransfer(document, {
    held: held.filter(({ x, y }) => !places.some((place) => place.x === x && place.y === y)),
  });
}

/** How much more of a colour is wanted than usual: 1 more, −1 less, 0 as it comes. */
export function wantColour(document: StudyDocument, id: string, more: -1 | 0 | 1): StudyDocument {
  const others = document.use.transfer.prominence.filter(({ colour }) => colour !== id);
  return withTransfer(document, {
    prominence: more === 0 ? others : [...others, { colour: id, more }],
  });
}

/** A mood as it is meant, or with some of its sliders moved. */
export function withMood(
  document: StudyDocument,
  mood: Mood,
  moved: Partial<MoodChoice['settings']> = {},
): StudyDocument {
  const settings =
    mood === document.use.mood.mood && Object.keys(moved).length > 0
      ? document.use.mood.settings
      : MOOD_SETTINGS[mood];
  return withUse(document, { mood: { mood, settings: { ...settings, ...moved } } });
}

/** Moves the mass at a place by some steps; `instead` are the places that moved the same mass before. */
export function moveMass(
  document: StudyDocument,
  { x, y }: At,
  by: Partial<MassMoves>,
  instead: readonly At[],
): StudyDocument {
  const isOf = (place: At) =>
    (place.x === x && place.y === y) ||
    instead.some((other) => other.x === place.x && other.y === place.y);
  const was = document.use.whatIf.findLast(isOf)?.moves ?? NO_MOVES;
  const held = (steps: number) => Math.min(MAX_MOVE, Math.max(-MAX_MOVE, steps));
  const moves: MassMoves = {
    value: held(was.value + (by.value ?? 0)),
    warmth: held(was.warmth + (by.warmth ?? 0)),
    chroma: held(was.chroma + (by.chroma ?? 0)),
    distance: held(was.distance + (by.distance ?? 0)),
  };
  const others = document.use.whatIf.filter((place) => !isOf(place));
  if (!isMoved(moves)) return withUse(document, { whatIf: others });
  if (others.length >= MAX_CHANGED)
    throw new RangeError(`${MAX_CHANGED} masses can be changed. Put some back first.`);
  return withUse(document, { whatIf: [...others, { x, y, moves }] });
}

export const withoutMoves = (document: StudyDocument, places: readonly At[] | null) =>
  withUse(document, {
    whatIf: document.use.whatIf.filter(
      ({ x, y }) => places && !places.some((place) => place.x === x && place.y === y),
    ),
  });

export function withKey(document: StudyDocument, part: Partial<KeyChoice>): StudyDocument {
  return withUse(document, { key: { ...document.use.key, ...part } });
}

/** Keeps a part's own colours. Throws a RangeError when there are too many. */
export function keepPart(document: StudyDocument, part: StoredStroke): StudyDocument {
  const { parts } = document.use;
  if (parts.length >= MAX_KEPT_PARTS)
    throw new RangeError(`${MAX_KEPT_PARTS} parts can keep their colours. Undo some first.`);
  return withUse(document, { parts: [...parts, part] });
}

export const keepNoPart = (document: StudyDocument) => withUse(document, { parts: [] });

export type VariantKind = VariantMade['kind'];

/** What is tried now, of one kind, with its colours as they are. */
export function triedNow(document: StudyDocument, kind: VariantKind): VariantMade {
  const { transfer, mood, whatIf, key } = document.use;
  switch (kind) {
    case 'transfer':
      return { kind, choice: { ...transfer, colours: usedColours(document) } };
    case 'mood':
      return { kind, choice: mood };
    case 'what if':
      return { kind, choice: whatIf };
    case 'key':
      return { kind, choice: key };
  }
}

/** Keeps what is tried now under a name. Throws a RangeError when there are too many. */
export function keepVariant(
  document: StudyDocument,
  kind: VariantKind,
  name: string,
  newId: NewId,
): StudyDocument {
  const { variants } = document.use;
  if (variants.length >= MAX_VARIANTS)
    throw new RangeError(`A study keeps ${MAX_VARIANTS} variants. Delete one first.`);
  return withUse(document, {
    variants: [...variants, { id: newId(), name, made: triedNow(document, kind) }],
  });
}

/** Tries a variant again. */
export function takeVariant(document: StudyDocument, id: string): StudyDocument {
  const made = document.use.variants.find((one) => one.id === id)?.made;
  switch (made?.kind) {
    case undefined:
      return document;
    case 'transfer':
      return withUse(document, { transfer: made.choice });
    case 'mood':
      return withUse(document, { mood: made.choice });
    case 'what if':
      return withUse(document, { whatIf: made.choice });
    case 'key':
      return withUse(document, { key: made.choice });
  }
}

export function renameVariant(document: StudyDocument, id: string, name: string): StudyDocument {
  return withUse(document, {
    variants: document.use.variants.map((one) => (one.id === id ? { ...one, name } : one)),
  });
}

export function removeVariant(document: StudyDocument, id: string): StudyDocument {
  return withUse(document, { variants: document.use.variants.filter((one) => one.id !== id) });
}
