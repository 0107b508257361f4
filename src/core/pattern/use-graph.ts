import { DrawingError } from './drawing-error';

/** Which elements are drawn again elsewhere. */
export interface UseGraph {
  ids: Map<string, number>;
  uses: { at: number; to: string }[];
}

/** More elements than this drawn again and again are none that a person made. */
const MAX_DRAWN = 2_000_000;

/** Throws a DrawingError where a drawing draws itself, or a few elements become millions. */
export function checkUses(
  elements: readonly { parent: number | null }[],
  { ids, uses }: UseGraph,
): void {
  if (uses.length === 0) return;
  const targets = new Map<number, number>();
  for (const { at, to } of uses) {
    const target = ids.get(to);
    if (target !== undefined) targets.set(at, target);
  }
  const children: number[][] = elements.map(() => []);
  elements.forEach(({ parent }, i) => {
    if (parent !== null) children[parent].push(i);
  });
  const drawn = new Float64Array(elements.length);
  const OPEN = -1;
  /** How many elements are drawn where this one is, itself with all that it uses. */
  const count = (root: number): void => {
    const stack = [root];
    while (stack.length > 0) {
      const at = stack[stack.length - 1];
      if (drawn[at] > 0) {
        stack.pop();
        continue;
      }
      const below = [...children[at], ...(targets.has(at) ? [targets.get(at)!] : [])];
      if (drawn[at] === OPEN) {
        drawn[at] = 1 + below.reduce((sum, one) => sum + drawn[one], 0);
        if (drawn[at] > MAX_DRAWN)
          throw new DrawingError('the drawing draws its parts again and again, millions of times.');
        stack.pop();
        continue;
      }
      drawn[at] = OPEN;
      for (const one of below) {
        if (drawn[one] === OPEN) throw new DrawingError('the drawing uses a part within itself.');
        if (drawn[one] === 0) stack.push(one);
      }
    }
  };
  count(0);
  elements.forEach((_, i) => {
    if (drawn[i] === 0) count(i);
  });
}
