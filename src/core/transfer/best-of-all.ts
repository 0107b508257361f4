import { costOf, type Assignment, type Prices } from './prices';

/** So many partial assignments are looked at; a search that takes more ends with the best so far. */
const MAX_NODES = 200_000;

/**
 * The cheapest of all assignments of the free masses, by branch and bound from one that is known: a branch is left where
 * what it costs already, with the least that every other free mass would pay, is no cheaper. With more branches than can be
 * looked at, the cheapest that was found.
 */
export function bestOfAll(known: Assignment, free: readonly number[], prices: Prices): Assignment {
  const { own, together, beside } = prices;
  const of = [...known.of];
  let best = [...known.of];
  let least = known.cost;
  // Masses that meet many and differ most in their prices decide most, so they come first.
  const weight = (mass: number) =>
    beside[mass].reduce((sum, i) => sum + together[i].price, 0) +
    Math.max(...own[mass]) -
    Math.min(...own[mass]);
  const order = [...free].sort((a, b) => weight(b) - weight(a) || a - b);
  const isFree = new Set(free);
  /** Where each mass comes in the order; what is not free is decided before all. */
  const place = new Map(own.map((_, mass) => [mass, -1]));
  order.forEach((mass, i) => place.set(mass, i));
  /** For each mass what each colour costs it beside those that are decided. */
  const paid = own.map((all) => Float64Array.from(all));
  let fixed = 0;
  own.forEach((all, mass) => {
    if (!isFree.has(mass)) fixed += all[of[mass]];
  });
  for (const { one, other, price } of together)
    if (!isFree.has(one) && !isFree.has(other) && of[one] === of[other]) fixed += price;
  /** Tells the neighbours of a mass, as far as they are undecided, what its colour costs them (sign 1), or no longer (−1). */
  const decide = (mass: number, colour: number, sign: 1 | -1) => {
    for (const i of beside[mass]) {
      const { one, other, price } = together[i];
      const neighbour = one === mass ? other : one;
      if (place.get(neighbour)! > place.get(mass)!) paid[neighbour][colour] += sign * price;
    }
  };
  own.forEach((_, mass) => {
    if (!isFree.has(mass)) decide(mass, of[mass], 1);
  });
  let nodes = 0;

  function extend(depth: number, cost: number): void {
    if (depth === order.length) {
      if (cost < least - 1e-12) {
        least = cost;
        best = [...of];
      }
      return;
    }
    let rest = 0;
    for (let i = depth + 1; i < order.length; i++) rest += leastOf(paid[order[i]]);
    const mass = order[depth];
    const colours = Array.from(paid[mass], (_, colour) => colour).sort(
      (a, b) => paid[mass][a] - paid[mass][b] || a - b,
    );
    for (const colour of colours) {
      const next = cost + paid[mass][colour];
      if (next + rest >= least - 1e-12 || nodes >= MAX_NODES) return;
      nodes++;
      of[mass] = colour;
      decide(mass, colour, 1);
      extend(depth + 1, next);
      decide(mass, colour, -1);
    }
  }
  extend(0, fixed);
  return { of: best, cost: costOf(best, prices) };
}

function leastOf(prices: Float64Array): number {
  let least = Infinity;
  for (const price of prices) if (price < least) least = price;
  return least;
}
