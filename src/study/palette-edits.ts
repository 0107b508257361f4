import { paletteNames } from '@/core/colour/name';
import type { Oklab } from '@/core/colour/oklab';
import { valueOfOklab } from '@/core/colour/value';
import { PAINTERS_WHEEL, wheelPosition } from '@/core/colour/wheel';
import type { End } from '@/core/palette/ends';
import { mergedColour } from '@/core/palette/near-duplicates';
import type { Role } from '@/core/palette/proportion';
import type { TraySwatch } from '@/contracts/study';
import { addSwatch, byValueInto, DEFAULT_SWATCH_FIELDS, type NewId, type NewSwatch } from './edits';
import { checkRoom, withSwatches, type HasPalette } from './has-palette';

export const ORDERS = ['value', 'family', 'share'] as const;
export type Order = (typeof ORDERS)[number];

type Ids = ReadonlySet<string>;

/** Adds several at once, each at its place by value. Throws a RangeError when the tray has no room for all. */
export function addSwatches<D extends HasPalette>(document: D, swatches: readonly NewSwatch[]): D {
  checkRoom(document, swatches.length);
  return swatches.reduce((was, swatch) => addSwatch(was, swatch), document);
}

/** Takes swatches out; what followed them stays as it is and follows nothing. */
export function removeSwatches<D extends HasPalette>(document: D, ids: Ids): D {
  return withSwatches(
    document,
    document.palette.swatches
      .filter(({ id }) => !ids.has(id))
      .map((swatch) =>
        swatch.follows?.kind === 'rule' && ids.has(swatch.follows.from)
          ? { ...swatch, follows: null }
          : swatch,
      ),
  );
}

/** Changes some swatches alike. */
export function editSwatches<D extends HasPalette>(
  document: D,
  ids: Ids,
  part: { locked?: boolean; role?: Role | null },
): D {
  return withSwatches(
    document,
    document.palette.swatches.map((swatch) =>
      ids.has(swatch.id) ? { ...swatch, ...part } : swatch,
    ),
  );
}

/** Gives each swatch a role, in the order of the tray. */
export function withRoles<D extends HasPalette>(document: D, roles: readonly (Role | null)[]): D {
  return withSwatches(
    document,
    document.palette.swatches.map((swatch, i) => ({ ...swatch, role: roles[i] ?? null })),
  );
}

/** Puts the tray in order: dark to light, round the wheel (neutrals first), or by share, the largest first. */
export function ordered<D extends HasPalette>(document: D, order: Order): D {
  const place = {
    value: ({ colour }: TraySwatch) => valueOfOklab(colour),
    family: ({ colour }: TraySwatch) =>
      Math.hypot(colour.a, colour.b) < 0.02
        ? valueOfOklab(colour) / 10 - 1
        : wheelPosition(PAINTERS_WHEEL.hueOf(colour), PAINTERS_WHEEL),
    share: ({ share }: TraySwatch) => -(share ?? 0),
  }[order];
  return withSwatches(
    document,
    document.palette.swatches.toSorted((one, other) => place(one) - place(other)),
  );
}

/**
 * Makes one of several: their mean by share, their shares together, their notes one under the other;
 * the name of the largest. It stands where the first stood and keeps them, to be taken apart again.
 */
export function mergeSwatches<D extends HasPalette>(document: D, ids: Ids, newId: NewId): D {
  const { swatches } = document.palette;
  const parts = swatches.flatMap((swatch, at) => (ids.has(swatch.id) ? [{ at, swatch }] : []));
  if (parts.length < 2) return document;
  const members = parts.map(({ swatch }) => swatch);
  const shares = members.map(({ share }) => share ?? 0);
  const largest = members[shares.indexOf(Math.max(...shares))];
  const notes = members.map(({ note }) => note.trim()).filter(Boolean);
  const merged: TraySwatch = {
    ...DEFAULT_SWATCH_FIELDS,
    id: newId(),
    name: largest.name,
    note: Array.from(new Set(notes)).join('\n').slice(0, 4000),
    colour: mergedColour(
      members.map(({ colour }) => colour),
      shares,
    ),
    share: members.some(({ share }) => share !== null)
      ? Math.min(
          1,
          shares.reduce((sum, share) => sum + share, 0),
        )
      : null,
    locked: members.some(({ locked }) => locked),
    origin: 'merged',
    role: largest.role,
    area: largest.area,
    spread: null,
    parts,
  };
  const left = swatches.filter(({ id }) => !ids.has(id));
  return withSwatches(document, left.toSpliced(Math.min(parts[0].at, left.length), 0, merged));
}

/** Puts neighbours of a swatch beneath it: it stays what it is, their mean, and opens into them. */
export function addVariations<D extends HasPalette>(
  document: D,
  id: string,
  colours: readonly Oklab[],
  newId: NewId,
): D {
  const { swatches } = document.palette;
  const at = swatches.findIndex((swatch) => swatch.id === id);
  // What it was merged from is not lost to its variations.
  if (at < 0 || swatches[at].parts.length > 0) return document;
  const whole = swatches[at];
  const names = paletteNames(
    colours,
    swatches.filter((swatch) => swatch.id !== id).map(({ name }) => name),
  );
  const parts = colours.map((colour, i) => ({
    at: at + i,
    swatch: {
      ...whole,
      ...DEFAULT_SWATCH_FIELDS,
      id: newId(),
      name: names[i],
      note: `A variation of ${whole.name}.`,
      colour,
      share: whole.share === null ? null : whole.share / colours.length,
      locked: false,
      origin: 'built' as const,
      spread: null,
    },
  }));
  return withSwatches(document, swatches.with(at, { ...whole, parts }));
}

/** Puts back what a swatch was merged from, each as it was; at their old places if nothing else has moved. */
export function takeApart<D extends HasPalette>(document: D, id: string): D {
  const { swatches } = document.palette;
  const merged = swatches.find((swatch) => swatch.id === id);
  if (!merged || merged.parts.length === 0) return document;
  checkRoom(document, merged.parts.length - 1);
  const left = swatches.filter((swatch) => swatch.id !== id);
  return withSwatches(
    document,
    merged.parts.reduce((tray, { at, swatch }) => tray.toSpliced(at, 0, swatch), left),
  );
}

/** Puts the colours that make a picked area in place of its average: a flat brown becomes its browns. */
export function replaceByComponents<D extends HasPalette>(
  document: D,
  id: string,
  newId: NewId,
): D {
  const { swatches } = document.palette;
  const at = swatches.findIndex((swatch) => swatch.id === id);
  const components = swatches[at]?.components ?? [];
  if (components.length < 2) return document;
  checkRoom(document, components.length - 1);
  const whole = swatches[at];
  const names = paletteNames(
    components.map(({ colour }) => colour),
    swatches.filter((swatch) => swatch.id !== id).map(({ name }) => name),
  );
  const fresh = components.map(({ colour }, i): TraySwatch => ({
    ...whole,
    ...DEFAULT_SWATCH_FIELDS,
    id: newId(),
    name: names[i],
    colour,
    share: null,
    spread: null,
  }));
  return withSwatches(document, fresh.reduce(byValueInto, swatches.toSpliced(at, 1)));
}

/** Each is in a palette once. */
export const endId = (end: End) => `end-${end.replace(' ', '-')}`;

/**
 * Adds an end of the palette, named and with its role; or takes it away again where it is there. It is not among the
 * colours that are counted.
 */
export function toggleEnd<D extends HasPalette>(document: D, end: End, colour: Oklab): D {
  const id = endId(end);
  const { swatches } = document.palette;
  if (swatches.some((swatch) => swatch.id === id)) return removeSwatches(document, new Set([id]));
  const added = addSwatch(document, {
    id,
    note: '',
    colour,
    share: null,
    locked: false,
    origin: 'end',
    role: end === 'true black' || end === 'darkest dark' ? 'dark' : 'light',
    area: null,
    spread: null,
  });
  const taken = new Set(swatches.map(({ name }) => name));
  let name: string = end;
  for (let n = 2; taken.has(name); n++) name = `${end} ${n}`;
  return withSwatches(
    added,
    added.palette.swatches.map((swatch) => (swatch.id === id ? { ...swatch, name } : swatch)),
  );
}
