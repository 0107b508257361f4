import { oklchFromOklab } from '@/core/colour/oklab';
import { valueOfOklab } from '@/core/colour/value';
import { paintColour } from '@/core/mixing/paint';
import { pigmentOf } from '@/core/mixing/pigments/pigments';
import { tintHue } from '@/core/mixing/route';
import { kindOf } from '@/core/mixing/tube';
import { STANDINGS, type ShelfTube, type Standing } from '@/contracts/shelf';
import type { MixingTube } from '@/study/shelf';
import { capital, count, list } from '@/ui/words';
import type { TubeOrder } from './bench-view';

export const STANDING_TITLES: Readonly<Record<Standing, string>> = {
  palette: 'on the palette',
  off: 'kept off it',
  wish: 'wished for',
};

/** "Eight tubes on the palette, one kept off it and two wished for." */
export function shelfSentence(tubes: readonly ShelfTube[]): string {
  const parts = STANDINGS.flatMap((standing) => {
    const n = tubes.filter((tube) => tube.standing === standing).length;
    return n > 0 ? [{ n, title: STANDING_TITLES[standing] }] : [];
  });
  const words = parts.map(({ n, title }, i) =>
    i === 0 ? `${count(n)} ${n === 1 ? 'tube' : 'tubes'} ${title}` : `${count(n)} ${title}`,
  );
  return words.length > 0 ? `${capital(list(words))}.` : 'The shelf is empty.';
}

/** Every word that a tube is found by. */
function wordsOf({ name, maker, number, pigments }: ShelfTube): string {
  const known = pigments.flatMap((id) => [id, ...(pigmentOf(id)?.names ?? [])]);
  return [name, maker, number, ...known].join(' ').toLowerCase();
}

/** The tubes that have all of some words, in an order. */
export function foundTubes(
  tubes: readonly ShelfTube[],
  mixing: readonly MixingTube[],
  find: string,
  order: TubeOrder,
): ShelfTube[] {
  const words = find.toLowerCase().split(/\s+/).filter(Boolean);
  const found = tubes.filter((tube) => words.every((word) => wordsOf(tube).includes(word)));
  if (order === 'as put') return found;
  if (order === 'by name')
    return found.toSorted((one, other) => one.name.localeCompare(other.name));
  const place = new Map(mixing.map((tube) => [tube.id, placeOf(tube, order)]));
  return found.toSorted((one, other) => (place.get(one.id) ?? 0) - (place.get(other.id) ?? 0));
}

/** Light above dark; whites, then round the wheel, then blacks. */
function placeOf(tube: MixingTube, order: TubeOrder): number {
  const colour = paintColour(tube.optics);
  if (order === 'by value') return -valueOfOklab(colour);
  const kind = kindOf(tube);
  if (kind === 'white') return -1;
  return kind === 'black' || oklchFromOklab(colour).C < 0.002 ? 1000 : (tintHue(tube) + 330) % 360;
}
