import { subDays } from 'date-fns';
import type { Oklab } from '@/core/colour/oklab';
import { fitCard } from '@/core/mixing/fit-card';
import { learnedStrengths, missOfMixture, type MadeMixture } from '@/core/mixing/learn-strengths';
import type { Optics } from '@/core/mixing/pigment';
import { pigmentOf } from '@/core/mixing/pigments/pigments';
import { labelled, times, tubeOf, type Tube } from '@/core/mixing/tube';
import { TUBE_SETS } from '@/core/mixing/tube-sets';
import {
  MAX_TUBES,
  type ShelfContent,
  type ShelfTry,
  type ShelfTube,
  type Standing,
} from '@/contracts/shelf';
import type { NewId } from './edits';

/** A tube of a shelf that can be mixed. */
export interface MixingTube extends Tube {
  name: string;
  /** How many mixtures that were made have corrected its strength. */
  correctedBy: number;
}

const pigmentsOf = ({ pigments }: Pick<ShelfTube, 'pigments'>) =>
  pigments.flatMap((id) => pigmentOf(id) ?? []);

/** A tube of a pigment as a shelf begins with it. */
export function tubeOfPigment(id: string, newId: NewId): ShelfTube {
  const name = pigmentOf(id)?.names[0] ?? id;
  return {
    id: newId(),
    name: name.charAt(0).toUpperCase() + name.slice(1),
    maker: '',
    number: '',
    pigments: [id],
    strength: 1,
    opacity: null,
    standing: 'palette',
    pricePerMl: null,
    card: null,
  };
}

/** With some tubes more. Throws a RangeError where there is no room for them. */
export function addTubes(shelf: ShelfContent, tubes: readonly ShelfTube[]): ShelfContent {
  if (shelf.tubes.length + tubes.length > MAX_TUBES)
    throw new RangeError(`A shelf holds up to ${MAX_TUBES} tubes; nothing was added.`);
  return { ...shelf, tubes: [...shelf.tubes, ...tubes] };
}

/** The tubes of a set that are not on the shelf yet. */
export function addSetOfTubes(shelf: ShelfContent, setId: string, newId: NewId): ShelfContent {
  const set = TUBE_SETS.find(({ id }) => id === setId);
  if (!set) return shelf;
  const has = (pigment: string) =>
    shelf.tubes.some(
      ({ pigments, standing }) => standing !== 'wish' && pigments.join() === pigment,
    );
  return addTubes(
    shelf,
    set.pigments.filter((id) => !has(id)).map((id) => tubeOfPigment(id, newId)),
  );
}

export function editTube(
  shelf: ShelfContent,
  id: string,
  part: Partial<Omit<ShelfTube, 'id'>>,
): ShelfContent {
  return {
    ...shelf,
    tubes: shelf.tubes.map((tube) => (tube.id === id ? { ...tube, ...part } : tube)),
  };
}

/** Days that the bin holds a tube. */
export const TUBE_BIN_DAYS = 30;

/** Puts a tube in the bin, which lets go of what has lain in it long enough. */
export function removeTube(shelf: ShelfContent, id: string, now = new Date()): ShelfContent {
  const removed = shelf.tubes.filter((tube) => tube.id === id);
  const oldest = subDays(now, TUBE_BIN_DAYS).toISOString();
  return {
    ...shelf,
    tubes: shelf.tubes.filter((tube) => tube.id !== id),
    bin: [
      ...removed.map((tube) => ({ ...tube, removedAt: now.toISOString() })),
      ...shelf.bin.filter((tube) => tube.id !== id && tube.removedAt > oldest),
    ].slice(0, MAX_TUBES),
  };
}

/** Puts a tube from the bin back on the shelf. Throws a RangeError where there is no room for it. */
export function putTubeBack(shelf: ShelfContent, id: string): ShelfContent {
  const found = shelf.bin.find((tube) => tube.id === id);
  if (!found || shelf.tubes.some((tube) => tube.id === id)) return shelf;
  const { removedAt: _, ...tube } = found;
  return { ...addTubes(shelf, [tube]), bin: shelf.bin.filter((one) => one.id !== id) };
}

/** With a mixture that was made or is kept, the newest first. */
export function addTry(shelf: ShelfContent, made: ShelfTry): ShelfContent {
  return { ...shelf, tries: [made, ...shelf.tries] };
}

export function editTry(
  shelf: ShelfContent,
  id: string,
  part: Partial<Omit<ShelfTry, 'id'>>,
): ShelfContent {
  return {
    ...shelf,
    tries: shelf.tries.map((one) => (one.id === id ? { ...one, ...part } : one)),
  };
}

export function removeTry(shelf: ShelfContent, id: string): ShelfContent {
  return { ...shelf, tries: shelf.tries.filter((one) => one.id !== id) };
}

/** A tube as its strength and its label have it, before any card. */
export function plainTube(tube: ShelfTube): Tube {
  const usual = tubeOf(tube.id, pigmentsOf(tube), tube.strength);
  return tube.opacity ? labelled(usual, tube.opacity) : usual;
}

/** A tube as its card shows it, where one was painted. */
function tubeByCard(tube: ShelfTube): Tube {
  const plain = plainTube(tube);
  return tube.card ? { ...plain, optics: fitCard(plain.optics, tube.card).optics } : plain;
}

const lastTubes = new WeakMap<ShelfContent, MixingTube[]>();

/** Every tube of a shelf as it mixes: its own strength, corrected by all mixtures that were made. */
export function mixingTubes(shelf: ShelfContent): MixingTube[] {
  const known = lastTubes.get(shelf);
  if (known) return known;
  const plain = shelf.tubes.map(tubeByCard);
  const made = madeOn(shelf);
  const strengths = learnedStrengths(
    plain.map(({ optics }) => optics),
    made,
  );
  const tubes = shelf.tubes.map((tube, i) => ({
    ...plain[i],
    optics: times(plain[i].optics, strengths[i]),
    name: tube.name,
    correctedBy: made.filter(({ parts }) => parts.some((part) => part.tube === i)).length,
  }));
  lastTubes.set(shelf, tubes);
  return tubes;
}

function tubesWhere(shelf: ShelfContent, is: (standing: Standing) => boolean): MixingTube[] {
  const wanted = new Set(shelf.tubes.filter(({ standing }) => is(standing)).map(({ id }) => id));
  return mixingTubes(shelf).filter(({ id }) => wanted.has(id));
}

/** What a painter has, wherever it lies. */
export const ownedTubes = (shelf: ShelfContent) =>
  tubesWhere(shelf, (standing) => standing !== 'wish');

/** What lies on the palette. */
export const paletteTubes = (shelf: ShelfContent) =>
  tubesWhere(shelf, (standing) => standing === 'palette');

/** Mixtures whose result is known and all of whose tubes are here. */
function madeOn(shelf: ShelfContent): MadeMixture[] {
  const place = new Map(shelf.tubes.map(({ id }, i) => [id, i]));
  return shelf.tries.flatMap(({ parts, result }) =>
    result !== null && parts.every(({ tube }) => place.has(tube))
      ? [
          {
            result,
            parts: parts.map(({ tube, parts: amount }) => ({
              tube: place.get(tube)!,
              parts: amount,
            })),
          },
        ]
      : [],
  );
}

/** How far what was foretold of a mixture was off before tries corrected the tubes, and is now; CIEDE2000. */
export function missesOf(
  shelf: ShelfContent,
  parts: readonly { tube: string; parts: number }[],
  result: Oklab,
): { before: number; now: number } | null {
  const place = new Map(shelf.tubes.map(({ id }, i) => [id, i]));
  if (!parts.every(({ tube }) => place.has(tube))) return null;
  const mixture = {
    result,
    parts: parts.map(({ tube, parts: amount }) => ({ tube: place.get(tube)!, parts: amount })),
  };
  const even = shelf.tubes.map(() => 1);
  const by = (tubes: readonly Optics[]) => missOfMixture(tubes, mixture, even);
  return {
    before: by(shelf.tubes.map((tube) => tubeByCard(tube).optics)),
    now: by(mixingTubes(shelf).map(({ optics }) => optics)),
  };
}
