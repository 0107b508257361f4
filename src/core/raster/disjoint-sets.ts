/**
 * Disjoint sets (union-find) over the numbers 0 to n − 1, held as one array of parents: a root is its
 * own parent. Callers union two roots by writing one into the other's place, so that each can choose
 * which survives and keep sums beside it.
 * Source: R. Tarjan, J. van Leeuwen, "Worst-case analysis of set union algorithms", JACM 31(2), 1984.
 */
export function disjointSets(count: number): Int32Array {
  const parent = new Int32Array(count);
  for (let i = 0; i < count; i++) parent[i] = i;
  return parent;
}

/** The root of an element; halves the path to it on the way. */
export function findRoot(parent: Int32Array | number[], element: number): number {
  let at = element;
  while (parent[at] !== at) at = parent[at] = parent[parent[at]];
  return at;
}
