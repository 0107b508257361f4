import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab } from '../colour/cielab';
import { foretoldColour, type LayerSource } from './layers-colour';
import { learnedFactors } from './learn-factors';
import type { MediumRecipe } from './medium-recipe';

type Known = Pick<LayerSource, 'colourOf' | 'opticsOf'>;

/**
 * How many times as strong as thought each item is, from patches that were laid: a recipe's colour is what came of it.
 * Patches of which something is not there any more teach nothing.
 */
export function learnedItems(
  patches: readonly MediumRecipe[],
  known: Known,
): ReadonlyMap<string, number> {
  const usable = patches.filter((patch) => foretoldColour(patch, plain(known)) !== null);
  const items = [...new Set(usable.flatMap(itemsOf))];
  const place = new Map(items.map((item, i) => [item, i]));
  const factors = learnedFactors(
    items.length,
    usable.map((patch) => ({
      things: itemsOf(patch).map((item) => place.get(item)!),
      result: patch.colour,
      foretold: (at) =>
        labFromOklab(
          foretoldColour(patch, { ...known, factorOf: (item) => at[place.get(item)!] })!,
        ),
    })),
  );
  return new Map(items.map((item, i) => [item, factors[i]]));
}

/** How far a patch was off before anything was learned, and is now; CIEDE2000, null where something is not there. */
export function missesOfPatch(
  patch: MediumRecipe,
  known: Known,
  factors: ReadonlyMap<string, number>,
): { before: number; now: number } | null {
  const before = foretoldColour(patch, plain(known));
  const now = foretoldColour(patch, { ...known, factorOf: (item) => factors.get(item) ?? 1 });
  if (!before || !now) return null;
  const result = labFromOklab(patch.colour);
  return {
    before: ciede2000(labFromOklab(before), result),
    now: ciede2000(labFromOklab(now), result),
  };
}

const plain = (known: Known): LayerSource => ({ ...known, factorOf: () => 1 });
const itemsOf = ({ layers }: MediumRecipe): string[] => [
  ...new Set(layers.map(({ item }) => item)),
];
