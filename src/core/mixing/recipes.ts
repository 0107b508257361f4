import { ciede2000 } from '../colour/ciede2000';
import { labFromOklab, oklabFromLab, type Lab } from '../colour/cielab';
import type { Oklab } from '../colour/oklab';
import { valueOfOklab } from '../colour/value';
import { fitWeights } from './fit-weights';
import { mixLab } from './mix-lab';
import { kindOf, weightOf, type Tube } from './tube';
import { routeOf, type Route } from './route';
import { wholeParts } from './whole-parts';

export const MAX_RECIPE_TUBES = 4;
/** Below this value a black may be mixed without asking for it. */
export const BLACK_VALUE = 2;

export interface RecipePart {
  tube: Tube;
  /** Whole parts to twelve, or a speck. */
  parts: number;
}

export interface Recipe {
  /** The largest part before others. */
  parts: RecipePart[];
  colour: Oklab;
  /** CIEDE2000 from the target. */
  deltaE: number;
  /** CIEDE2000 by which the colour moves when its most delicate part is a tenth off. */
  steadiness: number;
  route: Route;
}

export interface RecipeSettings {
  /** Tubes in one recipe, 1–4. */
  maxTubes?: number;
  /** Recipes wanted. */
  count?: number;
  /** Whether black is used in what is not nearly black itself. */
  black?: boolean;
}

/** A recipe with one tube less may miss by this much more. */
const TUBE_COST = 0.35;
const STEADINESS_COST = 0.04;
/** The best sets of paints, whose parts are rounded whatever their route; and of other routes among so many. */
const ALWAYS_ROUNDED = 20;
const MAX_ROUNDED = 60;
const ENOUGH_OF_ROUTE = 3;
/** Sets of each size that another tube is added to. */
const MAX_EXTENDED = 24;

interface Candidate {
  which: number[];
  weights: number[];
  miss: number;
}

/**
 * How to mix a colour from some tubes, the best recipe before others: of each route its best, then others.
 * Weights are fitted for every pair, then for the best sets with each other tube added, and rounded to
 * parts that can be measured. Throws a RangeError without tubes.
 */
export function findRecipes(
  target: Oklab,
  tubes: readonly Tube[],
  { maxTubes = MAX_RECIPE_TUBES, count = 6, black = false }: RecipeSettings = {},
): Recipe[] {
  const withBlack = black || valueOfOklab(target) < BLACK_VALUE;
  const usable = tubes.filter((tube) => withBlack || kindOf(tube) !== 'black');
  if (usable.length === 0) throw new RangeError('A recipe takes at least one tube');
  const lab = labFromOklab(target);
  const found = fittedSets(lab, usable, Math.min(maxTubes, MAX_RECIPE_TUBES));
  const recipes = worthRounding(found, usable).map(({ which, weights }) => {
    const rounded = wholeParts(
      which.map((i) => usable[i].optics),
      weights,
      lab,
    );
    return recipeOf(
      which.map((i, k) => ({ tube: usable[i], parts: rounded.parts[k] })),
      rounded.lab,
      lab,
    );
  });
  return varied(recipes, count);
}

/** The best sets, and the best few of each route that these don't show enough of. */
function worthRounding(found: readonly Candidate[], tubes: readonly Tube[]): Candidate[] {
  const rounded = new Map<Route, number>();
  return found.slice(0, MAX_ROUNDED).filter(({ which }, i) => {
    const route = routeOf(which.map((k) => ({ tube: tubes[k] })));
    const already = rounded.get(route) ?? 0;
    if (i >= ALWAYS_ROUNDED && already >= ENOUGH_OF_ROUTE) return false;
    rounded.set(route, already + 1);
    return true;
  });
}

/** Sets of tubes with their best weights, the nearest before others, and those of fewer tubes among equals. */
function fittedSets(target: Lab, tubes: readonly Tube[], maxTubes: number): Candidate[] {
  const usual = tubes.map(({ optics }) => 1 / weightOf(optics));
  const fitted = (which: number[], starts: number[][]): Candidate => {
    const paints = which.map((i) => tubes[i].optics);
    let best: Candidate = { which, weights: [], miss: Infinity };
    for (const start of starts) {
      const fit = fitWeights(paints, target, start);
      if (fit.miss < best.miss) best = { which, ...fit };
    }
    return best;
  };
  let sets = tubes.map((_, i) => fitted([i], [[1]]));
  const all = [...sets];
  for (let size = 2; size <= maxTubes; size++) {
    const made = new Map<string, { which: number[]; starts: number[][] }>();
    for (const set of byCost(sets).slice(0, size === 2 ? sets.length : MAX_EXTENDED))
      for (let i = 0; i < tubes.length; i++) {
        if (set.which.includes(i)) continue;
        const which = [...set.which, i].sort((x, y) => x - y);
        const key = which.join();
        const entry = made.get(key) ?? { which, starts: [which.map((k) => usual[k])] };
        const weight = (k: number) =>
          k === i ? usual[i] * 0.1 * weightOfSet(set, usual) : set.weights[set.which.indexOf(k)];
        entry.starts.push(which.map(weight));
        made.set(key, entry);
      }
    sets = Array.from(made.values(), ({ which, starts }) => fitted(which, starts));
    all.push(...sets);
  }
  return byCost(all);
}

/** How much of a mixture a set's weights are, in units of the tubes' usual weights. */
function weightOfSet({ which, weights }: Candidate, usual: readonly number[]): number {
  return which.reduce((sum, i, k) => sum + weights[k] / usual[i], 0);
}

const byCost = (sets: readonly Candidate[]): Candidate[] =>
  sets.toSorted((one, other) => costOf(one) - costOf(other));
const costOf = ({ miss, which }: Candidate) => miss + TUBE_COST * which.length;

/** A recipe of parts, with what follows from them; `target` in CIELAB. */
function recipeOf(parts: readonly RecipePart[], lab: Lab, target: Lab): Recipe {
  const sorted = parts.toSorted((one, other) => other.parts - one.parts);
  return {
    parts: sorted,
    colour: oklabFromLab(lab),
    deltaE: ciede2000(lab, target),
    steadiness: steadinessOf(parts, lab),
    route: routeOf(parts),
  };
}

/** CIEDE2000 by which a mixture moves when one of its parts is a tenth more or less; the largest of these. */
export function steadinessOf(parts: readonly RecipePart[], lab: Lab): number {
  if (parts.length < 2) return 0;
  const paints = parts.map(({ tube }) => tube.optics);
  const amounts = parts.map((part) => part.parts);
  return Math.max(
    ...amounts.flatMap((amount, i) =>
      [0.9, 1.1].map((off) => ciede2000(mixLab(paints, amounts.with(i, amount * off)), lab)),
    ),
  );
}

const rank = ({ deltaE, parts, steadiness }: Recipe) =>
  deltaE + TUBE_COST * parts.length + STEADINESS_COST * steadiness;

/** The best recipe, then the best of each other route that comes near it, then what else is best. */
function varied(recipes: readonly Recipe[], count: number): Recipe[] {
  const sorted = recipes.toSorted((one, other) => rank(one) - rank(other));
  const routes = new Map<Route, Recipe>();
  for (const recipe of sorted) if (!routes.has(recipe.route)) routes.set(recipe.route, recipe);
  const near = [...routes.values()].filter(
    (recipe) => recipe.deltaE < sorted[0].deltaE + MAX_WORSE,
  );
  const others = sorted.filter((recipe) => !near.includes(recipe));
  return [...near, ...others].slice(0, count);
}

/** Another route is offered while it misses by no more than this beyond the best. */
const MAX_WORSE = 4;
