import { paletteNames } from '@/core/colour/name';
import type { Oklab } from '@/core/colour/oklab';
import { wheelOf } from '@/core/colour/wheel';
import { buildHarmony } from '@/core/palette/build-harmony';
import { derived } from '@/core/palette/derived';
import { ladder, ladderValues } from '@/core/palette/ladder';
import { valueOfOklab } from '@/core/colour/value';
import { MAX_SETS, type Follows, type PaletteSet } from '@/contracts/palette';
import type { TraySwatch } from '@/contracts/study';
import { byValueInto, DEFAULT_SWATCH_FIELDS, type NewId } from './edits';
import { checkRoom, withSwatches, type HasPalette } from './has-palette';

/** The colours of a set as its settings have them. */
export function coloursOfSet(set: PaletteSet): Oklab[] {
  return set.kind === 'ladder'
    ? ladder(set.colour, set.settings)
    : buildHarmony(set.colour, set.settings, wheelOf(set.wheel));
}

/** Which of a set's colours is the one that it was built from; −1 where none is. */
function ownIndex(set: PaletteSet): number {
  if (set.kind === 'harmony') return set.settings.keepsKey ? 0 : -1;
  const own = valueOfOklab(set.colour);
  return ladderValues(own, set.settings).indexOf(own);
}

/**
 * Adds a set and a linked swatch for each of its colours. The swatch that it is built from takes the place of its own
 * colour, if it is free to be moved. Throws a RangeError where there is no room.
 */
export function addSet<D extends HasPalette>(
  document: D,
  set: PaletteSet,
  newId: NewId,
  key: string | null = null,
): D {
  const { sets } = document.palette;
  const colours = coloursOfSet(set);
  const own = ownIndex(set);
  const isKey = ({ id, locked, follows, change, colour }: TraySwatch) =>
    id === key && !locked && !follows && !change && own >= 0 && sameColour(colour, colours[own]);
  if (sets.length >= MAX_SETS)
    throw new RangeError(`A palette has at most ${MAX_SETS} ladders and harmonies.`);
  checkRoom(document, colours.length);
  const swatches = document.palette.swatches.map((swatch): TraySwatch =>
    isKey(swatch) ? { ...swatch, follows: { kind: 'set', id: set.id, index: own } } : swatch,
  );
  const next = { ...document, palette: { ...document.palette, swatches, sets: [...sets, set] } };
  return withMembers(next, set.id, colours, 0, newId);
}

/** Changes a set; its linked swatches move with it, come and go with its number, and what follows them follows. */
export function changeSet<D extends HasPalette>(document: D, set: PaletteSet, newId: NewId): D {
  const was = document.palette.sets.find(({ id }) => id === set.id);
  if (!was) return document;
  const sets = document.palette.sets.map((one) => (one.id === set.id ? set : one));
  const next = { ...document, palette: { ...document.palette, sets } };
  const before = coloursOfSet(was).length;
  return followed(withMembers(next, set.id, coloursOfSet(set), before, newId));
}

/** The set that a swatch is the key of: its other colours go by this one. */
export function setKeyedBy(swatch: TraySwatch, sets: readonly PaletteSet[]): PaletteSet | null {
  const { follows } = swatch;
  if (follows?.kind !== 'set') return null;
  const set = sets.find(({ id }) => id === follows.id);
  return set && ownIndex(set) === follows.index ? set : null;
}

/**
 * Gives a set another key, as that stands: how far the set was swung or turned is in the key by now. Its other swatches
 * move; the key keeps its place among them by value, and its colour to the last digit.
 */
export function withKey<D extends HasPalette>(document: D, id: string, key: Oklab): D {
  const was = document.palette.sets.find((set) => set.id === id);
  if (!was) return document;
  const set = keyedBy(was, key);
  const [before, own] = [ownIndex(was), ownIndex(set)];
  const colours = coloursOfSet(set);
  const placeNow = (index: number) => {
    if (index === before) return own;
    if (index > before && index <= own) return index - 1;
    return index < before && index >= own ? index + 1 : index;
  };
  return {
    ...document,
    palette: {
      ...document.palette,
      sets: document.palette.sets.map((one) => (one.id === id ? set : one)),
      swatches: document.palette.swatches.map((swatch) => {
        const { follows } = swatch;
        if (follows?.kind !== 'set' || follows.id !== id) return swatch;
        const index = placeNow(follows.index);
        const isKey = follows.index === before;
        return {
          ...swatch,
          colour: isKey ? key : (colours[index] ?? swatch.colour),
          follows: { ...follows, index },
        };
      }),
    },
  };
}

function keyedBy(set: PaletteSet, colour: Oklab): PaletteSet {
  if (set.kind === 'ladder')
    return { ...set, colour, settings: { ...set.settings, swing: 0, intensity: 1 } };
  const { turns } = set.settings;
  const own = turns[0] ?? 0;
  return {
    ...set,
    colour,
    settings: { ...set.settings, turn: 0, turns: turns.map((turn) => turn - own) },
  };
}

/** Lets a set's swatches stand by themselves, and forgets the set. */
export function unlinkSet<D extends HasPalette>(document: D, id: string): D {
  const { sets, swatches } = document.palette;
  return {
    ...document,
    palette: {
      ...document.palette,
      sets: sets.filter((set) => set.id !== id),
      swatches: swatches.map((swatch) =>
        isOf(swatch, id) ? { ...swatch, follows: null } : swatch,
      ),
    },
  };
}

/** Lets one swatch stand by itself. */
export function unlink<D extends HasPalette>(document: D, id: string): D {
  return withoutEmptySets(
    withSwatches(
      document,
      document.palette.swatches.map((swatch) =>
        swatch.id === id ? { ...swatch, follows: null } : swatch,
      ),
    ),
  );
}

/** Forgets the sets that no swatch follows any more; one that was merged may be taken apart and follow again. */
export function withoutEmptySets<D extends HasPalette>(document: D): D {
  const { sets, swatches } = document.palette;
  const left = sets.filter(({ id }) => swatches.some((swatch) => holds(swatch, id)));
  return left.length === sets.length
    ? document
    : { ...document, palette: { ...document.palette, sets: left } };
}

function holds(swatch: TraySwatch, set: string): boolean {
  return isOf(swatch, set) || swatch.parts.some((part) => holds(part.swatch, set));
}

function isOf({ follows }: TraySwatch, set: string): boolean {
  return follows?.kind === 'set' && follows.id === set;
}

/**
 * Gives the linked swatches of a set its colours: those that are there keep their id, name and
 * place; new ones come only for numbers from `before` on, so that what was unlinked or deleted does
 * not come back when the set is swung.
 */
function withMembers<D extends HasPalette>(
  document: D,
  set: string,
  colours: readonly Oklab[],
  before: number,
  newId: NewId,
): D {
  const kept = document.palette.swatches.flatMap((swatch) => {
    if (!isOf(swatch, set) || swatch.follows?.kind !== 'set') return [swatch];
    const colour = colours[swatch.follows.index];
    if (!colour) return [];
    // A key that was changed by hand is what the set makes of it, once that moves.
    const change = sameColour(colour, swatch.colour) ? swatch.change : null;
    return [{ ...swatch, colour, change }];
  });
  const taken = new Set(
    kept.flatMap(({ follows }) =>
      follows?.kind === 'set' && follows.id === set ? [follows.index] : [],
    ),
  );
  const fresh = colours
    .map((colour, index) => ({ colour, index }))
    .filter(({ index }) => index >= before && !taken.has(index));
  const names = paletteNames(
    fresh.map(({ colour }) => colour),
    kept.map(({ name }) => name),
  );
  return withSwatches(
    document,
    fresh
      .map(({ colour, index }, i) =>
        built(newId(), names[i], colour, { kind: 'set', id: set, index }),
      )
      .reduce(byValueInto, kept),
  );
}

function built(id: string, name: string, colour: Oklab, follows: Follows): TraySwatch {
  return {
    ...DEFAULT_SWATCH_FIELDS,
    id,
    name,
    note: '',
    colour,
    share: null,
    locked: false,
    origin: 'built',
    area: null,
    spread: null,
    follows,
  };
}

/** Adds the colour that follows from a swatch by a rule, linked to it. Throws a RangeError when the tray is full. */
export function addDerived<D extends HasPalette>(
  document: D,
  rule: Omit<Extract<Follows, { kind: 'rule' }>, 'kind'>,
  newId: NewId,
): D {
  const { swatches } = document.palette;
  const parent = swatches.find(({ id }) => id === rule.from);
  if (!parent) return document;
  checkRoom(document, 1);
  const colour = derived(parent.colour, rule.rule, rule, wheelOf(rule.wheel));
  const taken = swatches.map(({ name }) => name);
  const wanted = `${parent.name}: ${rule.rule}`.slice(0, 200);
  const name = taken.includes(wanted) ? paletteNames([colour], taken)[0] : wanted;
  return withSwatches(
    document,
    byValueInto(swatches, built(newId(), name, colour, { kind: 'rule', ...rule })),
  );
}

/** Brings what follows another swatch by a rule up to it; chains of rules in as many rounds as they are long. */
export function followed<D extends HasPalette>(document: D): D {
  let { swatches } = document.palette;
  for (let round = 0; round < swatches.length; round++) {
    const now = new Map(swatches.map((swatch) => [swatch.id, swatch]));
    let isMoved = false;
    swatches = swatches.map((swatch) => {
      const { follows } = swatch;
      const parent = follows?.kind === 'rule' ? now.get(follows.from) : undefined;
      if (follows?.kind !== 'rule' || !parent) return swatch;
      const colour = derived(parent.colour, follows.rule, follows, wheelOf(follows.wheel));
      if (sameColour(colour, swatch.colour)) return swatch;
      isMoved = true;
      return { ...swatch, colour };
    });
    if (!isMoved) break;
  }
  return swatches === document.palette.swatches ? document : withSwatches(document, swatches);
}

/** Whether two colours are one, but for rounding. */
export function sameColour(one: Oklab, other: Oklab): boolean {
  return Math.abs(one.L - other.L) + Math.abs(one.a - other.a) + Math.abs(one.b - other.b) < 1e-9;
}
