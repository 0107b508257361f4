import { mergedColour } from '@/core/palette/near-duplicates';
import { pairUp, type Pair } from '@/core/palette/pair-up';
import type { LibraryContent, Swatch } from '@/contracts/library';
import { withoutLinks } from './library';

/** What becomes of two swatches that are nearly the same. */
export type DuplicatePolicy = 'first' | 'mean' | 'both';

/**
 * The swatches of two libraries as one list, from dark to light. Of pairs within a CIEDE2000 distance the first is
 * kept, or their mean weighed by shares, or both; what goes is remembered as another name. Shares are halved, for each
 * was of its own picture. Ids are made new where both had the same.
 */
export function mergedLibrary(
  one: Pick<LibraryContent, 'swatches'>,
  other: Pick<LibraryContent, 'swatches'>,
  within: number,
  keeping: DuplicatePolicy,
): { swatches: Swatch[]; pairs: Pair[] } {
  const { shared, near } = pairUp(
    one.swatches.map(({ colour }) => colour),
    other.swatches.map(({ colour }) => colour),
    within,
  );
  const pairs = [...shared, ...near].sort((a, b) => a.apart - b.apart);
  const partner = new Map(pairs.map((pair) => [pair.one, other.swatches[pair.other]]));
  const gone = new Set(pairs.map((pair) => pair.other));
  const taken = new Set(one.swatches.map(({ id }) => id));
  const first = one.swatches.map((swatch, i) => {
    const twin = keeping === 'both' ? undefined : partner.get(i);
    if (!twin) return { ...swatch, share: halved(swatch.share) };
    const shares = [swatch.share ?? 0, twin.share ?? 0];
    const known = swatch.share !== null || twin.share !== null;
    const mean = keeping === 'mean' && {
      colour: mergedColour([swatch.colour, twin.colour], shares),
      change: null,
      recipe: null,
      mediumRecipes: [],
    };
    return {
      ...swatch,
      ...mean,
      otherNames: otherNames(swatch, twin),
      note: [swatch.note, twin.note].filter(Boolean).join('\n').slice(0, 4000),
      share: known ? (shares[0] + shares[1]) / 2 : null,
    };
  });
  const second = other.swatches
    .filter((_, j) => keeping === 'both' || !gone.has(j))
    .map((swatch) => ({
      ...swatch,
      id: taken.has(swatch.id) ? crypto.randomUUID() : swatch.id,
      share: halved(swatch.share),
    }));
  // Ladders and harmonies stay where they were built.
  return {
    swatches: withoutLinks([...first, ...second]).sort((a, b) => a.colour.L - b.colour.L),
    pairs,
  };
}

function halved(share: number | null): number | null {
  return share === null ? null : share / 2;
}

function otherNames(kept: Swatch, gone: Swatch): string[] {
  const names = [...kept.otherNames, gone.name, ...gone.otherNames];
  return [...new Set(names)].filter((name) => name !== kept.name).slice(0, 20);
}
